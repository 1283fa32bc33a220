<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Review;

use Olvek\Core\Basis\Message\Message;
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
                        new Message('mistake.sensitive', ['plant' => $name]),
                        false,
                        [new SetNumber("plants.$clump->id.day", self::TENDER_DAY)],
                        new Message('fix.sensitive', ['day' => self::TENDER_DAY]),
                    )
                    : null;
            $found[] =
                PlantingMethod::Deep === $clump->planting
                    ? new Mistake(
                        "deep-$clump->id",
                        'plants',
                        0.0 === $clump->kind->planting->value
                            ? new Message('mistake.buried', ['plant' => $name])
                            : new Message('mistake.deep', ['plant' => $name]),
                        false,
                        [new Choose("plants.$clump->id.planting", PlantingMethod::Right->value)],
                        new Message('fix.deep'),
                    )
                    : null;
            $found[] =
                Removal::Hard === $clump->kind->removal && \in_array($clump->kind->role, [PlantRole::FastStem, PlantRole::Runner], true)
                    ? new Mistake(
                        "removal-$clump->id",
                        'plants',
                        new Message('mistake.removal', ['plant' => $name]),
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
                ? new Mistake('lacks-fast', 'plants', new Message('mistake.lacks-fast'), true)
                : null,
            !$with(PlantRole::Floater, PlantRole::HousePlant, PlantRole::Marsh)
                ? new Mistake(
                    'lacks-export',
                    'plants',
                    new Message('mistake.lacks-export'),
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
                    new Message('mistake.lacks-roots'),
                    true,
                )
                : null,
            $with(PlantRole::Floater) && 1.0 === $this->plan->floaterPart() && !$this->ringed()
                ? new Mistake(
                    'floaters',
                    'plants',
                    new Message('mistake.floaters', ['share' => (int) (100 * UsualCare::FLOATERS_ABOVE)]),
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
