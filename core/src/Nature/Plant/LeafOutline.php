<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Plant;

/** What shape a leaf has. */
enum LeafOutline: string
{
    case Arrow = 'arrow';
    case Clover = 'clover';
    case Droop = 'droop';
    case Fan = 'fan';
    case Feather = 'feather';
    case Flame = 'flame';
    case Fork = 'fork';
    case Frond = 'frond';
    case Hand = 'hand';
    case Heart = 'heart';
    case Joint = 'joint';
    case Lance = 'lance';
    case Needle = 'needle';
    case Oval = 'oval';
    case Pinnate = 'pinnate';
    case Round = 'round';
    case Scale = 'scale';
    case Spoon = 'spoon';
    case Strap = 'strap';
    case Umbrella = 'umbrella';
}
