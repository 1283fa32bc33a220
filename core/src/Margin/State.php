<?php

declare(strict_types=1);

namespace Olvek\Core\Margin;

/** How a margin stands. */
enum State: string
{
    case Good = 'good';
    case Watch = 'watch';
    case Act = 'act';

    public function words(): string
    {
        return match ($this) {
            self::Good => 'holds',
            self::Watch => 'tight',
            self::Act => 'fails',
        };
    }

    public function worse(self $other): self
    {
        return $this->rank() >= $other->rank() ? $this : $other;
    }

    public function rank(): int
    {
        return match ($this) {
            self::Good => 0,
            self::Watch => 1,
            self::Act => 2,
        };
    }
}
