<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Plant;

/** How a plant carries its leaves. */
enum Habit: string
{
    case Alternate = 'alternate';
    case Ball = 'ball';
    case Creeping = 'creeping';
    case Cushion = 'cushion';
    case Floating = 'floating';
    case Lily = 'lily';
    case Opposite = 'opposite';
    case Reed = 'reed';
    case Rhizome = 'rhizome';
    case Ribbon = 'ribbon';
    case Rosette = 'rosette';
    case Shoot = 'shoot';
    case Thallus = 'thallus';
    case Trailing = 'trailing';
    case Tuft = 'tuft';
    case Whorled = 'whorled';
}
