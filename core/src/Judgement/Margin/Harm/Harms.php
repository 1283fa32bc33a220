<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin\Harm;

use Olvek\Core\Judgement\Margin\MarginState;
use Olvek\Core\Judgement\Margin\Outlook;

/** All harms of a tank, the gravest first. */
final class Harms
{
    /** @var list<class-string<HarmCriterion>> */
    private const CRITERIA = [
        Emptiness::class, Breakage::class, Companions::class, Deaths::class, Poisoning::class, NearMiss::class, WrongWater::class,
        WrongWarmth::class, Crowding::class, Dwindling::class, Plague::class, FoulBed::class, NitrateBuildUp::class,
    ];

    /** @return list<Harm> those that weigh nothing among them */
    public static function of(Outlook $outlook): array
    {
        $harms = array_merge(...array_map(static fn (string $criterion): array => $criterion::of($outlook), self::CRITERIA));

        return self::sorted($harms);
    }

    /**
     * @param list<Harm> $harms
     *
     * @return list<Harm>
     */
    public static function sorted(array $harms): array
    {
        $order = array_flip(array_column(HarmId::cases(), 'value'));
        usort($harms, static fn (Harm $a, Harm $b): int => [$b->state->rank(), $order[$a->id->value], $b->nearness()]
            <=> [$a->state->rank(), $order[$b->id->value], $a->nearness()]);

        return $harms;
    }

    /** @param list<Harm> $harms */
    public static function state(array $harms): MarginState
    {
        return array_reduce($harms, static fn (MarginState $s, Harm $h): MarginState => $s->worse($h->state), MarginState::Holds);
    }
}
