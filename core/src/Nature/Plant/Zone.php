<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Plant;

/** Where in a tank a plant belongs. */
enum Zone: string
{
    case Front = 'front';
    case Middle = 'middle';
    case Back = 'back';
    case Surface = 'surface';
    case Edge = 'edge';
    case Hardscape = 'hardscape';

    /** Usual place between the front pane (0) and the back (1). */
    public function row(): float
    {
        return match ($this) {
            self::Front => 0.15,
            self::Middle, self::Surface, self::Hardscape => 0.5,
            self::Back => 0.8,
            self::Edge => 0.95,
        };
    }
}
