<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Basis\Field;

use Olvek\Core\Basis\Field\Section;

/** A plan that has an outlet and nothing else. */
final readonly class Drained
{
    public function __construct(#[Section('outlet')] public Outlet $outlet)
    {
    }
}
