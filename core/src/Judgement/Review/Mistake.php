<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Review;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Planning\Change\Change;
use Olvek\Core\Planning\Change\Changes;

/** Something in a plan that is to be fixed, or that is still to be decided. */
final readonly class Mistake
{
    /**
     * @param string                $stage where it is mended: vessel, bed, hardscape, light, equipment, plants, water, animals, start
     * @param bool                  $lack  true where something is only undecided or missing yet
     * @param list<Change> $changes that would mend it; none where that is the keeper's choice
     * @param Message|null $fix     what those would do, for a button
     */
    public function __construct(
        public string $id,
        public string $stage,
        public Message $message,
        public bool $lack = false,
        public array $changes = [],
        public ?Message $fix = null,
    ) {
    }

    /** @return array<string, string> the changes as a form carries them, typed text by place */
    public function edits(): array
    {
        return Changes::typed($this->changes);
    }
}
