<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Sign;

use Olvek\Core\Nature\Water\Measure;

/** Something that may be so of a tank or not, and bears on causes. */
final readonly class FactKind
{
    /**
     * @param string       $yes     said where it is so
     * @param string       $no      said where it is not
     * @param Likelihood   $base    in how many tanks it is so, of those whose keepers ask
     * @param Measure|null $measure that tells it
     * @param string       $look    how to find out without a test; '' where nothing but Olvek's own numbers tell
     */
    public function __construct(
        public string $id,
        public string $yes,
        public string $no,
        public Likelihood $base,
        public ?Measure $measure,
        public string $look,
    ) {
    }

    /** Whether a keeper can go and find out. */
    public function canBeFound(): bool
    {
        return null !== $this->measure || '' !== $this->look;
    }

    /** How one finds out. */
    public function howToFind(): string
    {
        return match (true) {
            '' !== $this->look => $this->look,
            null === $this->measure => '',
            default => \sprintf('Test %s.', $this->measure->label()),
        };
    }
}
