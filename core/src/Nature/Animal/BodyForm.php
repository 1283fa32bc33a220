<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Animal;

/** What an animal’s body looks like from the side. */
enum BodyForm: string
{
    case Backswimmer = 'backswimmer';
    case Beetle = 'beetle';
    case Boatman = 'boatman';
    case Catfish = 'catfish';
    case Cone = 'cone';
    case Copepod = 'copepod';
    case Crab = 'crab';
    case Crayfish = 'crayfish';
    case Deep = 'deep';
    case Disc = 'disc';
    case Dome = 'dome';
    case Eel = 'eel';
    case Flat = 'flat';
    case Flea = 'flea';
    case Globe = 'globe';
    case Horned = 'horned';
    case Louse = 'louse';
    case Planarian = 'planarian';
    case Pointed = 'pointed';
    case Polyp = 'polyp';
    case Puffer = 'puffer';
    case Scud = 'scud';
    case Seed = 'seed';
    case Shrimp = 'shrimp';
    case Slender = 'slender';
    case Sucker = 'sucker';
    case Tall = 'tall';
    case Thread = 'thread';
}
