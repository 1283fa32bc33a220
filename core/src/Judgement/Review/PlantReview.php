<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Review;

use Olvek\Core\Nature\Plant\PlantRole;
use Olvek\Core\Nature\Plant\Removal;
use Olvek\Core\Planning\Change\Choose;
use Olvek\Core\Planning\Change\SetNumber;
use Olvek\Core\Planning\Plan\Clump;
use Olvek\Core\Planning\Plan\PlantingMethod;
use Olvek\Core\Simulation\Run\UsualCare;

/** Plants set wrongly or too soon, and roles that nothing plays. C, where nothing else is said. */
final readonly class PlantReview extends Review
{
    /** Day from which kinds that melt easily may go in, and a good one for it. C: one to two weeks after the rest. */
    private const SETTLED = 7;
    private const TENDER_DAY = 10;

    public function mistakes(): array
    {
        $clumps = $this->plan->clumps;
        $with = static fn (PlantRole ...$roles): bool => [] !==
            array_filter($clumps, static fn (Clump $c): bool => \in_array($c->kind->role, $roles, true));
        $found = [];
        foreach ($clumps as $clump) {
            $name = $clump->kind->common;
            $found[] =
                $clump->kind->sensitive && $clump->day < self::SETTLED
                    ? new Mistake(
                        "sensitive-$clump->id",
                        'plants',
                        "$name melts easily: plant it a week or two after the rest.",
                        false,
                        [new SetNumber("plants.$clump->id.day", self::TENDER_DAY)],
                        'Plant it on day '.self::TENDER_DAY,
                    )
                    : null;
            $found[] =
                PlantingMethod::Deep === $clump->planting
                    ? new Mistake(
                        "deep-$clump->id",
                        'plants',
                        0.0 === $clump->kind->planting->value
                            ? "The rhizome of $name rots when it is buried: tie it on."
                            : "$name stands down in raw soil, which burns its roots: keep them in the cap.",
                        false,
                        [new Choose("plants.$clump->id.planting", PlantingMethod::Right->value)],
                        'Set it right',
                    )
                    : null;
            $found[] =
                Removal::Hard === $clump->kind->removal && \in_array($clump->kind->role, [PlantRole::FastStem, PlantRole::Runner], true)
                    ? new Mistake(
                        "removal-$clump->id",
                        'plants',
                        "$name grows fast and tears up the bed when it is pulled: plant it where a hand can cut it.",
                        true,
                    )
                    : null;
        }
        if ([] === $clumps) {
            return $found;
        }

        $standing = array_values(
            array_filter(
                $clumps,
                static fn (Clump $c): bool => !\in_array($c->kind->role, [PlantRole::Floater, PlantRole::HousePlant], true),
            ),
        );

        return [
            ...$found,
            Outside::glass($this->plan, 'plants', $standing),
            !$with(PlantRole::FastStem, PlantRole::FloatingStem) && !$with(PlantRole::Floater)
                ? new Mistake('lacks-fast', 'plants', 'Nothing in it grows fast: fast stems or floaters carry the first months.', true)
                : null,
            !$with(PlantRole::Floater, PlantRole::HousePlant, PlantRole::Marsh)
                ? new Mistake(
                    'lacks-export',
                    'plants',
                    'Nothing reaches the air: floaters or house plants take most out in the long run.',
                    true,
                )
                : null,
            null !== $this->plan->bed->soil && !$with(
                PlantRole::Rosette,
                PlantRole::Runner,
                PlantRole::Lily,
                PlantRole::Marsh,
                PlantRole::Carpet,
            )
                ? new Mistake(
                    'lacks-roots',
                    'plants',
                    'No root feeder: the soil’s store stays where it is, and a rich bed without roots may turn foul.',
                    true,
                )
                : null,
            $with(PlantRole::Floater) && 1.0 === $this->plan->floaterPart() && !$this->ringed()
                ? new Mistake(
                    'floaters',
                    'plants',
                    \sprintf(
                        'Floaters close the surface unless they are thinned: Olvek assumes that you do so at %d %%.',
                        (int) (100 * UsualCare::FLOATERS_ABOVE),
                    ),
                    true,
                )
                : null,
        ];
    }

    /** True where little else could be shaded: nothing grows under the floaters. */
    private function ringed(): bool
    {
        return [] === array_filter($this->plan->clumps, static fn (Clump $c): bool => !$c->hasLeavesInAir());
    }
}
