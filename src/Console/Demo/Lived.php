<?php

declare(strict_types=1);

namespace Olvek\Console\Demo;

use Olvek\Core\Planning\Event\Event;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\MassBalance;
use Olvek\Core\Simulation\Run\Parameters;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Simulation\Run\State;
use Olvek\Core\Simulation\Run\Trace;
use Olvek\Core\Simulation\Run\UsualCare;

/** How an invented tank went: its days, and which of its plants were cut when, and by how much. */
final readonly class Lived
{
    /** Share of a clump below which nobody would write a cut down. J. */
    private const LEAST = 0.05;

    /** @param list<array{int, int, float}> $cuts day, clump, share of it */
    private function __construct(public Plan $plan, public Trace $trace, public array $cuts)
    {
    }

    /** @param list<Event> $events beside what the plan says and such a tank's usual care */
    public static function of(Plan $plan, Parameters $parameters, int $age, array $events): self
    {
        $cuts = [];
        $before = [];
        $watch = static function (int $n, State $s, MassBalance $books) use (&$cuts, &$before): void {
            foreach ($books->cut as $clump => $grams) {
                $new = $grams - ($before[$clump] ?? 0.0);
                $share = $new > 0 ? $new / ($new + $s->biomass[$clump]) : 0.0;
                if ($share > self::LEAST) {
                    $cuts[] = [$n, $clump, round($share, 2)];
                }
            }
            $before = $books->cut;
        };
        $trace = (new Runner($plan, $parameters))->run($age + 1, [...UsualCare::events(), ...$events], watch: $watch);

        return new self($plan, $trace, $cuts);
    }
}
