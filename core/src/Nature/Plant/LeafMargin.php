<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Plant;

/** How the edge of a leaf runs. */
enum LeafMargin: string
{
    case Curled = 'curled';
    case Plain = 'plain';
    case Spiral = 'spiral';
    case Split = 'split';
    case Toothed = 'toothed';
    case Wavy = 'wavy';
}
