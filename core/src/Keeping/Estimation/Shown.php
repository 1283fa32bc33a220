<?php

declare(strict_types=1);

namespace Olvek\Core\Keeping\Estimation;

/** Where a quantity is shown, at its case. One without this is estimated but not shown: others are derived from it. */
#[\Attribute(\Attribute::TARGET_CLASS_CONSTANT)]
final readonly class Shown
{
    /** @param string $label what it is called where no measure has a word for it */
    public function __construct(public ?QuantityGroup $group = null, public string $label = '')
    {
    }
}
