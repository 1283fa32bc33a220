<?php

declare(strict_types=1);

namespace Olvek\Core\Estimation;

use Olvek\Core\Log\TestKit;
use Olvek\Core\Unit\Decimal;
use Olvek\Core\Unit\Dimension;
use Olvek\Core\Unit\UnitSystem;
use Olvek\Core\Water\Measure;

/** What is estimated of a tank, whether or not it can be read: by the run's column of it. */
enum Quantity: string
{
    case Ammonia = 'ammonia';
    case Nitrite = 'nitrite';
    case Nitrate = 'nitrate';
    case Phosphate = 'phosphate';
    case Potassium = 'potassium';
    case Iron = 'iron';
    case Acidity = 'pH';
    case AcidityAtDawn = 'pHLeast';
    case AcidityAtDusk = 'pHMost';
    case CarbonateHardness = 'carbonateHardness';
    case GeneralHardness = 'generalHardness';
    case Conductivity = 'conductivity';
    case Temperature = 'temperature';
    case Oxygen = 'oxygen';
    case CarbonDioxide = 'carbonDioxide';
    case Plants = 'plants';
    case Cover = 'cover';
    case Film = 'algae';
    case GreenWater = 'greenWater';
    case Mulm = 'mulm';
    case Soil = 'soilReady';
    case Bacteria = 'ammoniaOxidisers';
    case Animals = 'heads';
    case Evaporation = 'evaporated';

    public function label(): string
    {
        return match ($this) {
            self::Potassium => 'potassium',
            self::Oxygen => 'oxygen before dawn',
            self::CarbonDioxide => 'CO₂ by day',
            self::Plants => 'plants, dry',
            self::Film => 'film of algae, dry',
            self::GreenWater => 'green in the water, dry',
            self::Mulm => 'mulm, as carbon',
            self::Soil => 'nitrogen that the soil still frees',
            self::Bacteria => 'bacteria that take ammonia',
            self::Animals => 'animals',
            self::Evaporation => 'what dries up a day',
            default => ($this->measure() ?? throw new \LogicException("$this->value has no words"))->label(),
        };
    }

    /** By which it is read; null where nobody reads it at home. */
    public function measure(): ?Measure
    {
        return match ($this) {
            self::Ammonia => Measure::Ammonia,
            self::Nitrite => Measure::Nitrite,
            self::Nitrate => Measure::Nitrate,
            self::Phosphate => Measure::Phosphate,
            self::Iron => Measure::Iron,
            self::Acidity => Measure::Acidity,
            self::AcidityAtDawn => Measure::AcidityAtDawn,
            self::AcidityAtDusk => Measure::AcidityAtDusk,
            self::CarbonateHardness => Measure::CarbonateHardness,
            self::GeneralHardness => Measure::GeneralHardness,
            self::Conductivity => Measure::Conductivity,
            self::Temperature => Measure::Temperature,
            self::Cover => Measure::Cover,
            default => null,
        };
    }

    public static function of(Measure $measure): ?self
    {
        foreach (self::cases() as $quantity) {
            if ($quantity->measure() === $measure) {
                return $quantity;
            }
        }

        return null;
    }

    /** Two values in words, their unit once; '' where they read alike. */
    public function between(float $low, float $high, TestKit $kit, UnitSystem $units): string
    {
        [$one, $other] = [$this->say($low, $kit, $units), $this->say($high, $kit, $units)];
        $unit = mb_strstr($other, "\u{00A0}");
        $bare = false === $unit || !str_ends_with($one, $unit) ? $one : mb_substr($one, 0, -mb_strlen($unit));

        return $one === $other ? '' : "$bare to $other";
    }

    /** A value in words, as the keeper's kit and units have it. */
    public function say(float $value, TestKit $kit, UnitSystem $units): string
    {
        $measure = $this->measure();
        if (null !== $measure) {
            return $kit->show($measure, $value, $units);
        }

        return match ($this) {
            self::Plants => Decimal::significant($value, 2)."\u{00A0}g",
            self::Film => Decimal::significant($value, 2)."\u{00A0}g/m²",
            self::Mulm => Decimal::significant($value, 2)."\u{00A0}g",
            self::Soil => Decimal::significant($value / 1000, 2)."\u{00A0}g",
            self::Bacteria => Decimal::trimmed(100 * $value, 0)."\u{202F}%",
            self::Animals => Decimal::trimmed($value, 0),
            self::Evaporation => $units->show(Dimension::Volume, $value, 2),
            default => Decimal::significant($value, 2)."\u{00A0}mg/L",
        };
    }
}
