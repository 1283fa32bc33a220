<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Plan;

use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Nature\Bed\BedZone;
use Olvek\Core\Nature\Bed\Layer;
use Olvek\Core\Nature\Bed\MaterialRole;
use Olvek\Core\Nature\Bed\Side;
use Olvek\Core\Nature\Hardscape\Piece;

/**
 * What a plan must keep to be buildable at all. Whether it is wise is the judge's business, not theirs.
 *
 * @internal
 */
final class Rules
{
    /** °C between which the water may go through the year. */
    private const COLDEST = 0.5;
    public const WARMEST = 38.0;
    /** Share of the room above the bed that stones and wood may fill. */
    private const MOST_DISPLACED = 0.5;
    /** Share of a soil layer's room that bags may take up. */
    private const MOST_CORE = 0.8;

    /** @var list<Problem> */
    private array $problems = [];

    private function __construct(private readonly Plan $plan)
    {
    }

    /** @return list<Problem> */
    public static function broken(Plan $plan): array
    {
        $rules = new self($plan);
        $rules->name();
        $rules->ranges();
        if ($rules->vessel()) {
            $rules->strata();
        }
        $rules->light();
        $rules->lists();
        $rules->site($plan->site);
        $rules->food();
        $rules->events();

        return $rules->problems;
    }

    /** Every number within what its description allows. */
    private function ranges(): void
    {
        // Near all plans are sound: places are only worked out for those that are not.
        foreach (PlanFields::areInRange($this->plan) ? [] : PlanFields::of()->numbers($this->plan) as [$place, $field, $value]) {
            // The water line has a rule of its own, which says more.
            $problem = 'waterLine' === $place ? null : $field->problem($value);
            if (null !== $problem) {
                $this->problems[] = $problem;
            }
        }
        foreach ($this->plan->vessel->measures() as $name => $metres) {
            $problem = Field::at("vessel.$name")?->problem($metres);
            if (null !== $problem) {
                $this->problems[] = $problem;
            }
        }
    }

    /** Whether all that stands below a place is within its range. */
    private function sound(string $place): bool
    {
        return [] === array_filter($this->problems, static fn (Problem $p): bool => str_starts_with("$p->path.", "$place."));
    }

    private function name(): void
    {
        $length = mb_strlen(trim($this->plan->name));
        if (
            0 === $length
            || $length > Plan::LONGEST_NAME
            || !mb_check_encoding($this->plan->name, 'UTF-8')
            || 1 === preg_match('/[\x00-\x1F\x7F]/', $this->plan->name)
        ) {
            $this->add(
                PlanRule::Name,
                'name',
                \sprintf('Give the tank a name of 1 to %d characters that can be read.', Plan::LONGEST_NAME),
            );
        }
    }

    private function vessel(): bool
    {
        $sound = $this->sound('vessel');
        $broken = $sound ? $this->plan->vessel->broken() : null;
        if (null !== $broken) {
            $this->add(PlanRule::Vessel, 'vessel.'.$broken[0], $broken[1]);
        }

        return $sound && null === $broken;
    }

    private function strata(): void
    {
        $bed = $this->plan->bed;
        $width = $this->plan->vessel->width();
        if ($bed->setback > $width && $this->sound('bed.setback')) {
            $this->add(
                PlanRule::Setback,
                'bed.setback',
                static fn (UnitSystem $u): string => \sprintf(
                    'The strip without soil is %s wide, but from front to back there are only %s.',
                    ...$u->apart(Dimension::Length, [$bed->setback, $width]),
                ),
            );
        }
        $sound = $this->sound('bed');
        $rim = $this->plan->vessel->height();
        $line = $this->plan->waterLine;
        if (!is_finite($line) || $line <= 0 || $line > $rim + 1e-9) {
            $this->add(
                PlanRule::WaterLine,
                'waterLine',
                static fn (UnitSystem $u): string => \sprintf(
                    'The water line is at %s, but it must lie above the bottom and at or below the rim, which is %s above the inside of '
                        .'the bottom.',
                    ...$u->apart(Dimension::Length, [$line, $rim]),
                ),
            );

            return;
        }
        if (!$sound) {
            return;
        }
        $faults = \count($this->problems);
        foreach (Side::cases() as $side) {
            $depth = $bed->depth($side);
            $where = $side->value;
            $path = $this->deeperLayer($side).'.'.$where;
            if ($depth > $rim + 1e-9) {
                $this->add(
                    PlanRule::Rim,
                    $path,
                    static fn (UnitSystem $u): string => \sprintf(
                        'Soil and cap together reach %1$s at the %3$s, above the rim at %2$s. Make a layer thinner.',
                        ...[...$u->apart(Dimension::Length, [$depth, $rim]), $where],
                    ),
                );
            } elseif ($depth + Plan::LEAST_WATER > $line) {
                $this->add(
                    PlanRule::Water,
                    $path,
                    static fn (UnitSystem $u): string => \sprintf(
                        'Soil and cap together reach %1$s at the %4$s; the water line at %2$s must stand at least %3$s above them. Raise '
                            .'the water or make a layer thinner.',
                        ...[...$u->apart(Dimension::Length, [$depth, $line]), $u->show(Dimension::Length, Plan::LEAST_WATER), $where],
                    ),
                );
            }
        }
        $this->zones();
        $soil = $bed->soilRoom($this->plan->vessel);
        if ($faults === \count($this->problems) && $bed->core > 0 && $bed->core > self::MOST_CORE * $soil) {
            $this->add(
                PlanRule::Bags,
                'bed.core',
                static fn (UnitSystem $u): string => \sprintf(
                    'The bags fill %s of the %s that soil and bags have together: at most four fifths of it can be bags.',
                    ...$u->apart(Dimension::Volume, [$bed->core, $soil]),
                ),
            );
        }
        if ($faults === \count($this->problems)) {
            $this->hardscape();
        }
    }

    /** Parts of the floor where the bed is another. */
    private function zones(): void
    {
        $bed = $this->plan->bed;
        $this->ids('zones', array_map(static fn (BedZone $z): string => $z->id, $bed->zones), BedZone::MOST, 'zones');
        if (!$this->sound('zones')) {
            return;
        }
        if ($bed->plate > 0 && $bed->plateFrom >= $bed->plateTo) {
            $this->add(PlanRule::Plate, 'bed.plateTo', 'The plate must end to the right of where it begins.');
        }
        $line = $this->plan->waterLine;
        foreach ($bed->zones as $n => $zone) {
            $at = "zones.$zone->id";
            if ($zone->left >= $zone->right || $zone->front >= $zone->back) {
                $this->add(
                    PlanRule::ZoneEnds,
                    $zone->left >= $zone->right ? "$at.right" : "$at.back",
                    'The zone must end beyond where it begins.',
                );
                continue;
            }
            foreach (\array_slice($bed->zones, 0, $n) as $other) {
                if ($zone->overlaps($other)) {
                    $this->add(
                        PlanRule::ZonesApart,
                        "$at.left",
                        \sprintf('The %s lies over the %s: move one of them aside.', $zone->purpose->words(), $other->purpose->words()),
                    );
                }
            }
            if ($bed->setback > 0 && null !== $bed->soil && $zone->front * $this->plan->vessel->width() < $bed->setback) {
                $this->add(
                    PlanRule::ZoneSetback,
                    "$at.front",
                    'The strip without soil at the front lies under this zone: set that to 0, or begin the zone behind it.',
                );
            }
            if ($zone->soil > 0 && null === $zone->soilKind && null === $bed->soil) {
                $this->add(PlanRule::ZoneLayer, "$at.soilKind", 'The bed has no soil to lay here: choose one for this zone, or lay none.');
            }
            if ($zone->cap > 0 && null === $zone->capKind && null === $bed->cap) {
                $this->add(PlanRule::ZoneLayer, "$at.capKind", 'The bed has no cap to lay here: choose one for this zone, or lay none.');
            }
            if (null !== $zone->capKind && MaterialRole::Cap !== $zone->capKind->role) {
                $this->add(
                    PlanRule::ZoneLayer,
                    "$at.capKind",
                    \sprintf('%s is a soil: it holds nothing down. Choose sand or gravel.', $zone->capKind->name),
                );
            }
            $top = $bed->top($zone);
            if ($top + Plan::LEAST_WATER > $line) {
                $this->add(
                    PlanRule::Water,
                    $zone->soil > $zone->cap ? "$at.soil" : "$at.cap",
                    static fn (UnitSystem $u): string => \sprintf(
                        'This zone reaches %1$s; the water line at %2$s must stand at least %3$s above it. Raise the water or make '
                            .'it thinner.',
                        ...[...$u->apart(Dimension::Length, [$top, $line]), $u->show(Dimension::Length, Plan::LEAST_WATER)],
                    ),
                );
            }
        }
        if ($bed->pots > 0 && null === $bed->soil && [] === $this->problems) {
            $this->add(PlanRule::Pots, 'bed.pots', 'The bed has no soil to fill pots with: choose a soil, or no pots.');
        }
    }

    /** Stones and wood, and whether they leave any water. */
    private function hardscape(): void
    {
        $plan = $this->plan;
        $this->ids('hardscape', array_map(static fn (Piece $p): string => $p->id, $plan->pieces), Piece::MOST, 'stones and pieces of wood');
        if (!$this->sound('hardscape') || [] === $plan->pieces) {
            return;
        }
        $room = $plan->vessel->volumeBelow($plan->waterLine) - $plan->bed->volume($plan->vessel) - $plan->bed->potted();
        if ($plan->displaced() > self::MOST_DISPLACED * $room) {
            $this->add(
                PlanRule::Hardscape,
                'hardscape.'.$plan->pieces[\count($plan->pieces) - 1]->id.'.litres',
                static fn (UnitSystem $u): string => \sprintf(
                    'Stones and wood fill %s, more than half of the %s above the bed. Take some out.',
                    ...$u->apart(Dimension::Volume, [$plan->displaced(), $room]),
                ),
            );
        }
    }

    private function deeperLayer(Side $side): string
    {
        $bed = $this->plan->bed;

        $depths = [
            'bed.base' => $bed->base?->depth($side) ?? 0.0,
            'bed.soil' => $bed->soil?->depth($side) ?? 0.0,
            'bed.leaves' => $bed->leaves?->depth($side) ?? 0.0,
            'bed.cap' => $bed->cap?->depth($side) ?? 0.0,
            'bed.dressing' => $bed->dressing?->depth($side) ?? 0.0,
        ];

        return (string) array_search(max($depths), $depths, true);
    }

    private function light(): void
    {
        $lamp = $this->plan->lamp;
        if ($this->sound('light') && $lamp->hours > 0 && 2 * $lamp->programme->dawn > $lamp->hours + 1e-9) {
            $this->add(
                PlanRule::Dawn,
                'light.dawn',
                static fn (UnitSystem $u): string => \sprintf(
                    'Dawn and dusk take %s each, but the lamp is on for only %s. Make them shorter or its day longer.',
                    ...$u->apart(Dimension::Duration, [$lamp->programme->dawn, $lamp->hours], 2),
                ),
            );
        }
        if ($this->sound('light') && $lamp->programme->pause > 24.0 - $lamp->hours + 1e-9) {
            $this->add(
                PlanRule::Pause,
                'light.pause',
                static fn (UnitSystem $u): string => \sprintf(
                    'The lamp is on for %1$s a day, which leaves %2$s for a break; this says %3$s.',
                    $u->show(Dimension::Duration, $lamp->hours, 2),
                    ...$u->apart(Dimension::Duration, [24.0 - $lamp->hours, $lamp->programme->pause], 2),
                ),
            );
        }
    }

    private function lists(): void
    {
        $this->ids('plants', array_map(static fn (Clump $c): string => $c->id, $this->plan->clumps), Clump::MOST_CLUMPS, 'clumps');
        $this->ids('animals', array_map(static fn (Group $g): string => $g->id, $this->plan->groups), Group::MOST_GROUPS, 'groups');
    }

    private function site(Site $site): void
    {
        if (
            $this->sound('site')
            && ($site->temperature - $site->swing < self::COLDEST || $site->temperature + $site->swing > self::WARMEST)
        ) {
            $this->add(
                PlanRule::Seasons,
                'site.swing',
                static fn (UnitSystem $u): string => \sprintf(
                    'With this swing the water would go from %s to %s through the year; Olvek knows open water up to %s.',
                    $u->show(Dimension::Temperature, $site->temperature - $site->swing),
                    $u->show(Dimension::Temperature, $site->temperature + $site->swing),
                    $u->show(Dimension::Temperature, self::WARMEST),
                ),
            );
        }
        $care = $this->plan->care;
        if ($site->sealed && ($this->plan->equipment->hasHeater() || $this->plan->equipment->moves())) {
            $this->add(
                PlanRule::Sealed,
                'site.sealed',
                'A sealed vessel has no cable or hose in it. Leave it open, or take heater and device out.',
            );
        }
        if ($site->sealed && ($care->gas > 0 || $care->trickle > 0 || $care->fertilises())) {
            $this->add(PlanRule::Sealed, 'site.sealed', 'A sealed vessel takes no gas and no fertiliser. Leave it open, or give none.');
        }
    }

    private function food(): void
    {
        $feed = $this->plan->feed;
        if (!$this->sound('feeding.grams')) {
            return;
        }
        if ($feed->grams > 0 && $this->plan->site->sealed) {
            $this->add(PlanRule::Food, 'feeding.grams', 'A sealed vessel is never opened to feed. Feed 0, or leave it open.');
        } elseif ($feed->grams > 0 && [] === $this->plan->groups) {
            $this->add(PlanRule::Food, 'feeding.grams', 'There are no animals to eat this food. Add animals first, or feed 0.');
        }
    }

    private function events(): void
    {
        $this->ids(
            'events',
            array_map(static fn (PlannedEvent $e): string => $e->id, $this->plan->events),
            PlannedEvent::MOST,
            'planned events',
        );
        $ids = ['clump' => array_column($this->plan->clumps, 'id'), 'group' => array_column($this->plan->groups, 'id')];
        foreach ($this->plan->events as $event) {
            foreach (['day' => $event->day, ...$event->values] as $name => $value) {
                $problem = PlanFields::event("events.$event->id.$name", $event->kind)?->problem((float) $value);
                if (null !== $problem) {
                    $this->problems[] = $problem;
                }
            }
            $of = $event->kind->of();
            if (null !== $of && !\in_array($event->of, $ids[$of], true)) {
                $this->add(PlanRule::Subject, "events.$event->id.$of", "The plan has no such $of.");
            }
        }
    }

    /** @param list<string> $ids */
    private function ids(string $path, array $ids, int $most, string $words): void
    {
        if (\count($ids) > $most) {
            $this->add(PlanRule::Ids, $path, \sprintf('%d %s are too many; keep to %d.', \count($ids), $words, $most));
        }
        foreach (array_count_values($ids) as $id => $times) {
            if ($times > 1 || 1 !== preg_match('/^[a-z0-9][a-z0-9-]{0,30}$/', (string) $id)) {
                $this->add(
                    PlanRule::Ids,
                    $path,
                    \sprintf('“%s” must be an id of its own: small letters, digits and hyphens.', mb_substr((string) $id, 0, 40)),
                );
            }
        }
    }

    /** @param string|\Closure(UnitSystem): string $words */
    private function add(PlanRule $rule, string $path, string|\Closure $words): void
    {
        $this->problems[] = new Problem($path, $words, $rule);
    }
}
