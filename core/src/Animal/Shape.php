<?php

declare(strict_types=1);

namespace Olvek\Core\Animal;

/** The broad shape by which animals are drawn and grouped. */
enum Shape: string
{
    case Fish = 'fish';
    case Shrimp = 'shrimp';
    case Snail = 'snail';
}
