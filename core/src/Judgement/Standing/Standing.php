<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Standing;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Judgement\Margin\Harm\Ahead;
use Olvek\Core\Judgement\Margin\Harm\Forecast;
use Olvek\Core\Judgement\Margin\Harm\Harm;
use Olvek\Core\Judgement\Margin\Harm\Harms;
use Olvek\Core\Judgement\Margin\Harm\Verdict;
use Olvek\Core\Judgement\Margin\MarginState;
use Olvek\Core\Judgement\Margin\Outlook;
use Olvek\Core\Keeping\Estimation\Lived;
use Olvek\Core\Keeping\Log\Log;
use Olvek\Core\Simulation\Run\Snapshot;

/** How a running tank stands today: who or what comes to harm in the weeks ahead as it goes on, and how sure that is. */
final readonly class Standing
{
    /**
     * @param int                     $day     after filling, on which it stands so
     * @param non-empty-list<Message> $verdict what will happen to whom and what to do; how sure that is
     * @param list<Harm>              $harms   the gravest first, those that weigh nothing among them
     * @param list<Ahead>             $ahead   what will be seen
     * @param list<bool>              $sound   of each simulated tank, whether nothing comes to harm; none where one alone was run
     * @param Snapshot                $snapshot what shows in it on that day
     */
    private function __construct(
        public int $day,
        public MarginState $state,
        public array $verdict,
        public array $harms,
        public array $ahead,
        public array $sound,
        public Snapshot $snapshot,
    ) {
    }

    /** From the likeliest tank alone: at once, and without knowing how sure it is. */
    public static function likely(Lived $lived, int $day, Log $log): self
    {
        $outlook = Prospect::outlook($lived, $day);

        return self::made($outlook, Prospect::of($outlook)->harms, [], $log);
    }

    /**
     * From all tanks of an estimate.
     *
     * @param Lived          $likeliest of them
     * @param list<Prospect> $tanks
     */
    public static function among(Lived $likeliest, int $day, array $tanks, Log $log): self
    {
        return self::made(
            Prospect::outlook($likeliest, $day),
            Harms::sorted(HarmShares::among(array_map(static fn (Prospect $p): array => $p->harms, $tanks))),
            array_map(static fn (Prospect $p): bool => $p->isSound(), $tanks),
            $log,
        );
    }

    /** @return list<Harm> those that weigh something, the gravest first */
    public function weighing(): array
    {
        return array_values(array_filter($this->harms, static fn (Harm $h): bool => MarginState::Holds !== $h->state));
    }

    /** Whether it is known how sure this is. */
    public function isSure(): bool
    {
        return [] !== $this->sound;
    }

    /**
     * @param Outlook    $outlook of the likeliest tank
     * @param list<Harm> $harms
     * @param list<bool> $sound
     */
    private static function made(Outlook $outlook, array $harms, array $sound, Log $log): self
    {
        $harms = self::withRead(ReadHarm::of($outlook, $log), $harms);
        $sure = [] === $sound ? null : new Message('running.sure', [
            'holds' => \count(array_filter($sound)),
            'of' => \count($sound),
        ]);
        $kinds = [];
        foreach ($outlook->present->groups as $group) {
            if ($group->day <= $outlook->since) {
                $kinds[$group->kind->id] = $group->kind->common;
            }
        }

        return new self(
            $outlook->since,
            Harms::state($harms),
            Verdict::ofRunning(array_values($kinds), $harms, $sure),
            $harms,
            Forecast::of($outlook),
            $sound,
            $outlook->trace->on($outlook->since),
        );
    }

    /**
     * What was read comes before what a run expects of the same.
     *
     * @param list<Harm> $read
     * @param list<Harm> $expected
     *
     * @return list<Harm>
     */
    private static function withRead(array $read, array $expected): array
    {
        $isRead = static fn (Harm $harm): bool => [] !== array_filter(
            $read,
            static fn (Harm $r): bool => $r->id === $harm->id && $r->about === $harm->about,
        );

        return [...$read, ...array_values(array_filter($expected, static fn (Harm $h): bool => !$isRead($h)))];
    }
}
