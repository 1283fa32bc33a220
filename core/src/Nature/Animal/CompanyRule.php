<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Animal;

/** What holds of a kind's company in any tank, however large. C. */
enum CompanyRule: string
{
    /** Two males fight until one is dead. */
    case OneMale = 'one-male';
    /** Bites at long fins. */
    case Nips = 'nips';
    /** Has long fins. */
    case LongFins = 'long-fins';
}
