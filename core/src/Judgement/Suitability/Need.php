<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Suitability;

/** What a kind may find wanting in a tank. */
enum Need: string
{
    case Light = 'light';
    case Warmth = 'warmth';
    case Hardness = 'hardness';
    case Acidity = 'acidity';
    case Oxygen = 'oxygen';
    case Room = 'room';
    case Place = 'place';
    case Roots = 'roots';
    case Company = 'company';
    case Age = 'age';
}
