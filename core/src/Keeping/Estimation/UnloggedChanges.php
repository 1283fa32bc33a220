<?php

declare(strict_types=1);

namespace Olvek\Core\Keeping\Estimation;

use Olvek\Core\Planning\Event\Event;
use Olvek\Core\Planning\Event\Tank;

/**
 * Water that a keeper changes week by week and writes nowhere: in most tanks none, in some up to a third.
 *
 * @internal
 */
final readonly class UnloggedChanges implements Event
{
    public const DIMENSION = 'unlogged changes';
    /** Normal score up to which none is changed (69 % of tanks), share changed for each score beyond, and most. J. */
    private const NONE = 0.5;
    private const EACH = 0.12;
    private const MOST = 0.3;
    private const WEEKDAY = 3;

    private function __construct(private float $share)
    {
    }

    /**
     * @param array<string, float> $scores of a tank, by dimension
     *
     * @return list<self>
     */
    public static function in(array $scores): array
    {
        $over = ($scores[self::DIMENSION] ?? 0.0) - self::NONE;

        return $over > 0.0 ? [new self(min(self::MOST, self::EACH * $over))] : [];
    }

    public function due(int $day, Tank $tank): bool
    {
        return self::WEEKDAY === $day % 7;
    }

    public function happen(int $day, Tank $tank): void
    {
        $tank->changeWater($this->share);
    }
}
