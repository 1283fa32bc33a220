<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Sign;

use Olvek\Core\Keeping\Log\Sign;

/** Something that shows in the logbook or ahead of it, before anybody sees it in the tank. */
final readonly class Notice
{
    /**
     * @param string   $id    of what it is about; the same for as long as that lasts
     * @param Sign     $sign  that may come of it, to ask about
     * @param string   $words a sentence, calm, with numbers
     * @param int      $day   after filling, on which it began
     */
    public function __construct(
        public string $id,
        public Sign $sign,
        public string $words,
        public int $day,
        public ?string $of = null,
        public bool $isUrgent = false,
    ) {
    }
}
