<?php

declare(strict_types=1);

namespace Olvek\Core\Basis\Field;

/** An enum whose cases a keeper chooses from. */
interface Worded extends \BackedEnum
{
    /** What a case is called on a control. */
    public function words(): string;
}
