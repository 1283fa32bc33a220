<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Suitability;

use Olvek\Core\Basis\Message\Amount;
use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Judgement\Margin\LitClumps;
use Olvek\Core\Judgement\Margin\MarginState;
use Olvek\Core\Judgement\Margin\Warmth;
use Olvek\Core\Nature\Light\Canopy;
use Olvek\Core\Nature\Plant\Growth;
use Olvek\Core\Nature\Plant\PlantKind;
use Olvek\Core\Nature\Plant\PlantRole;
use Olvek\Core\Planning\Plan\Clump;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\UsualAmount;
use Olvek\Core\Simulation\Run\Parameters;
use Olvek\Core\Simulation\Run\Snapshot;

/**
 * Whether a plant would live at a place of a tank: light there as the run has it, carbon, warmth, hardness, and what its role asks for. The
 * same limits as the margins', without a run of its own.
 */
final readonly class PlantSuit
{
    private const ID = 'suit-candidate';
    /** Hours of daylight that count where the sky lights a tank, mean of the year. P: half of each day. */
    private const SKY_HOURS = 12.0;
    /** Times as tall as the water is deep from which a plant must be cut every few days. J. */
    private const TALL = 2.5;
    /** m of water that a lily's leaves want to come up through. C. */
    private const LILY = 0.2;
    /** m of room over the rim that what grows out of the water wants. C. */
    private const HEADROOM = 0.2;
    /** Share of the hardness beyond a kind's range within which it is kept by many. J: as for animals. */
    private const BEYOND = 0.4;

    /** @var list<LightHere> on each of the offer's days */
    private array $lights;

    public function __construct(
        private Plan $plan,
        private TankOffer $offer,
        private Parameters $parameters = new Parameters(),
    ) {
        $this->lights = array_map(static fn (Snapshot $look): LightHere => new LightHere($plan, $look), $offer->looks);
    }

    /**
     * @param float|null $place 0 (left) – 1 (right); the middle where nobody says
     * @param float|null $row   0 (front) – 1 (back); the kind's usual place where nobody says
     */
    public function of(PlantKind $kind, ?float $place = null, ?float $row = null): Suitability
    {
        $plan = $this->plan;
        $amount = UsualAmount::pieces($kind, $plan);
        $clump = new Clump(self::ID, $kind, $amount, $place ?? 0.5, $row ?? $kind->zone->row());
        $growth = $this->growth($clump);

        return new Suitability(
            array_values(
                array_filter([...$this->lit($clump, $growth), $this->warmth($kind), $this->hardness($kind), ...$this->role($kind)]),
            ),
            $amount,
            light: $growth,
        );
    }

    /** Share of its best growth that light and carbon allow at its place on the leanest of a few days; null where no light is asked. */
    private function growth(Clump $clump): ?float
    {
        if (!$clump->standsOnFloor()) {
            return null;
        }
        $plan = $this->plan;
        $sky = $plan->site->daylight()->any();
        $top = $plan->top($clump);
        $leaves = Canopy::LEAF_AREA * $clump->biomass();
        $half = $clump->kind->halfLight->value;
        $least = \INF;
        foreach ($this->offer->looks as $n => $look) {
            $light = $this->lights[$n]->at($clump->place, $clump->row, $top, $clump->area(), $leaves);
            $hours = $sky ? max(self::SKY_HOURS, $look->lampHours) : $look->lampHours;
            if ($hours <= 0) {
                return 0.0;
            }
            $flux = $sky ? (1e6 * $light) / 3600 / $hours : $light;
            $share = Growth::lightFactor($half, $this->parameters->lightCompensation * $half, $flux, $hours);
            $least = min($least, $share * $this->carbon($clump->kind, $flux));
        }

        return $least;
    }

    /** What the water's carbon leaves of that: as fixation has it in the run, with the mean of the day. */
    private function carbon(PlantKind $kind, float $flux): float
    {
        $p = $this->parameters;
        $lit = $flux / ($kind->halfLight->value + $flux + 1e-9);
        $half = Growth::carbonHalf($kind, $p->carbonHalf, $p->carbonHalfBicarbonate) * $lit;
        $over = max(0.0, $this->offer->carbon - $p->carbonCompensation);
        $gas = $over / (max(1e-6, $half) + $over);

        return $gas + (1 - $gas) * $kind->bicarbonate->value * $p->bicarbonateShare;
    }

    /** @return list<Reason> */
    private function lit(Clump $clump, ?float $growth): array
    {
        $percent = (int) round(100 * min(1.0, $growth ?? 1.0));

        return match (true) {
            null === $growth || $growth >= LitClumps::GOOD => [],
            $growth < LitClumps::LEAST => [
                new Reason(Need::Light, MarginState::Fails, new Message('suits.dwindles', ['percent' => $percent])),
            ],
            default => [new Reason(Need::Light, MarginState::Tight, new Message('suits.slow', ['percent' => $percent]))],
        };
    }

    private function warmth(PlantKind $kind): ?Reason
    {
        // What rests through the cold needs no more than that.
        $cold = $this->offer->coldest - $kind->coolest->value;
        $warm = $kind->warmest->value - $this->offer->warmest;
        $room = min($cold, $warm);
        $message = $cold < $warm
            ? new Message(
                'suits.too-cold',
                ['needs' => Amount::temperature($kind->coolest->value), 'falls' => Amount::temperature($this->offer->coldest)],
            )
            : new Message(
                'suits.too-warm',
                ['bears' => Amount::temperature($kind->warmest->value), 'reaches' => Amount::temperature($this->offer->warmest)],
            );

        return match (true) {
            $room < Warmth::LEAST => new Reason(Need::Warmth, MarginState::Fails, $message),
            $room < 0 => new Reason(Need::Warmth, MarginState::Tight, $message),
            default => null,
        };
    }

    private function hardness(PlantKind $kind): ?Reason
    {
        [$soft, $hard] = $this->offer->gh;

        return match (true) {
            $soft < $kind->softest->value * (1 - self::BEYOND) => new Reason(
                Need::Hardness,
                MarginState::Tight,
                new Message('suits.soft', ['water' => Amount::hardness($soft), 'needs' => Amount::hardness($kind->softest->value)]),
            ),
            $hard > $kind->hardest->value * (1 + self::BEYOND) => new Reason(
                Need::Hardness,
                MarginState::Tight,
                new Message('suits.hard', ['water' => Amount::hardness($hard), 'bears' => Amount::hardness($kind->hardest->value)]),
            ),
            default => null,
        };
    }

    /** m of water over the bed. */
    private function depth(): float
    {
        return $this->plan->waterLine - $this->plan->bed->meanDepth();
    }

    /** @return list<Reason|null> what its role asks of the tank */
    private function role(PlantKind $kind): array
    {
        $plan = $this->plan;

        $roots = \in_array($kind->role, [PlantRole::Rosette, PlantRole::Lily], true);

        return [
            \in_array($kind->role, [PlantRole::HousePlant, PlantRole::Marsh], true) && ($plan->site->sealed || $plan->site->lid)
                ? new Reason(Need::Place, MarginState::Fails, new Message('suits.lid'))
                : null,
            \in_array($kind->role, [PlantRole::HousePlant, PlantRole::Marsh], true) && $plan->site->above < self::HEADROOM
                ? new Reason(Need::Place, MarginState::Tight, new Message('suits.headroom', ['room' => Amount::length($plan->site->above)]))
                : null,
            PlantRole::Lily === $kind->role && $this->depth() < self::LILY
                ? new Reason(Need::Place, MarginState::Tight, new Message('suits.shallow', ['depth' => Amount::length($this->depth())]))
                : null,
            $kind->role->standsOnFloor() && $kind->height->value > self::TALL * $this->depth()
                ? new Reason(
                    Need::Place,
                    MarginState::Tight,
                    new Message(
                        'suits.tall',
                        ['height' => Amount::length($kind->height->value), 'depth' => Amount::length($this->depth())],
                    ),
                )
                : null,
            $roots && null === $plan->bed->soil && [] === $plan->bed->doses
                ? new Reason(Need::Roots, MarginState::Tight, new Message('suits.root-tabs'))
                : null,
        ];
    }
}
