<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\Provenance;
use Olvek\Core\Nature\Animal\AnimalKind;
use Olvek\Core\Nature\Animal\AnimalShape;
use Olvek\Core\Nature\Animal\Prey;
use Olvek\Core\Nature\Animal\Temper;

/** Room and company for the animals. All C: welfare minima as the trade states them, in litres of the vessel. */
#[Judges(
    'Room',
    Subject::Animals,
    remedies: [Remedy::FewerAnimals, Remedy::LargerGroup],
    voice: Voice::Welfare,
)]
final class Room implements Criterion
{
    private const LEAST = 1.0;
    public const GOOD = 1.2;
    /** Times its smallest tank that each further quarrelsome animal wants. J. */
    private const PEACE = 0.75;

    public static function margin(Outlook $outlook): Margin
    {
        $plan = $outlook->plan;
        $units = $outlook->units;
        $litres = $plan->vessel->grossVolume();
        $shownLitres = $units->show(Dimension::Volume, $litres);
        if ([] === $plan->groups) {
            return Margin::idle(MarginId::Room, 'no animals', 'There are no animals to make room for yet.');
        }
        $counts = [];
        foreach ($plan->groups as $group) {
            $counts[$group->kind->id] = ($counts[$group->kind->id] ?? 0) + $group->count;
        }
        $needed = 0.0;
        $least = 0.0;
        $complaints = [];
        $terms = [new Term('the vessel holds', $shownLitres)];
        $seen = [];
        foreach ($plan->groups as $group) {
            $kind = $group->kind;
            if (isset($seen[$kind->id])) {
                continue;
            }
            $seen[$kind->id] = true;
            $count = $counts[$kind->id];
            $needed += $count * $kind->litresEach->value;
            $least = max($least, $kind->leastLitres());
            $terms[] = new Term(
                \sprintf('%d × %s', $count, $kind->common),
                \sprintf(
                    '%s each, no tank below %s',
                    $units->show(Dimension::Volume, $kind->litresEach->value),
                    $units->show(Dimension::Volume, $kind->leastTank->value),
                ),
                Provenance::CommonPractice,
            );
            if ($count < $kind->group->value) {
                $complaints[] = \sprintf('%s should be kept as %d or more', $kind->common, (int) $kind->group->value);
            }
            foreach ($plan->groups as $other) {
                if ($other->kind->id !== $kind->id && self::eats($other->kind, $kind)) {
                    $complaints[] = \sprintf('%s eat %s', $other->kind->common, $kind->common);
                }
                if (
                    $other->kind->id > $kind->id
                    && Temper::Quarrelsome === $kind->temper
                    && Temper::Quarrelsome === $other->kind->temper
                    && self::areTooClose($kind, $other->kind, $litres)
                ) {
                    $complaints[] = \sprintf('%s and %s fight', $kind->common, $other->kind->common);
                }
            }
            // Males fight for ground; where nobody knows their sex, they may all be males.
            if (self::fights($kind, $plan->stock()->males($kind), $litres)) {
                $complaints[] = \sprintf('%s fight: keep one, or one male', $kind->common);
            }
        }
        $ratio = self::ratio($litres, max($needed, $least));
        [$need, $have] = $units->apart(Dimension::Volume, [max($needed, $least), $litres]);
        $enough = $ratio >= self::LEAST;
        $value = [] === $complaints ? $ratio : min($ratio, ($enough ? self::LEAST + self::GOOD : self::LEAST) / 2);
        $sentence = $enough
            ? \sprintf('The animals need %s and have %s.', $need, $have)
            : \sprintf('The animals need %s but have only %s.', $need, $have);
        if ([] !== $complaints) {
            $sentence = ($enough ? '' : $sentence.' ').implode('; ', $complaints).'.';
        }

        return new Margin(
            MarginId::Room,
            $value,
            self::LEAST,
            self::GOOD,
            null,
            $ratio,
            '×',
            Decimal::trimmed($ratio, 1).' ×',
            Margin::bound(self::LEAST, self::GOOD, '×'),
            $sentence,
            $terms,
        );
    }

    /** Times the litres that are needed; to the hundredth, since nobody tells the size of a tank closer. */
    public static function ratio(float $litres, float $needed): float
    {
        return round($litres / $needed, 2);
    }

    /** Whether several of a quarrelsome kind have too little room to keep out of each other's way. C; how much is enough, J. */
    public static function fights(AnimalKind $kind, int $count, float $litres): bool
    {
        return Temper::Quarrelsome === $kind->temper && $count > 1 && $litres < $kind->leastTank->value * (1 + self::PEACE * ($count - 1));
    }

    /** Whether two quarrelsome kinds have too little room to keep out of each other's way. C; how much is enough, J. */
    public static function areTooClose(AnimalKind $one, AnimalKind $other, float $litres): bool
    {
        return $litres < self::PEACE * ($one->leastTank->value + $other->leastTank->value);
    }

    /** Whether an animal hunts another outright; that it takes young is the run's business. */
    public static function eats(AnimalKind $hunter, AnimalKind $prey): bool
    {
        return (\in_array(Prey::Shrimp, $hunter->eats, true) && AnimalShape::Shrimp === $prey->shape)
            || (\in_array(Prey::Snails, $hunter->eats, true) && AnimalShape::Snail === $prey->shape)
            || (Temper::Predator === $hunter->temper
                && AnimalShape::Fish === $hunter->shape
                && AnimalShape::Fish === $prey->shape
                && $prey->grams->value < 0.2 * $hunter->grams->value);
    }
}
