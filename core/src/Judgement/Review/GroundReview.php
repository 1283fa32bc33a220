<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Review;

use Olvek\Core\Basis\Message\Amount;
use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Nature\Bed\BedZone;
use Olvek\Core\Nature\Bed\Edge;
use Olvek\Core\Nature\Bed\Mix;
use Olvek\Core\Nature\Plant\PlantRole;
use Olvek\Core\Planning\Change\Choose;

/** What lies beside what: zones that roll into one another, stones over roots, plants out of reach. C, where nothing else is said. */
final readonly class GroundReview extends Review
{
    /** m that a zone may stand over its neighbours without a rim: sand lies at some 30°, and plants hold a little more. J. */
    private const STEP = 0.025;
    /** Times one grain is the other from which the coarser rolls on the finer and is seen there. J. */
    private const COARSER = 3.0;
    /** m from the rim's nearest edge that an arm with tongs reaches. J. */
    private const REACH = 0.65;

    public function mistakes(): array
    {
        return [
            ...array_merge(...array_map($this->zone(...), $this->plan->bed->zones)),
            ...$this->stones(),
            ...$this->reach(),
        ];
    }

    /** @return list<Mistake|null> */
    private function zone(BedZone $zone): array
    {
        $bed = $this->plan->bed;
        $step = $bed->top($zone) - $bed->at($zone->row());
        $name = $zone->purpose->words();
        $loose = Edge::None === $zone->edge;
        $hold = [new Choose("zones.$zone->id.edge", Edge::StonesAndWadding->value)];
        $grains = array_map(
            static fn (?Mix $mix): float => $mix?->grain() ?? 0.0,
            [null === $zone->capKind ? $bed->cap?->mix : Mix::pure($zone->capKind), ($bed->dressing ?? $bed->cap ?? $bed->soil)?->mix],
        );

        return [
            $loose && abs($step) > self::STEP
                ? new Mistake(
                    "step-$zone->id",
                    'bed',
                    new Message(
                        'mistake.step',
                        ['zone' => $name, 'step' => Amount::length(abs($step)), 'way' => $step > 0 ? 'above' : 'below'],
                    ),
                    false,
                    $hold,
                    new Message('fix.edge'),
                )
                : null,
            $loose && min($grains) > 0 && max($grains) >= self::COARSER * min($grains)
                ? new Mistake(
                    "rolls-$zone->id",
                    'bed',
                    new Message('mistake.rolls', ['zone' => $name]),
                    false,
                    $hold,
                    new Message('fix.edge'),
                )
                : null,
        ];
    }

    /** @return list<Mistake|null> */
    private function stones(): array
    {
        $found = [];
        foreach ($this->plan->clumps as $clump) {
            $stone = $this->plan->stoneOver($clump);
            $found[] = null === $stone
                ? null
                : new Mistake(
                    "under-$clump->id",
                    'plants',
                    new Message('mistake.under', ['plant' => $clump->kind->common, 'stone' => mb_strtolower($stone->kind->name)]),
                );
        }

        return $found;
    }

    /** @return list<Mistake|null> fast plants that no hand gets at */
    private function reach(): array
    {
        $plan = $this->plan;
        $found = [];
        foreach ($plan->clumps as $clump) {
            $down = $plan->vessel->height() - $plan->bed->ground($clump->place, $clump->row);
            $along = $clump->row * $plan->vessel->width();
            $fast = \in_array($clump->kind->role, [PlantRole::FastStem, PlantRole::Runner], true);
            $far = hypot($down, $along);
            $found[] = $fast && $far > self::REACH && !$plan->vessel->shape()->isOutdoor()
                ? new Mistake(
                    "far-$clump->id",
                    'plants',
                    new Message('mistake.far', ['plant' => $clump->kind->common, 'distance' => Amount::length($far)]),
                    true,
                )
                : null;
        }

        return $found;
    }
}
