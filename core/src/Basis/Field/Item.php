<?php

declare(strict_types=1);

namespace Olvek\Core\Basis\Field;

/** One of a list in a plan, known by a key of its own. */
interface Item
{
    public function key(): string;
}
