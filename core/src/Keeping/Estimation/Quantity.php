<?php

declare(strict_types=1);

namespace Olvek\Core\Keeping\Estimation;

use Olvek\Core\Basis\Unit\CaseAttribute;
use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Keeping\Log\TestKit;
use Olvek\Core\Nature\Water\Measure;

/** What is estimated of a tank, whether or not it can be read: by the run's column of it. */
enum Quantity: string
{
    #[Shown(QuantityGroup::Nutrients)]
    case Ammonia = 'ammonia';
    #[Shown(QuantityGroup::Nutrients)]
    case Nitrite = 'nitrite';
    #[Shown(QuantityGroup::Nutrients)]
    case Nitrate = 'nitrate';
    #[Shown(QuantityGroup::Nutrients)]
    case Phosphate = 'phosphate';
    #[Shown(QuantityGroup::Nutrients, 'potassium')]
    case Potassium = 'potassium';
    #[Shown(QuantityGroup::Nutrients)]
    case Iron = 'iron';
    #[Shown(QuantityGroup::Chemistry, 'oxygen before dawn')]
    case Oxygen = 'oxygen';
    #[Shown(QuantityGroup::Chemistry, 'CO₂ by day')]
    case CarbonDioxide = 'carbonDioxide';
    case Acidity = 'pH';
    #[Shown(QuantityGroup::Chemistry)]
    case AcidityAtDawn = 'pHLeast';
    #[Shown(QuantityGroup::Chemistry)]
    case AcidityAtDusk = 'pHMost';
    #[Shown(QuantityGroup::Chemistry)]
    case CarbonateHardness = 'carbonateHardness';
    #[Shown(QuantityGroup::Chemistry)]
    case GeneralHardness = 'generalHardness';
    #[Shown(QuantityGroup::Chemistry)]
    case Conductivity = 'conductivity';
    #[Shown(QuantityGroup::Chemistry)]
    case Temperature = 'temperature';
    #[Shown(QuantityGroup::Life, 'plants, dry')]
    case Plants = 'plants';
    #[Shown(QuantityGroup::Life)]
    case Cover = 'cover';
    #[Shown(QuantityGroup::Life, 'animals')]
    case Animals = 'heads';
    #[Shown(QuantityGroup::Life, 'bacteria that take ammonia')]
    case Bacteria = 'ammoniaOxidisers';
    #[Shown(QuantityGroup::Life, 'mulm, as carbon')]
    case Mulm = 'mulm';
    #[Shown(QuantityGroup::Life, 'nitrogen that the soil still frees')]
    case Soil = 'soilReady';
    #[Shown(QuantityGroup::Life, 'film of algae, dry')]
    case Film = 'algae';
    #[Shown(label: 'green in the water, dry')]
    case GreenWater = 'greenWater';
    #[Shown(label: 'what dries up a day')]
    case Evaporation = 'evaporated';

    private function shown(): Shown
    {
        return CaseAttribute::of($this, Shown::class) ?? new Shown();
    }

    public function group(): ?QuantityGroup
    {
        return $this->shown()->group;
    }

    public function label(): string
    {
        $label = $this->shown()->label;

        return '' !== $label ? $label : ($this->measure() ?? throw new \LogicException("$this->value has no words"))->label();
    }

    /** By which it is read; null where nobody reads it at home. */
    public function measure(): ?Measure
    {
        return Measure::ofColumn($this->value);
    }

    public static function of(Measure $measure): ?self
    {
        return self::tryFrom($measure->measured()->column);
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
