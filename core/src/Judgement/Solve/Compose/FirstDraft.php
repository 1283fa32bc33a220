<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Solve\Compose;

use Olvek\Core\Basis\Field\Fields;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Judgement\Solve\Trial;
use Olvek\Core\Judgement\Suitability\PlantSuit;
use Olvek\Core\Judgement\Suitability\TankOffer;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Nature\Vessel\VesselShape;
use Olvek\Core\Planning\Change\AddPiece;
use Olvek\Core\Planning\Change\Change;
use Olvek\Core\Planning\Change\Choose;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Change\SetLamp;
use Olvek\Core\Planning\Change\SetNumber;
use Olvek\Core\Planning\Change\TakeMethod;
use Olvek\Core\Planning\Plan\FillingMethod;
use Olvek\Core\Planning\Plan\InvalidPlan;
use Olvek\Core\Planning\Plan\Method;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\Treatment;
use Olvek\Core\Simulation\Run\Pace;

/**
 * A method's recipe in the wished vessel, planted and stocked after a taste: what mending begins with.
 *
 * @internal
 */
final readonly class FirstDraft
{
    /** Methods begun with for one plan. J: more find little more. */
    public const METHODS = 3;
    /** L from which a stone or a piece of wood is laid, and most L that it has. J. */
    private const PIECE_FROM = 12.0;
    private const LARGEST_PIECE = 5.0;
    /** lm to which a suggested lamp is rounded, and share of the headroom at which it hangs at most. J. */
    private const LAMP_STEP = 50.0;
    private const HANGS = 0.8;

    public function __construct(private Editor $editor, private Catalogue $catalogue)
    {
    }

    /** @return iterable<array{Method, Score, list<Unmet>}> what the first few methods that fit would make of the wish */
    public function begun(Wish $wish, Taste $taste, UnitSystem $units, Trial $trial): iterable
    {
        $begun = 0;
        foreach ($this->methods($wish, $taste) as $method) {
            $default = $this->default($wish, $taste, $method, $units, $trial);
            if (null !== $default) {
                yield [$method, Score::of($default[0], $trial->judged($default[0], pace: Pace::Rough)), $default[1]];
                if (++$begun >= self::METHODS) {
                    return;
                }
            }
        }
    }

    /**
     * What a method itself would make of a wish: its recipe, the planting of a taste, the animals that were wished; null where it does not
     * fit.
     *
     * @return array{Plan, list<Unmet>}|null
     */
    public function default(Wish $wish, Taste $taste, Method $method, UnitSystem $units, Trial $trial): ?array
    {
        try {
            $bare = $this->laid($wish, $taste, $method, $units);
            $judged = $trial->judged($bare, pace: Pace::Rough);
            [$planted, $unplanted] = (new Planter($this->catalogue, $wish, $taste))->plant(
                $bare,
                new PlantSuit($bare, TankOffer::of($judged->trace)),
            );
            [$stocked, $unstocked] = (new Stocker($this->catalogue, $wish, $taste, $units))->stock(
                $planted,
                $trial->judged($planted, pace: Pace::Rough),
            );
        } catch (InvalidPlan) {
            return null;
        }

        return [$stocked, [...$unplanted, ...$unstocked]];
    }

    /** @return list<Method> the wished one, or those that suit taste and place; lean ones last, which fit every vessel */
    private function methods(Wish $wish, Taste $taste): array
    {
        $site = $wish->tank->site;
        $suits = static fn (Method $m): bool => match ($m) {
            Method::SunnySill => $site->seesDaylight(),
            Method::SealedJar => $site->sealed,
            default => !$site->sealed,
        };
        $first = null === $wish->method ? ($site->sealed ? [Method::SealedJar] : $taste->methods()) : [$wish->method];

        return null === $wish->method
            ? array_values(array_unique(array_filter([...$first, ...Method::cases()], $suits), \SORT_REGULAR))
            : $first;
    }

    /**
     * The wished vessel with a method's bed, light and start; nothing grows or lives in it yet.
     *
     * @throws InvalidPlan where it does not fit
     */
    private function laid(Wish $wish, Taste $taste, Method $method, UnitSystem $units): Plan
    {
        $tank = $wish->tank;
        $changes = [
            ...$this->lamp($wish, $taste),
            new TakeMethod($method),
            // Under a lid nothing grows out of the water, so it is decided before the planting.
            ...$this->needsLid($wish) ? [new Choose('site.lid', true)] : [],
            new Choose('preparation.filling', FillingMethod::Plate->value),
            new Choose('preparation.rinsed', true),
            new Choose('preparation.sieved', true),
            ...Treatment::Undecided === $tank->preparation->treatment
                ? [new Choose('preparation.treatment', Treatment::Dechlorinated->value)]
                : [],
        ];
        $plan = $this->editor->make($tank, $changes, $units)->plan;
        // A recipe may have a window in mind; the tank stands where it stands.
        $site = Fields::with($plan->site, ['aspect' => $tank->site->aspect, 'sky' => $tank->site->sky]);
        $plan = $plan->withInputs($site, $plan->lamp, $plan->water, $plan->feed);

        return $this->furnished($plan, $taste);
    }

    private function needsLid(Wish $wish): bool
    {
        return !$wish->tank->site->sealed && !$wish->tank->site->isOutdoors()
            && [] !== array_filter($wish->animals, static fn (WishedAnimal $a): bool => $a->kind->jumper);
    }

    /** @return list<Change> */
    private function lamp(Wish $wish, Taste $taste): array
    {
        $tank = $wish->tank;
        if (LampWish::Mine === $wish->lamp) {
            return [];
        }
        // Daylight costs nothing, and is what a cheap tank by a window lives by.
        $none = LampWish::None === $wish->lamp
            || $tank->site->isOutdoors()
            || (Taste::LeastMoney === $taste && $tank->site->seesDaylight() && $tank->site->sky >= 0.2);
        if ($none) {
            return [SetLamp::lumens(0.0)];
        }
        $height = round(min($tank->lamp->height, self::HANGS * $tank->site->above), 3);
        $lamp = Fields::with($tank->lamp, ['height' => $height]);
        $lumens = ($taste->light() * $tank->surface() * $lamp::LUMENS_PER_MICROMOLE) / $lamp->landed($tank->surface());

        return [
            new SetNumber('light.height', $height),
            SetLamp::lumens(max(self::LAMP_STEP, self::LAMP_STEP * round($lumens / self::LAMP_STEP))),
        ];
    }

    /** With a stone or a piece of wood for what is tied to one. */
    private function furnished(Plan $plan, Taste $taste): Plan
    {
        $narrow = \in_array($plan->vessel->shape(), [VesselShape::Bowl, VesselShape::TiltedFlask, VesselShape::JarLying], true);
        if (
            Taste::LeastMoney === $taste
            || $narrow
            || $plan->site->sealed
            || $plan->site->isOutdoors()
            || $plan->netWater() < self::PIECE_FROM
        ) {
            return $plan;
        }
        $litres = round(min(self::LARGEST_PIECE, 0.02 * $plan->netWater()), 2);

        return $this->editor->make($plan, [
            new AddPiece(Taste::Jungle === $taste ? 'bog-wood' : 'lava', $litres),
            new SetNumber('hardscape.h1.place', Taste::Jungle === $taste ? 0.62 : 0.4),
        ])->plan;
    }
}
