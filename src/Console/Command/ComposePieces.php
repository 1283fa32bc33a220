<?php

declare(strict_types=1);

namespace Olvek\Console\Command;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Judgement\Solve\Compose\Composer;
use Olvek\Core\Judgement\Solve\Compose\Composition;
use Olvek\Core\Judgement\Solve\Compose\Wish;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Planning\Change\Editor;

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
