<?php

declare(strict_types=1);

namespace Olvek\Service\Drawing;

/** One line of a chart's band, with the day that matters most on it. */
final readonly class Curve
{
    /**
     * @param string $d     SVG path data
     * @param string $class its paint
     * @param string $words name and worst day, for the legend
     */
    public function __construct(public string $d, public string $class, public string $words, public float $markX, public float $markY)
    {
    }
}
