<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Ask;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Keeping\Estimation\Estimate;
use Olvek\Core\Keeping\Estimation\Quantity;
use Olvek\Core\Planning\Plan\Heating;

/** For when the keeper is away: what to prepare, and a card for whoever looks in. All C where no number of the tank's own stands in it. */
final readonly class SitterCard
{
    /** Days for which grown fish in a planted tank need no food. C. */
    private const UNFED = 14;
    /** Share of the surface above which floaters are thinned before one leaves. C. */
    private const THIN = 0.4;

    /**
     * @param list<string> $prepare before leaving
     * @param list<string> $sitter  for whoever looks in
     * @param list<string> $trouble what to do if
     */
    private function __construct(public array $prepare, public array $sitter, public array $trouble)
    {
    }

    public static function of(Now $now, Estimate $estimate, int $days, float $litresPerWeek, UnitSystem $units): self
    {
        $plan = $now->plan;
        $litres = $units->show(Dimension::Volume, $litresPerWeek * $days / 7);
        $animals = $estimate->on(Quantity::Animals, $now->day)[1] >= 0.5;
        $prepare = self::said(
            'Change nothing in the last week: no new animals, no new plants, no other food.',
            $now->cover > self::THIN
                ? \sprintf(
                    'Thin the floaters on the last day: they cover about %s of the surface now.',
                    Decimal::trimmed(100 * $now->cover, 0).' %',
                )
                : '',
            $plan->site->sealed ? '' : "Fill up to the line. About $litres will dry up while you are away.",
            $plan->site->sealed || $plan->site->lid ? '' : 'Lay a pane over half of it: less dries up, and nobody jumps.',
            $now->hours > 0 ? 'See that the lamp’s timer runs by itself, after a cut of the current too.' : '',
            Heating::Tank === $plan->equipment->heating ? 'Look at the heater and its thermometer.' : '',
        );
        $portion = Decimal::significant(3 * $now->food, 2)."\u{00A0}g";
        $sitter = self::said(
            !$animals
                ? 'Nothing needs food.'
                : ($days <= self::UNFED
                    ? 'Do not feed: the animals find enough for these days.'
                    : "Feed at most every third day, from packets of $portion laid out for you. "
                        .'A forgotten one is no harm, a doubled one is.'),
            $plan->site->sealed || $days <= 7
                ? ''
                : \sprintf(
                    'Once a week pour in about %s from the can, slowly, up to the line.',
                    $units->show(Dimension::Volume, $litresPerWeek),
                ),
            'Change no water, clean nothing, move nothing.',
            $now->hours > 0 ? \sprintf('The lamp burns %s h a day by itself.', Decimal::trimmed($now->hours, 1)) : '',
        );
        $trouble = self::said(
            $animals
                ? 'Animals hang at the surface and gasp: stir the surface, pour water back in from a jug from high up, and call.'
                : '',
            'One lies dead: take it out, and call if there are more.',
            'The glass is wet outside, or the floor: pull all plugs first, then call.',
            'The water is milky or smells: feed nothing, and call.',
        );

        return new self($prepare, $sitter, $trouble);
    }

    /** @return list<string> those that say something */
    private static function said(string ...$lines): array
    {
        return array_values(array_filter($lines, static fn (string $line): bool => '' !== $line));
    }
}
