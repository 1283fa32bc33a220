<?php

declare(strict_types=1);

namespace Olvek\Core\Plan;

use Olvek\Core\Bed\Layer;
use Olvek\Core\Bed\Side;
use Olvek\Core\Hardscape\Piece;
use Olvek\Core\Unit\Dimension;
use Olvek\Core\Unit\UnitSystem;
use Olvek\Core\Water\SourceWater;

/**
 * What a plan must keep to be buildable at all. Whether it is wise is the judge's business, not theirs.
 *
 * @internal
 */
final class Rules
{
    /** What a plan may say at most and at least: °C, share of light, °dH, mg N/L, g of dry food a day. */
    public const COOLEST = 2.0;
    public const WARMEST = 38.0;
    public const LEAST_LANDING = 0.05;
    public const MOST_KH = 40.0;
    public const MOST_GH = 60.0;
    public const MOST_NITRATE = 50.0;
    public const MOST_FOOD = 1000.0;
    /** Free water needed above the highest point of the bed, m. */
    private const LEAST_WATER = 0.02;
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
        if ($rules->vessel()) {
            $rules->strata();
        }
        $rules->light();
        $rules->plants();
        $rules->water();
        $rules->animals();
        $rules->occasions();

        return $rules->problems;
    }

    private function name(): void
    {
        $length = mb_strlen(trim($this->plan->name));
        if (0 === $length || $length > 80 || !mb_check_encoding($this->plan->name, 'UTF-8') || 1 === preg_match('/[\x00-\x1F\x7F]/', $this->plan->name)) {
            $this->add('name', 'Give the tank a name of 1 to 80 characters that can be read.');
        }
    }

    private function vessel(): bool
    {
        $vessel = $this->plan->vessel;
        $sound = true;
        foreach ($vessel->measures() as $name => $metres) {
            $sound = match ($name) {
                'glass' => $this->within('vessel.glass', 'The glass', $metres, 0.002, 0.03, Dimension::Length, 2),
                'wall' => $this->within('vessel.wall', 'The wall', $metres, 0.001, 0.06, Dimension::Length, 2),
                'bow', 'mouth', 'lip' => $this->within("vessel.$name", 'The '.$name, $metres, 0.01, 3.0, Dimension::Length),
                default => $this->within("vessel.$name", 'The '.$name, $metres, 0.08, 5.0, Dimension::Length),
            } && $sound;
        }
        $broken = $sound ? $vessel->broken() : null;
        if (null !== $broken) {
            $this->add('vessel.'.$broken[0], $broken[1]);
        }

        return $sound && null === $broken;
    }

    private function strata(): void
    {
        $bed = $this->plan->bed;
        $sound = true;
        foreach (['soil' => $bed->soil, 'leaves' => $bed->leaves, 'cap' => $bed->cap] as $name => $layer) {
            $sound = $this->layer($name, $layer) && $sound;
        }
        $sound = $this->within('bed.plate', 'The room under the plate', $bed->plate, 0.0, 0.5, Dimension::Length) && $sound;
        $sound = $this->within('bed.setback', 'The strip without soil', $bed->setback, 0.0, $this->plan->vessel->width(), Dimension::Length) && $sound;
        $sound = $this->within('bed.core', 'The bags', $bed->core, 0.0, 2000.0, Dimension::Volume) && $sound;
        $rim = $this->plan->vessel->height();
        $line = $this->plan->waterLine;
        if (!is_finite($line) || $line <= 0 || $line > $rim + 1e-9) {
            $this->add('waterLine', static fn (UnitSystem $u): string => \sprintf(
                'The water line is at %s, but it must lie above the bottom and at or below the rim, which is %s above the inside of the bottom.', self::length($u, $line), self::length($u, $rim)));

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
                $this->add($path, static fn (UnitSystem $u): string => \sprintf(
                    'Soil and cap together reach %s at the %s, above the rim at %s. Make a layer thinner.', self::length($u, $depth), $where, self::length($u, $rim)));
            } elseif ($depth + self::LEAST_WATER > $line) {
                $this->add($path, static fn (UnitSystem $u): string => \sprintf(
                    'Soil and cap together reach %s at the %s; the water line at %s must stand at least %s above them. Raise the water or make a layer thinner.',
                    self::length($u, $depth), $where, self::length($u, $line), self::length($u, self::LEAST_WATER)));
            }
        }
        $soil = $bed->soilRoom($this->plan->vessel);
        if ($faults === \count($this->problems) && $bed->core > 0 && $bed->core > self::MOST_CORE * $soil) {
            $this->add('bed.core', static fn (UnitSystem $u): string => \sprintf('The bags take up %s, but soil and bags together have only %s: at most four fifths of it can be bags.', $u->show(Dimension::Volume, $bed->core), $u->show(Dimension::Volume, $soil)));
        }
        foreach ($bed->doses as $dose) {
            $this->within('bed.doses.'.$dose->amendment->id, 'The dose', $dose->grams, 0.001, 50000.0, Dimension::Mass);
        }
        if ($faults === \count($this->problems)) {
            $this->hardscape();
        }
    }

    /** Stones and wood, and whether they leave any water. */
    private function hardscape(): void
    {
        $plan = $this->plan;
        $this->ids('hardscape', array_map(static fn (Piece $p): string => $p->id, $plan->pieces), 40, 'stones and pieces of wood');
        $sound = true;
        foreach ($plan->pieces as $piece) {
            $sound = $this->within("hardscape.$piece->id.litres", 'The piece', $piece->litres, 0.005, 500.0, Dimension::Volume, 2) && $sound;
            $this->within("hardscape.$piece->id.place", 'The place', $piece->place, 0.0, 1.0, Dimension::Share, 0);
            $this->within("hardscape.$piece->id.row", 'The place between front and back', $piece->row, 0.0, 1.0, Dimension::Share, 0);
        }
        if (!$sound || [] === $plan->pieces) {
            return;
        }
        $room = $plan->vessel->volumeBelow($plan->waterLine) - $plan->bed->volume($plan->vessel);
        if ($plan->displaced() > self::MOST_DISPLACED * $room) {
            $this->add('hardscape.'.$plan->pieces[\count($plan->pieces) - 1]->id.'.litres', static fn (UnitSystem $u): string => \sprintf(
                'Stones and wood take up %s, more than half of the %s above the bed. Take some out.', $u->show(Dimension::Volume, $plan->displaced()), $u->show(Dimension::Volume, $room)));
        }
    }

    private function deeperLayer(Side $side): string
    {
        $bed = $this->plan->bed;

        $depths = ['bed.soil' => $bed->soil?->depth($side) ?? 0.0, 'bed.leaves' => $bed->leaves?->depth($side) ?? 0.0, 'bed.cap' => $bed->cap?->depth($side) ?? 0.0];

        return (string) array_search(max($depths), $depths, true);
    }

    private function layer(string $name, ?Layer $layer): bool
    {
        if (null === $layer) {
            return true;
        }
        $words = match ($name) {
            'soil' => 'The soil',
            'leaves' => 'The leaf layer',
            default => 'The cap',
        };
        $front = $this->within("bed.$name.front", $words, $layer->front, 0.0, 2.0, Dimension::Length);

        return $this->within("bed.$name.back", $words, $layer->back, 0.0, 2.0, Dimension::Length) && $front;
    }

    private function light(): void
    {
        $this->within('light.watts', 'The lamp (watts)', $this->plan->lamp->watts, 0.0, 2000.0, Dimension::Count);
        $this->within('light.lumens', 'The lamp', $this->plan->lamp->lumens, 0.0, 200000.0, Dimension::LuminousFlux, 0);
        $this->within('light.hours', 'The light', $this->plan->lamp->hours, 0.0, 24.0, Dimension::Duration);
        $lamp = $this->plan->lamp;
        $this->within('light.landing', 'The share of light that lands on the water', $lamp->landing, self::LEAST_LANDING, 1.0, Dimension::Share, 0);
        $this->within('light.height', 'The lamp over the rim', $lamp->height, 0.0, 1.5, Dimension::Length);
        $this->within('light.on', 'The hour at which the lamp goes on', $lamp->programme->on, 0.0, 24.0, Dimension::Duration);
        $this->within('light.pause', 'The pause', $lamp->programme->pause, 0.0, max(0.0, 24.0 - $lamp->hours), Dimension::Duration);
        if ($lamp->programme->allDay < 0 || $lamp->programme->allDay > 60) {
            $this->add('light.allDay', 'Light day and night for 0 to 60 days.');
        }
        $this->within('light.startShare', 'The strength in the first week', $lamp->programme->startShare, 0.05, 1.0, Dimension::Share, 0);
        $this->within('light.stepShare', 'The weekly step', $lamp->programme->stepShare, 0.0, 1.0, Dimension::Share, 0);
    }

    private function plants(): void
    {
        $this->ids('plants', array_map(static fn (Clump $c): string => $c->id, $this->plan->clumps), 60, 'clumps');
        foreach ($this->plan->clumps as $clump) {
            if ($clump->pieces < 1 || $clump->pieces > 5000) {
                $this->add("plants.$clump->id.pieces", 'Plant from 1 to 5000 pieces, or remove the clump.');
            }
            if ($clump->day < 0 || $clump->day > 365) {
                $this->add("plants.$clump->id.day", 'Plant on a day from 0 (filling) to 365.');
            }
            $this->within("plants.$clump->id.place", 'The place', $clump->place, 0.0, 1.0, Dimension::Count, 2);
            $this->within("plants.$clump->id.row", 'The place between front and back', $clump->row, 0.0, 1.0, Dimension::Count, 2);
        }
    }

    private function water(): void
    {
        $this->sourceWater('water', $this->plan->water);
        if (null !== $this->plan->topUp) {
            $this->sourceWater('topUp', $this->plan->topUp);
        }
        $this->site($this->plan->site);
        $this->within('care.changeShare', 'The share of water changed', $this->plan->care->changeShare, 0.0, 1.0, Dimension::Share, 0);
        if ($this->plan->care->changeEvery < 0 || $this->plan->care->changeEvery > 730) {
            $this->add('care.changeEvery', 'Change water every 1 to 730 days, or 0 for never.');
        }
        $care = $this->plan->care;
        $this->within('care.gas', 'The gas that is held', $care->gas, 0.0, 60.0, Dimension::Concentration);
        $this->within('care.trickle', 'The bottle (mg of CO₂ a day)', $care->trickle, 0.0, 20000.0, Dimension::Count, 0);
        if ($this->plan->site->sealed && ($care->gas > 0 || $care->trickle > 0 || $care->fertilises())) {
            $this->add('site.sealed', 'A sealed vessel takes no gas and no fertiliser. Leave it open, or give none.');
        }
        foreach (['nitrogen' => 20.0, 'phosphorus' => 5.0, 'potassium' => 50.0, 'iron' => 2.0] as $name => $most) {
            $this->within("care.$name", "The $name of the fertiliser", $care->$name, 0.0, $most, Dimension::Concentration);
        }
    }

    private function sourceWater(string $path, SourceWater $water): void
    {
        $this->within("$path.pH", 'The pH', $water->pH, 4.0, 10.0, Dimension::Acidity);
        $this->within("$path.kh", 'The carbonate hardness', $water->kh, 0.0, self::MOST_KH, Dimension::Hardness);
        $this->within("$path.gh", 'The general hardness', $water->gh, 0.0, self::MOST_GH, Dimension::Hardness);
        $this->within("$path.nitrate", 'The nitrate', $water->nitrate, 0.0, self::MOST_NITRATE, Dimension::Concentration);
        $this->within("$path.phosphate", 'The phosphate', $water->phosphate, 0.0, 10.0, Dimension::Concentration);
        $this->within("$path.sodium", 'The sodium', $water->sodium, 0.0, 500.0, Dimension::Concentration, 0);
        $this->within("$path.calcium", 'The share of calcium', $water->calcium, 0.0, 1.0, Dimension::Share);
        $this->within("$path.chloride", 'The chloride', $water->chloride, 0.0, 500.0, Dimension::Concentration, 0);
        $this->within("$path.sulphate", 'The sulphate', $water->sulphate, 0.0, 200.0, Dimension::Concentration, 0);
    }

    private function site(Site $site): void
    {
        $sound = $this->within('site.temperature', 'The water', $site->temperature, self::COOLEST, self::WARMEST, Dimension::Temperature);
        $sound = $this->within('site.swing', 'The swing of the seasons', $site->swing, 0.0, 20.0, Dimension::TemperatureDifference) && $sound;
        if ($sound && ($site->temperature - $site->swing < 0.5 || $site->temperature + $site->swing > self::WARMEST)) {
            $this->add('site.swing', static fn (UnitSystem $u): string => \sprintf('With this swing the water would go from %s to %s through the year; Olvek reckons with open water up to %s.',
                $u->show(Dimension::Temperature, $site->temperature - $site->swing), $u->show(Dimension::Temperature, $site->temperature + $site->swing), $u->show(Dimension::Temperature, self::WARMEST)));
        }
        if ($site->filledOn < 1 || $site->filledOn > 365) {
            $this->add('site.filledOn', 'The day of filling is a day of the year, 1 (1 January) to 365.');
        }
        $this->within('site.bears', 'What the support bears', 1000 * $site->bears, 0.0, 20e6, Dimension::Mass, 0);
        $this->within('site.above', 'The room over the rim', $site->above, 0.0, 10.0, Dimension::Length);
        if (0.0 !== $site->room) {
            $this->within('site.room', 'The air', $site->room, 5.0, 40.0, Dimension::Temperature);
        }
        $this->within('site.humidity', 'The humidity', $site->humidity, 0.0, 1.0, Dimension::Share, 0);
        if (0.0 !== $site->carbonDioxide) {
            $this->within('site.carbonDioxide', 'Carbon dioxide in the air (ppm)', $site->carbonDioxide, 200.0, 5000.0, Dimension::Count, 0);
        }
        $this->within('site.altitude', 'The altitude (m)', $site->altitude, -400.0, 5000.0, Dimension::Count, 0);
        $this->within('site.rain', 'The rain (mm a year)', $site->rain, 0.0, 5000.0, Dimension::Count, 0);
        $this->within('site.latitude', 'The latitude', $site->latitude, -70.0, 70.0, Dimension::Count);
        $this->within('site.sky', 'The share of sky', $site->sky, 0.0, 1.0, Dimension::Share, 0);
    }

    private function animals(): void
    {
        $this->ids('animals', array_map(static fn (Group $g): string => $g->id, $this->plan->groups), 30, 'groups');
        foreach ($this->plan->groups as $group) {
            if ($group->count < 1 || $group->count > Group::MOST) {
                $this->add("animals.$group->id.count", \sprintf('Stock from 1 to %d animals, or remove the group.', Group::MOST));
            }
            if ($group->day < 0 || $group->day > 1095) {
                $this->add("animals.$group->id.day", 'Animals come on a day from 0 (filling) to 1095 (three years).');
            }
        }
        $feed = $this->plan->feed;
        if (!is_finite($feed->grams) || $feed->grams < 0 || $feed->grams > self::MOST_FOOD) {
            $this->add('feeding.grams', 'Feed from 0 to 1000 g of dry food a day.');
        } elseif ($feed->grams > 0 && $this->plan->site->sealed) {
            $this->add('feeding.grams', 'A sealed vessel is never opened to feed. Feed 0, or leave it open.');
        } elseif ($feed->grams > 0 && [] === $this->plan->groups) {
            $this->add('feeding.grams', 'There are no animals to eat this food. Add animals first, or feed 0.');
        }
        $this->within('feeding.protein', 'The protein in the food', $feed->protein, 0.0, 0.8, Dimension::Share, 0);
        if ($this->plan->feedFrom < 0 || $this->plan->feedFrom > 1095) {
            $this->add('feeding.fromDay', 'Feeding starts on a day from 0 to 1095.');
        }
    }

    private function occasions(): void
    {
        $this->ids('events', array_map(static fn (Occasion $o): string => $o->id, $this->plan->occasions), 60, 'entries in the days');
        $clumps = array_column($this->plan->clumps, 'id');
        foreach ($this->plan->occasions as $occasion) {
            $path = "events.$occasion->id";
            if ($occasion->day < 0 || $occasion->day > 1095) {
                $this->add("$path.day", 'It happens on a day from 0 (filling) to 1095 (three years).');
            }
            foreach ($occasion->kind->values() as $name => [, $least, $most]) {
                $value = (float) ($occasion->values[$name] ?? \NAN);
                if (!is_finite($value) || $value < $least || $value > $most) {
                    $field = Field::at("$path.$name");
                    $this->add("$path.$name", static fn (UnitSystem $u): string => null === $field ? 'This is no number.' : \sprintf('This must be between %s and %s.', $field->say((float) $least, $u), $field->say((float) $most, $u)));
                }
            }
            if (null !== $occasion->clump && !\in_array($occasion->clump, $clumps, true)) {
                $this->add("$path.clump", 'The plan has no such clump.');
            }
        }
    }

    /** @param list<string> $ids */
    private function ids(string $path, array $ids, int $most, string $words): void
    {
        if (\count($ids) > $most) {
            $this->add($path, \sprintf('%d %s are more than Olvek reckons with; keep to %d.', \count($ids), $words, $most));
        }
        foreach (array_count_values($ids) as $id => $times) {
            if ($times > 1 || 1 !== preg_match('/^[a-z0-9][a-z0-9-]{0,30}$/', (string) $id)) {
                $this->add($path, \sprintf('“%s” must be an id of its own: small letters, digits and hyphens.', mb_substr((string) $id, 0, 40)));
            }
        }
    }

    private function within(string $path, string $words, float $value, float $least, float $most, Dimension $dimension, int $decimals = 1): bool
    {
        if (is_finite($value) && $value >= $least - 1e-12 && $value <= $most + 1e-12) {
            return true;
        }
        $this->add($path, static fn (UnitSystem $u): string => \sprintf(
            '%s must be between %s and %s; this says %s.', $words, $u->show($dimension, $least, $decimals), $u->show($dimension, $most, $decimals),
            is_finite($value) ? $u->show($dimension, $value, $decimals) : 'no number at all'));

        return false;
    }

    private static function length(UnitSystem $units, float $metres): string
    {
        return $units->show(Dimension::Length, $metres);
    }

    /** @param string|\Closure(UnitSystem): string $words */
    private function add(string $path, string|\Closure $words): void
    {
        $this->problems[] = new Problem($path, $words);
    }
}
