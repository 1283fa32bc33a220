<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Sign;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Judgement\Margin\AmmoniaMargin;
use Olvek\Core\Judgement\Margin\DawnOxygen;
use Olvek\Core\Planning\Change\Change;
use Olvek\Core\Planning\Change\Changes;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Plan\InvalidPlan;
use Olvek\Core\Planning\Plan\Plan;

/** What is done against a cause, tried on the tank's days ahead before anybody does it. */
final readonly class Trial
{
    /** Share by which a quantity must move for it to be the doing, and not the run's doubt. J. */
    private const CLEAR = 0.1;
    private const LEAST = 1e-9;

    /**
     * @param string       $words   what would be done
     * @param list<Change> $changes of the plan, from the next day on
     * @param bool|null    $helps   null where the run does not follow what is seen
     * @param string       $says    what came of it, a sentence
     * @param list<string> $harms   what it would break, each a sentence
     */
    private function __construct(public string $words, public array $changes, public ?bool $helps, public string $says, public array $harms)
    {
    }

    /** @return array<string, string> the changes as forms carry them */
    public function typed(): array
    {
        return Changes::typed($this->changes);
    }

    /** @return self|null null where there is nothing of it that can be planned in this tank */
    public static function of(TankCase $case, Cause $cause, Editor $editor): ?self
    {
        $changes = $cause->remedy?->changes($case, $case->day + 1) ?? [];
        if (null === $cause->remedy || [] === $changes || $case->day + 1 >= Plan::LAST_DAY) {
            return null;
        }
        try {
            $plan = $editor->apply($case->plan, Changes::typed($changes), UnitSystem::Metric)->plan;
        } catch (InvalidPlan) {
            // The plan has no room for it, or no longer whom it concerns.
            return null;
        }
        $then = TankCase::of($plan, $case->log, $case->day, $case->seen, $case->told, $case->kit, $case->units);
        $words = $cause->remedy->words($case);
        $harms = self::harms($case, $then);
        if (null === $cause->watch) {
            return new self($words, $changes, null, 'The run does not follow what you see: look yourself.', $harms);
        }
        $read = Remedy::ChangeWater === $cause->remedy ? $cause->watch->read($case) : null;
        if (null !== $read) {
            // What a change takes out of what was read needs no run.
            return new self($words, $changes, true, \sprintf(
                '%s; %s would be left.',
                $read->words,
                $cause->watch->say((1 - Remedy::CHANGED) * $read->value, $case),
            ), $harms);
        }
        $now = $cause->watch->of($case, $cause->days);
        $new = $cause->watch->of($then, $cause->days);
        if ($cause->watch->isBlind(max($now, $new))) {
            return new self($words, $changes, null, 'The run has none of what you see, so it cannot tell: look yourself.', $harms);
        }
        $moved = ($new - $now) / max(self::LEAST, abs($now));
        $moves = abs($moved) >= self::CLEAR;
        $helps = $moves && ($moved > 0) === $cause->watch->up;

        return new self(
            $words,
            $changes,
            $helps,
            $moves
                ? \sprintf(
                    'In the run of the days to day %d, %s comes to %s with it, %s without.',
                    $case->day + $cause->days,
                    $cause->watch->label(),
                    $cause->watch->say($new, $case),
                    $cause->watch->say($now, $case),
                )
                : \sprintf(
                    'The run sees no clear difference: %s stays at %s.',
                    $cause->watch->label(),
                    $cause->watch->say($now, $case),
                ),
            $harms,
        );
    }

    /** @return list<string> limits that hold without it and break with it */
    private static function harms(TankCase $case, TankCase $then): array
    {
        [$act] = DawnOxygen::limits($case->plan);
        $least = static fn (TankCase $c): float => min([\INF, ...\array_slice($c->trace->columns['oxygen'], $c->day + 1, TankCase::AHEAD)]);
        $most = static fn (TankCase $c): float => max([0.0, ...\array_slice($c->trace->columns['ammonia'], $c->day + 1, TankCase::AHEAD)]);
        $harms = [];
        if ($least($then) < $act && $least($case) >= $act) {
            $harms[] = 'Mind: with it oxygen would run low at dawn.';
        }
        if ($most($then) >= AmmoniaMargin::TEST_SHOWS && $most($case) < AmmoniaMargin::TEST_SHOWS) {
            $harms[] = 'Mind: with it ammonia would show.';
        }

        return $harms;
    }
}
