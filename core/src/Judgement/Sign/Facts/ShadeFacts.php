<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Sign\Facts;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Judgement\Sign\Finding;
use Olvek\Core\Judgement\Sign\Source;
use Olvek\Core\Judgement\Sign\TankCase;
use Olvek\Core\Keeping\Log\LoggedEvent;
use Olvek\Core\Keeping\Log\Reading;
use Olvek\Core\Nature\Water\Measure;
use Olvek\Core\Planning\Event\EventKind;

/** How the plants on which a sign is seen stand in light, and whether they grow. */
final class ShadeFacts
{
    /** Share of its greatest growth that light allows, from which a plant has enough, and below which it has too little. J. */
    private const LIT = [0.4, 0.15];
    /** Share of the surface under floaters from which they shade, and at which they close it. C. */
    private const COVER = [0.5, 0.8];
    /** Times its planted mass that others stand over it, from which they press on it. J. */
    private const OVER = [1.5, 2.5];
    /** Days over which growth shows, and by how much a plant should have grown in them. J. */
    private const GROWS = 14;
    private const GROWN = [0.08, 0.01];
    /** Days for which a cut tells why a plant is smaller. */
    private const CUT = 21;

    /** @return list<Finding> */
    public static function of(TankCase $case): array
    {
        $found = [self::floaters($case)];
        $clumps = array_values(array_filter($case->clumps(), static fn (int $i): bool => !$case->plan->clumps[$i]->floats()));
        if ([] === $clumps) {
            return $found;
        }
        // Of many, the one that fares worst; where none is named, that says less of the one that is meant.
        $darkest = $slowest = null;
        foreach ($clumps as $i) {
            $lit = array_sum(array_map(static fn (array $day): float => $day[$i] ?? 0.0, self::days($case, $case->trace->lit)));
            $lit /= TankCase::WINDOW;
            $darkest = null === $darkest || $lit < $darkest[1] ? [$i, $lit] : $darkest;
            $growth = self::growth($case, $i);
            $slowest = null !== $growth && (null === $slowest || $growth < $slowest[1]) ? [$i, $growth] : $slowest;
        }
        $name = static fn (int $i): string => $case->plan->clumps[$i]->kind->common;
        $named = $case->isNamed('clump');
        $found[] = new Finding(
            'little-light',
            Finding::ramp($darkest[1], ...self::LIT),
            \sprintf('By the run, light allows %s %s %% of its growth', $name($darkest[0]), Decimal::trimmed(100 * $darkest[1], 0)),
            $named ? $case->byRun() : Source::Guess,
            $case->day,
        );
        $found[] = self::outgrown($case, $named ? $clumps : [$darkest[0]]);
        if (null !== $slowest && ($named || 1 === \count($clumps))) {
            $found[] = self::stopped($case, $slowest[0], $slowest[1]);
        }

        return $found;
    }

    private static function floaters(TankCase $case): Finding
    {
        return $case->level(Measure::Cover, 'cover', 'the floaters’ share of the surface')->finding('floaters-closed', ...self::COVER);
    }

    /** @param non-empty-list<int> $clumps */
    private static function outgrown(TankCase $case, array $clumps): Finding
    {
        $plan = $case->plan;
        $most = 0.0;
        $words = 'By the run, no neighbour has grown over it';
        $shot = $case->trace->on($case->day);
        foreach ($clumps as $i) {
            foreach ($plan->clumps as $n => $other) {
                $near = abs($other->place - $plan->clumps[$i]->place) * $plan->vessel->length();
                $reach = sqrt($shot->spread($plan, $n) / \M_PI) + sqrt($plan->clumps[$i]->area() / \M_PI);
                $taller = $shot->height($plan, $n) > $shot->height($plan, $i);
                if ($n === $i || $other->floats() || !$taller || $near > $reach) {
                    continue;
                }
                $times = $shot->growth($plan, $n);
                if ($times > $most) {
                    $most = $times;
                    $words = \sprintf(
                        'By the run, %s next to it stands at %s times what was planted',
                        $other->kind->common,
                        Decimal::significant($times, 2),
                    );
                }
            }
        }

        return new Finding('outgrown', Finding::ramp($most, ...self::OVER), $words, $case->byRun(), $case->day);
    }

    /** By which share a clump has grown in two weeks: as measured, or as the run has it. Null where it was cut, or is too young. */
    private static function growth(TankCase $case, int $i): ?float
    {
        $clump = $case->plan->clumps[$i];
        $cut = array_filter(
            [...$case->lately(EventKind::Trim, self::CUT), ...$case->lately(EventKind::Remove, self::CUT)],
            static fn (LoggedEvent $e): bool => $e->of === $clump->id,
        );
        $from = $case->day - self::GROWS;
        if ([] !== $cut || $from < $case->plantedOn($clump)) {
            return null;
        }
        $heights = array_values(array_filter(
            $case->log->readings,
            static fn (Reading $r): bool => Measure::Height === $r->measure && $r->of === $clump->id && $r->day >= $from - self::GROWS,
        ));
        if (\count($heights) > 1 && $heights[0]->value > 0) {
            return end($heights)->value / $heights[0]->value - 1;
        }
        $before = $case->trace->clumps[max(0, $from)][$i];

        return $before > 0 ? $case->trace->clumps[$case->day][$i] / $before - 1 : null;
    }

    private static function stopped(TankCase $case, int $i, float $growth): Finding
    {
        return new Finding(
            'growth-stopped',
            Finding::ramp($growth, ...self::GROWN),
            \sprintf(
                '%s has grown by %s %% in two weeks, by %s',
                $case->plan->clumps[$i]->kind->common,
                Decimal::trimmed(100 * $growth, 0),
                null === $case->log->latest(Measure::Height, $case->plan->clumps[$i]->id) ? 'the run' : 'your ruler',
            ),
            null === $case->log->latest(Measure::Height, $case->plan->clumps[$i]->id) ? $case->byRun() : Source::Read,
            $case->day,
        );
    }

    /**
     * @param list<array<int, float>> $byDay
     *
     * @return list<array<int, float>> of the last days
     */
    private static function days(TankCase $case, array $byDay): array
    {
        return \array_slice($byDay, max(0, $case->day - TankCase::WINDOW + 1), min(TankCase::WINDOW, $case->day + 1));
    }
}
