<?php

declare(strict_types=1);

namespace Olvek\Service\Editing;

use Olvek\Service\Site\ConcurrentChange;

/** An edit based on a revision that no longer stands. */
final class StaleEdit extends ConcurrentChange
{
    public function __construct()
    {
        parent::__construct(
            'This tank has been changed in another window meanwhile. Nothing of yours was saved yet; here is the tank as it is now, with '
                .'what you typed. Send it again to save it.',
        );
    }
}
