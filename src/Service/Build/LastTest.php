<?php

declare(strict_types=1);

namespace Olvek\Service\Build;

use Olvek\Service\Tank\Tank;

/** What the last test of a tank's water says to somebody who is about to let animals in. */
interface LastTest
{
    /** What it read that kills animals, as a sentence or two; null where it read nothing of the kind, or nobody has tested. */
    public function warning(Tank $tank): ?string;
}
