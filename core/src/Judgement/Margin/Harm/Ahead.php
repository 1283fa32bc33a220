<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin\Harm;

use Olvek\Core\Basis\Message\Message;

/** Something that a keeper will see, told beforehand, or should know; none of it refuses a tank. */
final readonly class Ahead
{
    /**
     * @param string   $id       what it is: "dust", "cloud", "pale-tips", "hunger" and so on (Forecast)
     * @param string   $about    id of the kind, where it is about one
     * @param int|null $from     day after filling; null where it holds all along
     * @param int|null $to       day; null where it does not end within the year
     * @param bool     $harmless whether it goes by itself and nothing needs to be done
     */
    public function __construct(
        public string $id,
        public Message $message,
        public bool $harmless,
        public ?int $from = null,
        public ?int $to = null,
        public string $about = '',
    ) {
    }

    /** The same from one day to another, or to no day within the year. */
    public function within(int $from, ?int $to): self
    {
        return new self($this->id, $this->message, $this->harmless, $from, $to, $this->about);
    }
}
