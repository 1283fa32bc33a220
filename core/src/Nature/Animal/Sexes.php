<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Animal;

use Olvek\Core\Basis\Field\Worded;

/** Of which sex the animals of a group are. */
enum Sexes: string implements Worded
{
    case Mixed = 'mixed';
    case Males = 'males';
    case OneMale = 'one-male';
    case Females = 'females';

    public function words(): string
    {
        return match ($this) {
            self::Mixed => 'both, or nobody knows',
            self::Males => 'males only',
            self::OneMale => 'one male, the rest females',
            self::Females => 'females only',
        };
    }

    /** Whether they can have young. Females that met a male before they came may still bear some; that is not counted. */
    public function breed(): bool
    {
        return self::Mixed === $this || self::OneMale === $this;
    }

    /** How many males there may be among so many. */
    public function males(int $count): int
    {
        return match ($this) {
            self::Mixed, self::Males => $count,
            self::OneMale => min(1, $count),
            self::Females => 0,
        };
    }
}
