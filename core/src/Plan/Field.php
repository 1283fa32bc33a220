<?php

declare(strict_types=1);

namespace Olvek\Core\Plan;

use Olvek\Core\Unit\Decimal;
use Olvek\Core\Unit\Dimension;
use Olvek\Core\Unit\Ion;
use Olvek\Core\Unit\QuantityReader;
use Olvek\Core\Unit\Unit;
use Olvek\Core\Unit\UnitSystem;
use Olvek\Core\Unit\UnreadableQuantity;

/**
 * A number in a plan's document that a keeper may type: what it is called, in which unit it is shown and read,
 * and how the shown value stands to the stored one.
 */
final readonly class Field
{
    private function __construct(
        public string $path,
        public string $label,
        private Dimension $dimension,
        private int $decimals,
        private bool $whole = false,
        private ?Unit $metric = null,
        private ?Unit $us = null,
        private float $storedPerBase = 1.0,
    ) {
    }

    /** The field at a path, or null when the path names no typed number. */
    public static function at(string $path): ?self
    {
        $length = static fn (string $label): self => new self($path, $label, Dimension::Length, 2);
        $whole = static fn (string $label, Dimension $dimension = Dimension::Count): self => new self($path, $label, $dimension, 0, true);

        return match (preg_replace('/^(plants|animals|hardscape|events)\.[a-z0-9-]{1,31}\.|(?<=\.parts|\.doses)\.[a-z0-9-]{1,60}$/', '$1.*.', $path)) {
            'vessel.length' => $length('length'),
            'vessel.width' => $length('width, front to back'),
            'vessel.diameter' => $length('diameter'),
            'vessel.height' => $length('height'),
            'vessel.glass' => new self($path, 'glass thickness', Dimension::Length, 2, metric: Unit::Millimetre, us: Unit::Inch),
            'vessel.bow' => $length('bow of the front'),
            'vessel.mouth' => $length('mouth'),
            'vessel.lip' => $length('lowest point of the lip'),
            'vessel.foot' => $length('foot'),
            'vessel.wall' => new self($path, 'wall thickness', Dimension::Length, 2, metric: Unit::Millimetre, us: Unit::Inch),
            'waterLine' => $length('water line'),
            'site.swing' => new self($path, 'warmer in summer by', Dimension::TemperatureDifference, 1),
            'site.filledOn' => $whole('filled on day of the year'),
            'site.latitude' => new self($path, 'latitude, degrees north', Dimension::Count, 1),
            'site.sky' => new self($path, 'share of sky it sees', Dimension::Share, 0),
            'site.bears' => new self($path, 'the support bears (0: unknown)', Dimension::Mass, 0, metric: Unit::Kilogram, us: Unit::Pound, storedPerBase: 0.001),
            'site.above' => $length('room over the rim'),
            'site.room' => new self($path, 'air, °C (0: about the water’s)', Dimension::Temperature, 1),
            'site.humidity' => new self($path, 'humidity of the air', Dimension::Share, 0),
            'site.carbonDioxide' => new self($path, 'CO₂ in the air, ppm (0: usual)', Dimension::Count, 0),
            'site.altitude' => new self($path, 'metres above the sea', Dimension::Count, 0),
            'site.rain' => new self($path, 'rain, mm a year', Dimension::Count, 0),
            'site.temperature' => new self($path, 'water temperature', Dimension::Temperature, 1),
            'bed.soil.front' => $length('soil at the front'),
            'bed.soil.back' => $length('soil at the back'),
            'bed.cap.front' => $length('cap at the front'),
            'bed.cap.back' => $length('cap at the back'),
            'bed.leaves.front' => $length('leaves at the front'),
            'bed.leaves.back' => $length('leaves at the back'),
            'bed.plate' => $length('water under a plate'),
            'bed.core' => new self($path, 'bags of lava in the hill', Dimension::Volume, 1),
            'bed.setback' => $length('soil kept back from the front'),
            'bed.soil.parts.*.', 'bed.leaves.parts.*.', 'bed.cap.parts.*.' => new self($path, 'parts of the mix', Dimension::Count, 2),
            'bed.doses.*.' => new self($path, 'amendment', Dimension::Mass, 1, metric: Unit::Gram, us: Unit::Ounce),
            'hardscape.*.litres' => new self($path, 'takes up', Dimension::Volume, 2),
            'hardscape.*.place' => new self($path, 'place', Dimension::Share, 0),
            'hardscape.*.row' => new self($path, 'front to back', Dimension::Share, 0),
            'light.lumens' => new self($path, 'lamp', Dimension::LuminousFlux, 0),
            'light.watts' => new self($path, 'watts (0: by lumens)', Dimension::Count, 1),
            'light.hours' => new self($path, 'hours of light', Dimension::Duration, 2),
            'light.height' => $length('lamp over the rim'),
            'light.on' => new self($path, 'goes on at', Dimension::Duration, 2),
            'light.pause' => new self($path, 'pause in the middle', Dimension::Duration, 2),
            'light.allDay' => $whole('days of light day and night at first'),
            'light.startShare' => new self($path, 'strength in the first week', Dimension::Share, 0),
            'light.stepShare' => new self($path, 'more each week', Dimension::Share, 0),
            'light.landing' => new self($path, 'share that lands on the water', Dimension::Share, 0),
            'plants.*.pieces' => $whole('pieces'),
            'plants.*.day' => $whole('planted on day'),
            'plants.*.place' => new self($path, 'place', Dimension::Share, 0),
            'plants.*.row' => new self($path, 'front to back', Dimension::Share, 0),
            'topUp.pH', 'water.pH' => new self($path, 'pH', Dimension::Acidity, 2),
            'topUp.kh', 'water.kh' => new self($path, 'carbonate hardness', Dimension::Hardness, 1),
            'topUp.gh', 'water.gh' => new self($path, 'general hardness', Dimension::Hardness, 1),
            'topUp.nitrate', 'water.nitrate' => new self($path, 'nitrate in it, as NO₃', Dimension::Concentration, 1, storedPerBase: 1 / Ion::Nitrate->perElement()),
            'topUp.phosphate', 'water.phosphate' => new self($path, 'phosphate in it, as PO₄ (0: unknown)', Dimension::Concentration, 2, storedPerBase: 1 / Ion::Phosphate->perElement()),
            'topUp.sodium', 'water.sodium' => new self($path, 'sodium', Dimension::Concentration, 0),
            'topUp.calcium', 'water.calcium' => new self($path, 'calcium in its hardness', Dimension::Share, 0),
            'topUp.chloride', 'water.chloride' => new self($path, 'chloride', Dimension::Concentration, 0),
            'topUp.sulphate', 'water.sulphate' => new self($path, 'sulphate, as SO₄', Dimension::Concentration, 0, storedPerBase: 1 / Ion::Sulphate->perElement()),
            'animals.*.count' => $whole('number'),
            'animals.*.day' => $whole('day they come'),
            'events.*.day' => $whole('day'),
            'events.*.days' => $whole('for days'),
            'events.*.share' => new self($path, 'share', Dimension::Share, 0),
            'events.*.grams' => new self($path, 'amount', Dimension::Mass, 3, metric: Unit::Gram, us: Unit::Gram),
            'events.*.hours' => new self($path, 'hours of light', Dimension::Duration, 2),
            'events.*.strength' => new self($path, 'strength', Dimension::Share, 0),
            'events.*.degrees' => new self($path, 'warmer by', Dimension::TemperatureDifference, 1),
            'events.*.milligramsPerLitre' => new self($path, 'ammonia as N', Dimension::Concentration, 2),
            'feeding.grams' => new self($path, 'dry food a day', Dimension::Mass, 3, metric: Unit::Gram, us: Unit::Gram),
            'feeding.protein' => new self($path, 'protein in the food', Dimension::Share, 0),
            'feeding.fromDay' => $whole('fed from day'),
            'care.changeShare' => new self($path, 'water changed each time', Dimension::Share, 0),
            'care.gas' => new self($path, 'CO₂ gas held by day (0: none)', Dimension::Concentration, 0),
            'care.trickle' => new self($path, 'CO₂ of a yeast bottle, mg a day', Dimension::Count, 0),
            'care.nitrogen' => new self($path, 'fertiliser a week: nitrogen', Dimension::Concentration, 2),
            'care.phosphorus' => new self($path, 'phosphorus', Dimension::Concentration, 3),
            'care.potassium' => new self($path, 'potassium', Dimension::Concentration, 1),
            'care.iron' => new self($path, 'iron', Dimension::Concentration, 3),
            'events.*.nitrogen' => new self($path, 'nitrogen', Dimension::Concentration, 2),
            'events.*.phosphorus' => new self($path, 'phosphorus', Dimension::Concentration, 3),
            'events.*.potassium' => new self($path, 'potassium', Dimension::Concentration, 1),
            'events.*.iron' => new self($path, 'iron', Dimension::Concentration, 3),
            'care.changeEvery' => $whole('days between changes (0: never)'),
            default => null,
        };
    }

    public function unit(UnitSystem $units): Unit
    {
        return match (true) {
            UnitSystem::Us === $units && null !== $this->us => $this->us,
            UnitSystem::Metric === $units && null !== $this->metric => $this->metric,
            default => $units->unitFor($this->dimension),
        };
    }

    /** The stored value as the bare number that stands in the field. */
    public function show(float $stored, UnitSystem $units): string
    {
        return str_replace("\u{2212}", '-', Decimal::trimmed($this->unit($units)->fromBase($stored / $this->storedPerBase), $this->decimals));
    }

    /** The stored value with its unit, for sentences. */
    public function say(float $stored, UnitSystem $units): string
    {
        return UnitSystem::in($this->unit($units), $stored / $this->storedPerBase, $this->decimals);
    }

    /**
     * The value to store for a typed text.
     *
     * @throws UnreadableQuantity
     */
    public function read(string $typed, UnitSystem $units): float|int
    {
        $stored = QuantityReader::read($typed, $this->unit($units)) * $this->storedPerBase;
        if (!$this->whole) {
            return $stored;
        }
        if (abs($stored) > 1e9 || abs($stored - round($stored)) > 1e-9) {
            throw new UnreadableQuantity('Type a whole number.');
        }

        return (int) round($stored);
    }
}
