<?php

declare(strict_types=1);

namespace Olvek\Core\Keeping\Log;

use Olvek\Core\Basis\Field\InvalidValue;
use Olvek\Core\Nature\Water\Measure;

/** One reading of a tank. On a day on which something was also done, it was read before. */
final readonly class Reading
{
    /**
     * @param int   $day   after filling
     * @param float       $value on the measure's base scale; nitrogen always as mg N/L, phosphate as mg P/L
     * @param string|null $of    clump or group of the plan that it was read of
     *
     * @throws InvalidValue
     */
    public function __construct(public int $day, public Measure $measure, public float $value, public ?string $of = null)
    {
        [$least, $most] = $measure->bounds();
        if ($day < 0 || !($value >= $least && $value <= $most)) {
            throw new InvalidValue(self::class, [$day < 0 ? 'day' : 'value']);
        }
    }

    /** True where nothing showed. */
    public function isNothing(): bool
    {
        return $this->value < $this->measure->nothingBelow();
    }
}
