<?php

declare(strict_types=1);

namespace Olvek\Core\Run\Event;

use Olvek\Core\Run\Books;
use Olvek\Core\Run\Facts;
use Olvek\Core\Run\State;

/**
 * Takes plant matter out of the tank, with all that is in it.
 *
 * @internal
 */
final class Cutting
{
    public static function take(State $s, Facts $facts, Books $books, int $clump, float $share): void
    {
        $books->out($s->leaf($facts->parameters, $clump, $share * $s->biomass[$clump]));
    }
}
