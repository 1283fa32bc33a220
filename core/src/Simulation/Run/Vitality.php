<?php

declare(strict_types=1);

namespace Olvek\Core\Simulation\Run;

use Olvek\Core\Nature\Animal\AnimalKind;
use Olvek\Core\Nature\Animal\AnimalShape;
use Olvek\Core\Nature\Animal\Prey;
use Olvek\Core\Nature\Water\SourceWater;
use Olvek\Core\Planning\Plan\Plan;

/**
 * Numbers of animals on a day: they multiply where there is food for young, and die of hunger, want of oxygen, ammonia, nitrite,
 * cold or heat, acid or lye. Mass comes and goes with food (AnimalDay); here it is shared among heads.
 *
 * dH/dt = b·θ·H·(young that the mass can make up) − d·H, with d the sum of the wants below.
 *
 * @internal
 */
final class Vitality
{
    /** Share of an adult's mass below which it starves. J (0.4–0.6). */
    private const LEAN = 0.45;
    /** Deaths a day of an animal starved to nothing. J. */
    private const STARVING = 0.15;
    /** Mean share of an adult's mass that a growing crowd holds. J (0.6–0.8). */
    private const CROWD_MASS = 0.7;
    /** Share of the oxygen it needs below which it dies, and deaths a day without any. M; J. */
    public const LEAST_OXYGEN = 0.5;
    private const CHOKING = 0.5;
    /** mg NH3-N/L from which it kills, and span to where half die in a day. M: LC50 of hardy fish 0.3–1.5. */
    public const TOXIC_AMMONIA = 0.15;
    private const AMMONIA_SPAN = 0.5;
    /** mg N/L, the same for nitrite in water with some chloride. M: LC50 of many kinds 10–50 mg/L. */
    public const TOXIC_NITRITE = 3.0;
    private const NITRITE_SPAN = 20.0;
    /**
     * Times that chloride shifts both, at most and at least, by how much there is against ordinary water. M: Lewis & Morris (1986), Trans.
     * Am. Fish. Soc. 115: the LC50 of nitrite rises about in proportion to chloride.
     */
    private const GUARDED_MOST = 4.0;
    private const GUARDED_LEAST = 0.2;
    /** °C beyond its range that it bears, and span to where half die in a day. J. */
    public const BEARABLE = 3.0;
    private const CELSIUS_SPAN = 5.0;
    /**
     * pH beyond its range that it bears, pH that all bear, and span to where half die in a day. M: EIFAC (1969), Water quality criteria for
     * European freshwater fish: 9.5 is borne, 10 kills; J.
     */
    public const BEYOND_PH = 1.5;
    public const BORNE_PH = 9.5;
    private const PH_SPAN = 1.5;
    /**
     * Times the litres a head by the rule of thumb that a kind's own number fills until it multiplies no more: young are eaten, room runs
     * out. C: colonies level off at one to three times the rule; J.
     */
    private const CROWDED = 0.5;
    /** Chance of one being left below which none is. J. */
    private const LAST = 0.02;
    /** Share of young that live where somebody eats them. J (0.1–0.5). */
    private const ESCAPE = 0.3;

    /** @var list<AnimalKind> */
    private readonly array $kinds;
    /** @var list<float> d⁻¹, after what the others eat */
    private readonly array $breeds;

    public function __construct(Plan $plan)
    {
        $kinds = array_map(static fn ($g): AnimalKind => $g->kind, $plan->groups);
        $this->kinds = $kinds;
        $this->breeds = array_map(static function (AnimalKind $kind) use ($kinds, $plan): float {
            if (!$plan->canBreed($kind)) {
                return 0.0;
            }
            $young = AnimalShape::Fish === $kind->shape ? Prey::Fry : Prey::Shrimplets;
            $eaten =
                AnimalShape::Snail !== $kind->shape
                && [] !== array_filter(
                    $kinds,
                    static fn (AnimalKind $k): bool => $k->id !== $kind->id && \in_array($young, $k->eats, true),
                );

            return $kind->breeds->value * ($eaten ? self::ESCAPE : 1.0);
        }, $kinds);
    }

    public function run(State $s, Day $day): void
    {
        $guard = max(self::GUARDED_LEAST, min(self::GUARDED_MOST, $s->chloride / $s->volume / SourceWater::CHLORIDE));
        [$counts, $animals] = [$s->heads, $s->animals];
        foreach ($this->kinds as $i => $kind) {
            $heads = $counts[$i];
            $grams = $animals[$i];
            if ($heads <= 0 || $grams <= 0) {
                continue;
            }
            $adult = $kind->grams->value;
            if ($this->breeds[$i] > 0 && $grams > self::CROWD_MASS * $adult * $heads) {
                // It takes two.
                $pairs = min(1.0, max(0.0, $heads - 1));
                $room = max(0.0, 1 - self::CROWDED * $heads * $kind->litresEach->value / $s->volume);
                $heads = max(
                    $heads,
                    min($heads * (1 + $pairs * $room * $this->breeds[$i] * $day->theta), $grams / (self::CROWD_MASS * $adult)),
                );
            }
            $dying = self::dying($kind, $grams / ($heads * $adult), $day, $guard, $s->pH);
            if ($dying > 0) {
                $carcass = $dying * $grams;
                $heads -= $dying * $heads;
                $animals[$i] -= $carcass;
                $s->scraps->add(Matter::animal($carcass));
                $day->deaths += $dying * $counts[$i];
            }
            if ($heads < self::LAST) {
                $s->scraps->add(Matter::animal($animals[$i]));
                $animals[$i] = $heads = 0.0;
            }
            $counts[$i] = $heads;
        }
        $s->heads = $counts;
        $s->animals = $animals;
    }

    /**
     * Share (0–1) of a kind that dies on a day.
     *
     * @param float $condition its mean mass against an adult's
     * @param float $guard     times the usual nitrite that chloride lets it bear
     * @param float $pH        mean of the day
     */
    private static function dying(AnimalKind $kind, float $condition, Day $day, float $guard, float $pH): float
    {
        $starved = 1 - $condition / self::LEAN;
        $choked = $kind->breathesAir ? 0.0 : 1 - $day->leastOxygen / (self::LEAST_OXYGEN * $kind->oxygen->value);
        $colder = $kind->coolest->value - $day->celsius;
        $warmer = $day->celsius - $kind->warmest->value;
        $acid = $kind->acidest->value - self::BEYOND_PH - $pH;
        $alkaline = $pH - max(self::BORNE_PH, $kind->alkalinest->value + self::BEYOND_PH);
        $live = ($starved > 0.0 ? 1 - self::STARVING * $starved : 1.0) * ($choked > 0.0 ? 1 - self::CHOKING * $choked : 1.0) *
            self::left(($day->mostUnionised - self::TOXIC_AMMONIA) / self::AMMONIA_SPAN) *
            self::left(($day->mostNitrite / $guard - self::TOXIC_NITRITE) / self::NITRITE_SPAN) *
            self::left((($colder > $warmer ? $colder : $warmer) - self::BEARABLE) / self::CELSIUS_SPAN) *
            self::left(($acid > $alkaline ? $acid : $alkaline) / self::PH_SPAN);

        return 1 - $live;
    }

    /** Share that lives a day through what half of them would die of at 1. */
    private static function left(float $want): float
    {
        return $want > 0.0 ? 1 - 0.5 * ($want < 1.0 ? $want : 1.0) : 1.0;
    }
}
