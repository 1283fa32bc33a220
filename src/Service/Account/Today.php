<?php

declare(strict_types=1);

namespace Olvek\Service\Account;

use Olvek\Service\Site\Moment;
use Psr\Clock\ClockInterface;

/** Days as a keeper counts them: in the keeper's own time zone, each given as its midnight in UTC. */
final readonly class Today
{
    public const REFUSED = 'Give the day as year-month-day, today or earlier.';

    public function __construct(private ClockInterface $clock)
    {
    }

    public function of(Keeper $keeper): \DateTimeImmutable
    {
        return new \DateTimeImmutable($this->clock->now()->setTimezone($keeper->zone())->format('Y-m-d'), new \DateTimeZone('UTC'));
    }

    /** A day as typed (today where nothing was), which must not lie ahead; null where it is no such day. */
    public function orEarlier(Keeper $keeper, string $typed): ?\DateTimeImmutable
    {
        $day = '' === $typed ? $this->of($keeper) : self::read($typed);

        return null === $day || $day > $this->of($keeper) ? null : $day;
    }

    /** Years in which a day can lie: before and after, some databases have none, and nobody means one. */
    private const YEARS = [1900, 2999];

    /** Reads YYYY-MM-DD; null where it is no day. */
    public static function read(string $typed): ?\DateTimeImmutable
    {
        $day = Moment::read('!Y-m-d', $typed, new \DateTimeZone('UTC'));

        return null === $day
            || $day->format('Y-m-d') !== $typed
            || (int) $day->format('Y') < self::YEARS[0]
            || (int) $day->format('Y') > self::YEARS[1]
            ? null
            : $day;
    }

    /** Whole days from one to another; negative where it lies before. */
    public static function between(\DateTimeImmutable $from, \DateTimeImmutable $to): int
    {
        return (int) $from->diff($to)->format('%r%a');
    }
}
