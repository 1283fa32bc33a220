<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin;

/**
 * What a margin is called, what it is about, whose voice it is, and what is worth trying where it does not hold; stands on its criterion.
 */
#[\Attribute(\Attribute::TARGET_CLASS)]
final readonly class Judges
{
    /**
     * @param list<Remedy> $remedies the usual first
     */
    public function __construct(
        public string $name,
        public Subject $subject,
        public array $remedies,
        public Voice $voice = Voice::Balance,
    ) {
    }
}
