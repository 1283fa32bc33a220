<?php

declare(strict_types=1);

namespace Olvek\Core\Plan;

/** What may be written into a plan's days. Values are the words of the event document (docs/formats.md). */
enum OccasionKind: string
{
    case Change = 'change';
    case Trim = 'trim';
    case Feed = 'feed';
    case Light = 'light';
    case LampOff = 'lamp-off';
    case Spell = 'spell';
    case Holiday = 'holiday';
    case Leaves = 'leaves';
    case Dose = 'dose';
    case Fertilise = 'fertilise';

    public function words(): string
    {
        return match ($this) {
            self::Change => 'water change',
            self::Trim => 'trim',
            self::Feed => 'other amount of food',
            self::Light => 'other light',
            self::LampOff => 'lamp off',
            self::Spell => 'warm or cold spell',
            self::Holiday => 'holiday, nobody there',
            self::Leaves => 'dead leaves laid in',
            self::Dose => 'ammonia dosed',
            self::Fertilise => 'liquid fertiliser given',
        };
    }

    /**
     * What such a thing is told by: name in the document → usual, least, most.
     *
     * @return array<string, array{float|int, float|int, float|int}>
     */
    public function values(): array
    {
        return match ($this) {
            self::Change => ['share' => [0.3, 0.01, 1.0]],
            self::Trim => ['share' => [0.4, 0.01, 1.0]],
            self::Feed => ['grams' => [0.1, 0.0, 1000.0]],
            self::Light => ['hours' => [6.0, 0.0, 24.0], 'strength' => [1.0, 0.0, 5.0]],
            self::LampOff => ['days' => [3, 1, 1095]],
            self::Spell => ['days' => [5, 1, 1095], 'degrees' => [4.0, -20.0, 20.0]],
            self::Holiday => ['days' => [14, 1, 1095]],
            self::Leaves => ['grams' => [2.0, 0.0, 10000.0]],
            self::Dose => ['milligramsPerLitre' => [2.0, 0.0, 20.0]],
            // C: a week's lean dose.
            self::Fertilise => ['nitrogen' => [0.5, 0.0, 20.0], 'phosphorus' => [0.05, 0.0, 5.0], 'potassium' => [1.0, 0.0, 50.0], 'iron' => [0.05, 0.0, 2.0]],
        };
    }

    public function ofClump(): bool
    {
        return self::Trim === $this;
    }
}
