<?php

declare(strict_types=1);

namespace Olvek\Command;

use Olvek\Core\Catalogue\Catalogue;
use Olvek\Core\Change\Editor;
use Olvek\Core\Solve\Compose\Composer;
use Olvek\Core\Solve\Compose\Composition;
use Olvek\Core\Solve\Compose\Wish;
use Olvek\Core\Unit\UnitSystem;

/** The plans for a wish, one after each taste. */
final readonly class ComposePieces implements Pieces
{
    public function __construct(private Wish $wish, private UnitSystem $units)
    {
    }

    public function piece(int $n): Composition
    {
        $catalogue = Catalogue::shipped();

        return (new Composer(new Editor($catalogue), $catalogue))->compose($this->wish, $this->wish->tastes()[$n], $this->units);
    }
}
