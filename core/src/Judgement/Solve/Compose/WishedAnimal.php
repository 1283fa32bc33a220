<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Solve\Compose;

use Olvek\Core\Nature\Animal\AnimalKind;

/** An animal that a keeper dreams of. */
final readonly class WishedAnimal
{
    /** @param int|null $count heads; null for as many as suit */
    public function __construct(public AnimalKind $kind, public ?int $count = null)
    {
    }
}
