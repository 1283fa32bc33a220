<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Animal;

/** How an animal is marked. */
enum CoatPattern: string
{
    case Bars = 'bars';
    case Blotches = 'blotches';
    case Fins = 'fins';
    case Front = 'front';
    case Hind = 'hind';
    case Lower = 'lower';
    case Panda = 'panda';
    case Plain = 'plain';
    case Spots = 'spots';
    case Stripe = 'stripe';
    case Stripes = 'stripes';
    case Tail = 'tail';
    case Wedge = 'wedge';
}
