<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Field;

use Olvek\Core\Field\Section;

/** A plan that has an outlet and nothing else. */
final readonly class Drained
{
    public function __construct(#[Section('outlet')] public Outlet $outlet)
    {
    }
}
