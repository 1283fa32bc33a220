<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\Unit;

/**
 * How far the tank stays from one limit.
 *
 * $value, $limit and $good are on one scale, more being better: below $limit it fails, from $good on it holds,
 * between them it is tight. $measure is what a keeper would read, in $unit.
 */
final readonly class Margin
{
    /** Value shown where nothing comes near the limit. */
    private const PLENTY = 9.0;

    public string $name;
    public MarginState $state;
    public Voice $voice;

    /**
     * @param int|null   $worstDay day from filling on which the margin is closest
     * @param string     $shown    the measure as text with its unit
     * @param string     $bound    the limits as text
     * @param string     $sentence what it means for this tank
     * @param list<Term> $terms    the numbers behind it
     */
    public function __construct(
        public MarginId $id,
        public float $value,
        public float $limit,
        public float $good,
        public ?int $worstDay,
        public float $measure,
        public string $unit,
        public string $shown,
        public string $bound,
        public string $sentence,
        public array $terms,
        public ?Spread $spread = null,
    ) {
        $this->name = $id->about()->name;
        $this->voice = $id->about()->voice;
        $this->state = match (true) {
            // What methods ask is never a failure by itself.
            $value < $limit => Voice::Practice === $this->voice ? MarginState::Tight : MarginState::Fails,
            $value < $good => MarginState::Tight,
            default => MarginState::Holds,
        };
    }

    /**
     * A measure that should stay low: it fails above $act and is tight above $watch.
     *
     * @param list<Term> $terms
     */
    public static function atMost(
        MarginId $id,
        float $measure,
        string $unit,
        float $watch,
        float $act,
        ?int $worstDay,
        string $sentence,
        array $terms,
        ?string $shown = null,
    ): self {
        return new self(
            $id,
            min(self::PLENTY, $act / max(1e-9, $measure)),
            1.0,
            $act / $watch,
            $worstDay,
            $measure,
            $unit,
            $shown ?? self::text($measure, $unit),
            \sprintf('tight above %s, fails above %s', self::text($watch, $unit), self::text($act, $unit)),
            $sentence,
            $terms,
        );
    }

    /**
     * A measure that should stay high: it fails below $act and is tight below $good.
     *
     * @param list<Term> $terms
     */
    public static function atLeast(
        MarginId $id,
        float $measure,
        string $unit,
        float $act,
        float $good,
        ?int $worstDay,
        string $sentence,
        array $terms,
    ): self {
        return new self(
            $id,
            $measure,
            $act,
            $good,
            $worstDay,
            $measure,
            $unit,
            self::text($measure, $unit),
            self::bound($act, $good, $unit),
            $sentence,
            $terms,
        );
    }

    /** The limits of a measure that should stay high, as text. */
    public static function bound(float $act, float $good, string $unit): string
    {
        return \sprintf('fails below %s, holds from %s', self::text($act, $unit), self::text($good, $unit));
    }

    /** The same margin where its question does not arise. */
    public static function idle(MarginId $id, string $shown, string $sentence): self
    {
        return new self($id, self::PLENTY, 1.0, 2.0, null, self::PLENTY, '', $shown, '', $sentence, []);
    }

    /** @param Spread $spread as the band of a plan is judged: in metric units */
    public function withSpread(Spread $spread): self
    {
        $unit = Unit::named($this->unit);
        if (Dimension::Hardness === $unit?->dimension()) {
            $spread = new Spread($unit->fromBase($spread->low), $unit->fromBase($spread->high), $spread->holds, $spread->of);
        }

        /** @phpstan-ignore argument.type (the names and types are those of the constructor) */
        return new self(...[...array_diff_key(get_object_vars($this), ['name' => 0, 'state' => 0, 'voice' => 0]), 'spread' => $spread]);
    }

    /** The spread's ends as text; empty without one. */
    public function spreadWords(): string
    {
        if (null === $this->spread || '' === $this->unit) {
            return '';
        }
        $low = self::text($this->spread->low, $this->unit);
        $high = self::text($this->spread->high, $this->unit);

        return $low === $high ? $high : self::number($this->spread->low, $this->unit).'–'.$high;
    }

    public static function text(float $measure, string $unit): string
    {
        $number = self::number($measure, $unit);

        return match (true) {
            '' === $unit => $number,
            '%' === $unit => $number."\u{202F}%",
            default => $number."\u{00A0}".$unit,
        };
    }

    private static function number(float $measure, string $unit): string
    {
        return match (true) {
            '%' === $unit => Decimal::trimmed(100 * $measure, 0),
            abs($measure) >= 100 => Decimal::trimmed($measure, 0),
            0.0 === $measure => '0',
            abs($measure) < 0.01 => "<\u{202f}0.01",
            default => Decimal::significant($measure, 2),
        };
    }

    /** Place on a gauge, 0–1: the limit stands at a third, the good value at two thirds. */
    public function position(): float
    {
        return $this->place($this->value);
    }

    private function place(float $value): float
    {
        $span = $this->good - $this->limit;

        return match (true) {
            $value < $this->limit => $this->limit <= 0 ? max(0.0, 1 + $value) / 3 : max(0.0, $value / $this->limit) / 3,
            $value < $this->good => 1 / 3 + ($value - $this->limit) / $span / 3,
            default => 1 - max($this->good, 1e-12) / max($value, $this->good, 1e-12) / 3,
        };
    }
}
