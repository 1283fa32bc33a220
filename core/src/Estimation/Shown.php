<?php

declare(strict_types=1);

namespace Olvek\Core\Estimation;

/** Where a quantity is shown, at its case; one without is estimated only for what is worked out of it. */
#[\Attribute(\Attribute::TARGET_CLASS_CONSTANT)]
final readonly class Shown
{
    /** @param string $label what it is called where no measure has a word for it */
    public function __construct(public ?QuantityGroup $group = null, public string $label = '')
    {
    }
}
