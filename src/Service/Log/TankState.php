<?php

declare(strict_types=1);

namespace Olvek\Service\Log;

use Olvek\Core\Keeping\Log\Log;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\PlanDocument;

/**
 * A filled tank as it stands at one moment, as data: all that long work about it needs. It travels with the work, so that a worker computes
 * on just this, whatever has been logged or planned since; what comes of it is kept by its key.
 */
final readonly class TankState
{
    /**
     * @param string $plan   document of the plan that stands
     * @param string $filled day of filling, year-month-day
     * @param int    $day    today, after filling
     * @param string $key    fingerprint of all of it
     */
    private function __construct(public string $plan, public string $filled, public int $day, public Log $log, public string $key)
    {
    }

    /** @param string $logKey fingerprint of what the log holds */
    public static function of(string $plan, \DateTimeImmutable $filled, int $day, Log $log, string $logKey): self
    {
        $on = $filled->format('Y-m-d');

        return new self($plan, $on, $day, $log, hash('xxh128', implode("\n", [$plan, $on, $day, $logKey])));
    }

    /** The plan, in the seasons in which it was really filled. */
    public function plan(PlanDocument $document): Plan
    {
        return $document->fromJson($this->plan)->filledOn(new \DateTimeImmutable($this->filled, new \DateTimeZone('UTC')));
    }

    /** @return array<string, int|string> small enough for a queue, also where a probe has read for years */
    public function __serialize(): array
    {
        return [
            'plan' => $this->plan,
            'filled' => $this->filled,
            'day' => $this->day,
            'key' => $this->key,
            'log' => base64_encode((string) gzdeflate(serialize($this->log))),
        ];
    }

    /** @param array{plan: string, filled: string, day: int, key: string, log: string} $data */
    public function __unserialize(array $data): void
    {
        $log = unserialize((string) gzinflate((string) base64_decode($data['log'], true)));
        \assert($log instanceof Log);
        $this->plan = $data['plan'];
        $this->filled = $data['filled'];
        $this->day = $data['day'];
        $this->key = $data['key'];
        $this->log = $log;
    }
}
