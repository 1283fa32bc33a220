<?php

declare(strict_types=1);

namespace Olvek\Service\Estimate;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Basis\Unit\Words;
use Olvek\Core\Keeping\Estimation\Estimate;
use Olvek\Core\Keeping\Estimation\Quantity;
use Olvek\Core\Keeping\Log\Log;
use Olvek\Core\Keeping\Log\TestKit;
use Olvek\Core\Simulation\Run\Alga;

/** One quantity of a tank today, as a bar: where it was to be expected, where the readings have put it, and what was read last. */
final readonly class Gauge
{
    public const WIDTH = 300.0;
    /** Air around the outermost value, as share of the range. J. */
    private const AIR = 0.08;
    /**
     * Times what a test just shows, and g of film per m² that show, that a bar goes to at the least: so that nothing does not look like
     * much. J.
     */
    private const LEAST = 2.5;

    /** @param array{x: float, words: string}|null $read the last reading, on its place */
    private function __construct(
        public string $label,
        public string $likely,
        public string $range,
        public float $expectedFrom,
        public float $expectedTo,
        public float $from,
        public float $to,
        public float $middle,
        public ?array $read,
    ) {
    }

    private static function least(Quantity $quantity): float
    {
        return match (true) {
            true === $quantity->measure()?->isAcidity() => 0.5,
            Quantity::Film === $quantity => self::LEAST * Alga::SHOWS,
            default => max(1e-6, self::LEAST * ($quantity->measure()?->nothingBelow() ?? 0.0)),
        };
    }

    public static function of(Quantity $quantity, Estimate $estimate, Log $log, TestKit $kit, UnitSystem $units): self
    {
        [$low, $middle, $high] = $estimate->on($quantity, $estimate->today);
        [$least, , $most] = $estimate->wasExpected($quantity, $estimate->today);
        $measure = $quantity->measure();
        $read = null === $measure ? null : $log->latest($measure);
        $all = [$low, $high, $least, $most, ...null === $read ? [] : [$read->value]];
        $isAcidity = true === $measure?->isAcidity();
        $foot = $isAcidity || Quantity::Temperature === $quantity ? min($all) : 0.0;
        $range = max(self::least($quantity), max($all) - $foot);
        $x = static fn (float $value): float => round(self::WIDTH * (self::AIR + (1 - 2 * self::AIR) * ($value - $foot) / $range), 1);
        $say = static fn (float $value): string => $quantity->say($value, $kit, $units);

        // Thousandths of a gram are none to anybody's eye.
        $isUnseen = Quantity::Film === $quantity && $high < Alga::SHOWS;

        return new self(
            Words::capital($quantity->label()),
            $isUnseen ? 'none to be seen' : $say($middle),
            $isUnseen ? '' : $quantity->between($low, $high, $kit, $units),
            $x($least),
            $x($most),
            $x($low),
            $x($high),
            $x($middle),
            null === $read ? null : ['x' => $x($read->value), 'words' => $say($read->value)." on day $read->day"],
        );
    }
}
