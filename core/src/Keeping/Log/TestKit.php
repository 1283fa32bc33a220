<?php

declare(strict_types=1);

namespace Olvek\Core\Keeping\Log;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\Ion;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Nature\Water\Measure;

/** What a keeper's tests count: the ion, or nitrogen itself. Every threshold is told as that kit would show it. */
final readonly class TestKit
{
    /** @param array<string, Ion|null> $ions by measure; null where the kit says mg/L of N */
    private function __construct(private array $ions)
    {
    }

    /** @param string $code as code() gives it; anything that is not understood is the usual kit */
    public static function of(string $code = ''): self
    {
        $named = explode(',', $code);
        $ions = [];
        foreach (Measure::asIons() as $n => $measure) {
            $ion = Ion::tryFrom($named[$n] ?? '');
            $measured = $measure->measured();
            $counted = \in_array($ion, $measured->ions, true) ? $ion : $measured->ions[0];
            $ions[$measure->value] = $measured->element === ($named[$n] ?? '') ? null : $counted;
        }

        return new self($ions);
    }

    /** "NH4,NO2,NO3,PO4": what is counted of ammonia, nitrite, nitrate and phosphate. */
    public function code(): string
    {
        return implode(',', array_map($this->counts(...), Measure::asIons()));
    }

    /** @return list<string> what this kit may count a measure as */
    public static function choices(Measure $measure): array
    {
        return [...array_map(static fn (Ion $ion): string => $ion->value, $measure->measured()->ions), $measure->measured()->element];
    }

    /** "NH4", "N", "P"; "" where there is nothing to choose. */
    public function counts(Measure $measure): string
    {
        return $measure->isElement() ? $this->ions[$measure->value]->value ?? $measure->measured()->element : '';
    }

    /** The base value of what the kit shows: mg N/L of mg/L of its ion; all else as it is. */
    public function toBase(Measure $measure, float $shown): float
    {
        return ($this->ions[$measure->value] ?? null)?->toElement($shown) ?? $shown;
    }

    /** What the kit shows of a base value. */
    public function fromBase(Measure $measure, float $value): float
    {
        return ($this->ions[$measure->value] ?? null)?->fromElement($value) ?? $value;
    }

    /** "0.3 mg/L as NH₄", "7.2", "23 °C". */
    public function show(Measure $measure, float $value, UnitSystem $units = UnitSystem::Metric): string
    {
        if (!$measure->isElement()) {
            return $units->show($measure->dimension(), $value, $measure->measured()->decimals);
        }

        return $this->figure($measure, $value)."\u{00A0}".$this->unit($measure);
    }

    /** The bare number as this kit shows it. Colours of a drop test tell no more than two figures, and no thousandths. */
    public function figure(Measure $measure, float $value): string
    {
        $shown = $this->fromBase($measure, $value);

        return $shown < 0.005 ? '0' : ($shown < 0.1 ? Decimal::trimmed($shown, 2) : Decimal::significant($shown, 2));
    }

    /** The unit in which a measure is typed and shown: "mg/L as NH₄", "°C", "" for pH. */
    public function unit(Measure $measure, UnitSystem $units = UnitSystem::Metric): string
    {
        $symbol = $units->unitFor($measure->dimension())->symbol();

        return $measure->isElement() ? "$symbol as ".self::ionText($this->counts($measure)) : $symbol;
    }

    /**
     * Steps of common kits, as this one shows them: what is pressed instead of typed. All C. None where a number is read off.
     *
     * @return list<float>
     */
    public function steps(Measure $measure, UnitSystem $units = UnitSystem::Metric): array
    {
        $steps = $measure->measured()->steps;
        $way = $measure->isElement() ? $this->counts($measure) : $units->unitFor($measure->dimension())->value;

        return $steps[$way] ?? $steps[''] ?? [];
    }

    /** An ion as people write it: "NH₄". */
    public static function ionText(string $ion): string
    {
        return strtr($ion, ['2' => '₂', '3' => '₃', '4' => '₄']);
    }
}
