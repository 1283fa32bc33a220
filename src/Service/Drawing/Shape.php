<?php

declare(strict_types=1);

namespace Olvek\Service\Drawing;

/** One path of a drawing: where, in which stratum's paint, and how. */
final readonly class Shape
{
    /**
     * @param string $d     SVG path data
     * @param string $class names from the theme: a stratum's fill or a line
     */
    public function __construct(public string $d, public string $class)
    {
    }
}
