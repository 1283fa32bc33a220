<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Sign;

use Olvek\Core\Keeping\Log\Sign;

/** A sign that is asked about. */
final readonly class Seen
{
    /** @param string|null $of clump or group on which it is seen; null for the whole tank */
    public function __construct(public Sign $sign, public ?string $of = null)
    {
    }
}
