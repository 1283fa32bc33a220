<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Review;

use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Nature\Animal\AnimalShape;
use Olvek\Core\Nature\Bed\Side;
use Olvek\Core\Nature\Hardscape\Piece;
use Olvek\Core\Nature\Plant\PlantRole;
use Olvek\Core\Nature\Plant\Removal;
use Olvek\Core\Planning\Change\Change;
use Olvek\Core\Planning\Change\Choose;
use Olvek\Core\Planning\Change\LayMix;
use Olvek\Core\Planning\Change\Recipe;
use Olvek\Core\Planning\Change\SetNumber;
use Olvek\Core\Planning\Plan\Clump;
use Olvek\Core\Planning\Plan\FillingMethod;
use Olvek\Core\Planning\Plan\Group;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\PlantingMethod;
use Olvek\Core\Planning\Plan\Quantities;
use Olvek\Core\Planning\Plan\StartWay;
use Olvek\Core\Planning\Plan\Treatment;
use Olvek\Core\Simulation\Run\UsualCare;

/**
 * Looks a plan through for the mistakes that keepers name, before they happen. What the margins say already (too few plants for the fish,
 * say) is left to them. All C, common practice, where nothing else is said.
 */
final readonly class Mistakes
{
    /** m that an arm reaches into a tank with comfort, and m of room that it needs above. J. */
    private const REACH = 0.5;
    private const ROOM = 0.25;
    /** µmol/m²/s on the water of a new tank above which algae come before plants take hold. J. */
    private const BRIGHT = 130.0;
    /** m of rim gap that a hand needs, and that jumpers clear. J. */
    private const RIM_GAP = 0.015;
    public const LEAP = 0.06;
    /** kg above which a support should be known to bear it. J. */
    private const HEAVY = 40.0;
    /** Day from which a tank is no new one for feeding. C: four weeks. */
    private const NEW = 28;
    /** Animals beyond which they come in groups. J. */
    private const MANY = 12;
    /** Days in which nothing is fed. C. */
    private const UNFED = 7;
    /** Day from which kinds that melt easily may go in, and a good one for it. C: one to two weeks after the rest. */
    private const SETTLED = 7;
    private const TENDER_DAY = 10;
    private const TAB = 'root-tab';
    /** m by which a thing may stand beyond the glass before it is worth a word. J. */
    private const FINGER = 0.015;

    private function __construct(private Plan $plan, private UnitSystem $units)
    {
    }

    /** @return list<Mistake> in working order */
    public static function in(Plan $plan, UnitSystem $units = UnitSystem::Metric): array
    {
        $look = new self($plan, $units);

        return array_values(
            array_filter([
                ...$look->vessel(),
                ...$look->bed(),
                ...$look->hardscape(),
                ...$look->light(),
                ...$look->plants(),
                ...$look->water(),
                ...$look->animals(),
                ...$look->start(),
                ...Fits::in($plan, $units),
                ...Ground::in($plan, $units),
                ...Technique::in($plan, $units),
            ]),
        );
    }

    /** @return list<Mistake|null> */
    private function vessel(): array
    {
        $plan = $this->plan;
        $site = $plan->site;
        $full = Quantities::of($plan)->fullMass;
        $height = $plan->vessel->height();
        $gap = $height - $plan->waterLine;
        $lower = max(0.6 * $height, $height - 2 * self::RIM_GAP);

        return [
            $site->bears > 0 && $full > $site->bears
                ? new Mistake(
                    'support',
                    'vessel',
                    \sprintf(
                        'It weighs %s when filled; the stand’s load limit is %s. Find a stronger one, or build a smaller tank.',
                        $this->mass($full),
                        $this->mass($site->bears),
                    ),
                )
                : null,
            0.0 === $site->bears && $full > self::HEAVY
                ? new Mistake(
                    'support-unknown',
                    'vessel',
                    \sprintf('It weighs %s when filled: find out the stand’s load limit.', $this->mass($full)),
                    true,
                )
                : null,
            $height - $plan->bed->meanDepth() > self::REACH
                ? new Mistake(
                    'reach',
                    'vessel',
                    \sprintf(
                        'From rim to bed it is %s: farther than an arm reaches. Plan for tongs, or a deeper bed.',
                        $this->length($height - $plan->bed->meanDepth()),
                    ),
                )
                : null,
            $site->above < self::ROOM
                ? new Mistake(
                    'room-above',
                    'vessel',
                    \sprintf(
                        'Only %s of clearance above the rim: no hand, tongs or lamp gets in. Leave at least %s.',
                        $this->length($site->above),
                        $this->length(self::ROOM),
                    ),
                )
                : null,
            $gap < self::RIM_GAP && !$site->sealed
                ? new Mistake(
                    'rim',
                    'vessel',
                    \sprintf('The water stands %s under the rim: it will overflow when you reach in.', $this->length($gap)),
                    false,
                    [new SetNumber('waterLine', $lower)],
                    \sprintf('Water line at %s', $this->length($lower)),
                )
                : null,
            $this->jumpers() && !$site->lid && !$site->sealed && $gap < self::LEAP
                ? new Mistake(
                    'lid',
                    'vessel',
                    'Jumpers, no lid, and the water close under the rim: cover it, or lower the water line while they settle.',
                    false,
                    [new Choose('site.lid', true)],
                    'Put a lid on',
                )
                : null,
        ];
    }

    /** @return list<Mistake|null> */
    private function bed(): array
    {
        $plan = $this->plan;
        $bed = $plan->bed;
        $soil = $bed->soil;
        $deeper = null;
        foreach (Side::cases() as $side) {
            if (null !== $soil && !$soil->mix->isGranular() && $soil->depth($side) > ($bed->cap?->depth($side) ?? 0.0) + 1e-9) {
                $deeper = $side;
            }
        }
        $rootFeeders = array_filter(
            $plan->clumps,
            static fn (Clump $c): bool => \in_array($c->kind->role, [PlantRole::Rosette, PlantRole::Runner, PlantRole::Lily], true),
        );
        $starved = array_filter(
            $plan->clumps,
            static fn (Clump $c): bool => PlantRole::Carpet === $c->kind->role
                && null !== $soil
                && $c->row * $plan->vessel->width() < $bed->setback,
        );
        $tabbed = \in_array(self::TAB, array_map(static fn ($d): string => $d->amendment->id, $bed->doses), true);

        return [
            null !== $deeper && null !== $soil && null !== $bed->cap
                ? new Mistake(
                    'cap',
                    'bed',
                    \sprintf(
                        'At the %s the soil (%s) is deeper than its cap (%s): soil will break through.',
                        $deeper->value,
                        $this->length($soil->depth($deeper)),
                        $this->length($bed->cap->depth($deeper)),
                    ),
                    false,
                    [new SetNumber("bed.cap.$deeper->value", $soil->depth($deeper))],
                    'Cap as deep as the soil',
                )
                : null,
            null !== $soil && null === $bed->cap && !$soil->mix->isGranular()
                ? new Mistake(
                    'no-cap',
                    'bed',
                    'Soil without a cap clouds the water and feeds algae.',
                    false,
                    [LayMix::pure('cap', 'coarse-sand')],
                    'Add a sand cap',
                )
                : null,
            null === $soil && [] !== $rootFeeders && !$tabbed
                ? new Mistake(
                    'tabs',
                    'bed',
                    'Root feeders in a bed without soil, and no root tabs: they are easily pushed in before the cap is on, hardly after.',
                    false,
                    [Recipe::tabs($plan)],
                    'Lay root tabs',
                )
                : null,
            [] !== $starved
                ? new Mistake(
                    'setback',
                    'bed',
                    \sprintf(
                        '%s will carpet where the soil is kept back from the glass, and starve there.',
                        array_values($starved)[0]->kind->common,
                    ),
                    false,
                    [new SetNumber('bed.setback', 0.0)],
                    'Soil up to the glass',
                )
                : null,
            null !== $bed->cap && !$plan->preparation->rinsed
                ? new Mistake(
                    'rinse',
                    'bed',
                    'Sand and gravel as bought cloud the water for days: rinse until it runs clear.',
                    true,
                    [new Choose('preparation.rinsed', true)],
                    'It will be rinsed',
                )
                : null,
            null !== $soil && !$soil->mix->isGranular() && !$plan->preparation->sieved
                ? new Mistake(
                    'sieve',
                    'bed',
                    'Chips and lumps float up or rot in pockets: sieve the soil, or pick it over.',
                    true,
                    [new Choose('preparation.sieved', true)],
                    'It will be sieved',
                )
                : null,
        ];
    }

    /** @return list<Mistake|null> */
    private function hardscape(): array
    {
        $found = [];
        foreach ($this->plan->pieces as $piece) {
            $name = $piece->kind->name;
            $found[] =
                $piece->kind->floats() && !$piece->isFixed()
                    ? new Mistake(
                        "float-$piece->id",
                        'hardscape',
                        "$name floats: glue it, tie it or weigh it down before the water comes.",
                        false,
                        [new Choose("hardscape.$piece->id.fixed", true)],
                        'It will be secured',
                    )
                    : null;
            $found[] =
                $piece->kind->soakDays->value > 0 && !$piece->soaked
                    ? new Mistake(
                        "soak-$piece->id",
                        'hardscape',
                        \sprintf(
                            '%s wants a soak test of %d days: discard it if it smells rotten.',
                            $name,
                            (int) $piece->kind->soakDays->value,
                        ),
                        true,
                        [new Choose("hardscape.$piece->id.soaked", true)],
                        'It passed the test',
                    )
                    : null;
        }

        return [...$found, $this->outside('hardscape', $this->plan->pieces)];
    }

    /**
     * What stands where a round or cornered vessel has no floor: it happens when the shape is changed under it.
     *
     * @param 'hardscape'|'plants' $stage
     * @param list<Clump|Piece>    $items
     */
    private function outside(string $stage, array $items): ?Mistake
    {
        $vessel = $this->plan->vessel;
        $names = [];
        $moves = [];
        foreach ($items as $item) {
            $stands = [$item->place * $vessel->length(), $item->row * $vessel->width()];
            // Nothing is planted by the millimetre: what is a finger's breadth off stands at the pane.
            $inside = $vessel->outline()->nearest(...$stands);
            if (hypot($inside[0] - $stands[0], $inside[1] - $stands[1]) < self::FINGER) {
                continue;
            }
            $names[] = $item instanceof Clump ? $item->kind->common : $item->kind->name;
            $moves[] = new SetNumber("$stage.$item->id.place", round($inside[0] / $vessel->length(), 2));
            $moves[] = new SetNumber("$stage.$item->id.row", round($inside[1] / $vessel->width(), 2));
        }

        return [] === $names
            ? null
            : new Mistake(
                "outside-$stage",
                $stage,
                \sprintf(
                    'Outside the glass of this vessel: %s. Move %s inward.',
                    implode(', ', array_unique($names)),
                    1 === \count($names) ? 'it' : 'them',
                ),
                false,
                $moves,
                1 === \count($names) ? 'Move it in' : 'Move them in',
            );
    }

    /** @return list<Mistake|null> */
    private function light(): array
    {
        $plan = $this->plan;
        $lamp = $plan->lamp;
        $full = $lamp->brightest($plan->surface());
        $first = $full * $lamp->programme->startShare;
        $share = max(5, 5 * (int) floor(20 * min(0.6, self::BRIGHT / max(1.0, $full))));

        return [
            $first > self::BRIGHT && 0 === $lamp->programme->allDay
                ? new Mistake(
                    'bright',
                    'light',
                    \sprintf(
                        '%d µmol/m²/s from the first day is light for two tanks: algae take it before the plants can. Start dim and go up '
                            .'week by week.',
                        (int) round($first),
                    ),
                    false,
                    [
                        new SetNumber('light.startShare', $share / 100),
                        new SetNumber('light.stepShare', 0.05),
                        new Choose('light.held', true),
                    ],
                    "Start at $share %, 5 more a week",
                )
                : null,
            $lamp->lumens <= 0 && !$plan->site->daylight()->any()
                ? new Mistake(
                    'dark',
                    'light',
                    'There is neither lamp nor daylight: say how many lumens the lamp has, or which sky the tank sees.',
                    true,
                )
                : null,
        ];
    }

    /** @return list<Mistake|null> */
    private function plants(): array
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
            $this->outside('plants', $standing),
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

    /** @return list<Mistake|null> */
    private function water(): array
    {
        $preparation = $this->plan->preparation;

        return [
            Treatment::Undecided === $preparation->treatment
                ? new Mistake(
                    'chlorine',
                    'water',
                    'Tap water may carry chlorine or chloramine, which kills bacteria, shrimp and fish.',
                    true,
                    [new Choose('preparation.treatment', Treatment::Dechlorinated->value)],
                    'It will be treated',
                )
                : null,
            Treatment::Stood === $preparation->treatment
                ? new Mistake(
                    'chloramine',
                    'water',
                    'Standing drives off chlorine, not chloramine: ask your supplier, or treat it.',
                    true,
                    [new Choose('preparation.treatment', Treatment::Dechlorinated->value)],
                    'It will be treated',
                )
                : null,
            FillingMethod::Undecided === $preparation->filling
                ? new Mistake(
                    'filling',
                    'water',
                    'Water falling on a new bed washes soil up: decide how it is let in.',
                    true,
                    [new Choose('preparation.filling', FillingMethod::Plate->value)],
                    'Slowly over a plate',
                )
                : null,
            FillingMethod::Pour === $preparation->filling && null !== $this->plan->bed->soil
                ? new Mistake(
                    'pour',
                    'water',
                    'Poured in, the water washes soil up through the cap.',
                    false,
                    [new Choose('preparation.filling', FillingMethod::Plate->value)],
                    'Slowly over a plate',
                )
                : null,
        ];
    }

    /** @return list<Mistake|null> */
    private function animals(): array
    {
        $plan = $this->plan;
        $groups = $plan->groups;
        $heads = array_sum(array_map(static fn (Group $g): int => $g->count, $groups));
        $days = array_unique(array_map(static fn (Group $g): int => $g->day, $groups));
        $firstOf = static fn (AnimalShape $form): int => min([
            \PHP_INT_MAX,
            ...array_map(
                static fn (Group $g): int => $g->day,
                array_filter($groups, static fn (Group $g): bool => $form === $g->kind->shape),
            ),
        ]);
        $first = $plan->firstAnimals();

        return [
            $heads > self::MANY && 1 === \count($days)
                ? new Mistake(
                    'all-at-once',
                    'animals',
                    \sprintf(
                        'All %d animals on one day: snails first, then shrimp, then fish in small groups a week or more apart.',
                        $heads,
                    ),
                    false,
                    $this->staggered(),
                    'Spread them out',
                )
                : null,
            1 !== \count($days)
            && $firstOf(AnimalShape::Fish) < min($firstOf(AnimalShape::Snail), $firstOf(AnimalShape::Shrimp))
            && \PHP_INT_MAX !== min($firstOf(AnimalShape::Snail), $firstOf(AnimalShape::Shrimp))
                ? new Mistake(
                    'order',
                    'animals',
                    'Fish come before snails and shrimp, and will eat their young.',
                    false,
                    $this->staggered(),
                    'Snails, shrimp, then fish',
                )
                : null,
            null !== $first && $plan->feed->grams > 0 && $plan->feedFrom < $first + self::UNFED && $first < self::NEW
                ? new Mistake(
                    'fed-early',
                    'animals',
                    \sprintf(
                        'Feeding starts on day %d, in the first week of the first animals: in a new tank they live off what grows there.',
                        $plan->feedFrom,
                    ),
                    false,
                    [new SetNumber('feeding.fromDay', $first + self::UNFED)],
                    \sprintf('Feed from day %d', $first + self::UNFED),
                )
                : null,
        ];
    }

    /** @return list<Mistake|null> */
    private function start(): array
    {
        $plan = $this->plan;
        $way = $plan->preparation->way;
        $first = $plan->firstAnimals();

        return [
            StartWay::Undecided === $way
                ? new Mistake('way', 'start', 'Choose a way of starting: it says what is tested and when animals may come.', true)
                : null,
            null !== $first && $first < $way->soonest()
                ? new Mistake(
                    'too-soon',
                    'start',
                    \sprintf(
                        'Animals come on day %d; this way of starting has them from day %d. Let them come later, or choose another way.',
                        $first,
                        $way->soonest(),
                    ),
                )
                : null,
        ];
    }

    private function jumpers(): bool
    {
        return [] !== array_filter($this->plan->groups, static fn (Group $g): bool => $g->kind->jumper);
    }

    /** True where little else could be shaded: nothing grows under the floaters. */
    private function ringed(): bool
    {
        return [] === array_filter($this->plan->clumps, static fn (Clump $c): bool => !$c->hasLeavesInAir());
    }

    /** @return list<Change> days of arrival in the order of the trade, a week apart */
    private function staggered(): array
    {
        $day = max(7, $this->plan->firstAnimals() ?? 0);
        $changes = [];
        foreach ([AnimalShape::Snail, AnimalShape::Shrimp, AnimalShape::Fish] as $form) {
            foreach ($this->plan->groups as $group) {
                if ($form === $group->kind->shape) {
                    $changes[] = new SetNumber("animals.$group->id.day", $day);
                    $day += 7;
                }
            }
        }

        return $changes;
    }

    private function length(float $metres): string
    {
        return $this->units->show(Dimension::Length, $metres);
    }

    private function mass(float $kilograms): string
    {
        return $this->units->show(Dimension::Mass, 1000 * $kilograms, 0);
    }
}
