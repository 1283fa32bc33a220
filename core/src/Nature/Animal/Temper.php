<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Animal;

/** How an animal gets on with others. */
enum Temper: string
{
    case Peaceful = 'peaceful';
    case Lively = 'lively';
    case Quarrelsome = 'quarrelsome';
    case Predator = 'predator';
}
