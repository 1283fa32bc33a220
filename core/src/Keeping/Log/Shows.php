<?php

declare(strict_types=1);

namespace Olvek\Core\Keeping\Log;

/** What is to be said of a sign: its name, on what it is seen, and what it looks like to somebody who has not seen it before. */
#[\Attribute(\Attribute::TARGET_CLASS_CONSTANT)]
final readonly class Shows
{
    /**
     * @param string $words   its name
     * @param On     $on      on what it is seen
     * @param string $look    what it looks like, a sentence
     * @param bool   $isGood  true where nobody would ask for its cause
     * @param bool   $isUrgent true where animals may be lost within hours
     */
    public function __construct(
        public string $words,
        public On $on,
        public string $look,
        public bool $isGood = false,
        public bool $isUrgent = false,
    ) {
    }
}
