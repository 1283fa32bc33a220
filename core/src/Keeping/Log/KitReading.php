<?php

declare(strict_types=1);

namespace Olvek\Core\Keeping\Log;

use Olvek\Core\Basis\Message\Value;
use Olvek\Core\Nature\Water\Measure;

/** A concentration within a message, as a keeper's kit shows it. */
final readonly class KitReading implements Value
{
    /** @param float $value on the logbook's base scale */
    public function __construct(public TestKit $kit, public Measure $measure, public float $value)
    {
    }
}
