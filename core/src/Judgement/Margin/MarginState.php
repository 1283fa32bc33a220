<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin;

/** How a margin stands. */
enum MarginState: string
{
    case Holds = 'holds';
    case Tight = 'tight';
    case Fails = 'fails';

    public function words(): string
    {
        return $this->value;
    }

    public function worse(self $other): self
    {
        return $this->rank() >= $other->rank() ? $this : $other;
    }

    public function rank(): int
    {
        return match ($this) {
            self::Holds => 0,
            self::Tight => 1,
            self::Fails => 2,
        };
    }
}
