<?php

declare(strict_types=1);

namespace Olvek\Core\Keeping\Estimation;

use Olvek\Core\Keeping\Log\ActualPlan;
use Olvek\Core\Keeping\Log\Log;
use Olvek\Core\Keeping\Log\LoggedEvent;
use Olvek\Core\Nature\Animal\Feed;
use Olvek\Core\Nature\Plant\Handful;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Simulation\Run\MassBalance;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Simulation\Run\State;

/**
 * What went round in a tank in a stretch of days, mg of nitrogen: what food, changes and fertiliser brought, what left with cut plants
 * and as
 * gas, and where the rest went.
 */
final readonly class Books
{
    /**
     * @param float $food       in the food given
     * @param float $fed        g of it, dry
     * @param float $fertilised as liquid fertiliser
     * @param float $changed    with changes of water, what came in less what went out
     * @param float $cut        in plants that were taken out
     * @param float $cutGrams   g of them, wet
     * @param float $phosphorus mg P in them
     * @param float $gas        as nitrogen gas from the bed
     * @param float $plants     by which the plants hold more at the end
     * @param float $soil       by which the bed holds more (as a rule less)
     * @param float $rest       by which water, mulm, algae and animals hold more, and what animals that came or went brought
     * @param int   $cuts       times that something was cut, as logged
     */
    private function __construct(
        public int $from,
        public int $to,
        public float $food,
        public float $fed,
        public float $fertilised,
        public float $changed,
        public float $cut,
        public float $cutGrams,
        public float $phosphorus,
        public float $gas,
        public float $plants,
        public float $soil,
        public float $rest,
        public int $cuts,
    ) {
    }

    public static function of(ActualPlan $actual, Runner $runner, Log $log, int $from, int $to): self
    {
        $at = [];
        $watch = static function (int $n, State $s, MassBalance $books) use (&$at, $from, $to): void {
            if ($n === $from - 1 || $n === $to || 0 === $n) {
                $at[$n] = [
                    'cut' => $books->cut,
                    'cutNitrogen' => $books->cutNitrogen,
                    'phosphorus' => $books->cutPhosphorus,
                    'changed' => $books->changedNitrogen,
                    'fertilised' => $books->fertilised,
                    'plants' => array_sum($s->leafNitrogen),
                    'soil' => $s->poreNitrogen + $s->soilNitrate + $s->flushNitrogen
                        + $s->tabNitrogen + $s->readyNitrogen + $s->slowNitrogen,
                ];
            }
        };
        $trace = $runner->run($to + 1, $actual->events, watch: $watch);
        $before = $at[max(0, $from - 1)];
        $after = $at[$to];
        $grams = 0.0;
        foreach ($after['cut'] as $clump => $dry) {
            $grams += ($dry - ($before['cut'][$clump] ?? 0.0)) * $actual->plan->clumps[$clump]->kind->wetRatio->value;
        }
        $sum = static fn (string $column): float => array_sum(\array_slice($trace->columns[$column], $from, $to - $from + 1));
        $food = $sum('food');
        $of = static fn (string $name): float => (float) $after[$name] - (float) $before[$name];
        [$cut, $gas, $plants, $soil] = [$of('cutNitrogen'), $sum('denitrified'), $of('plants'), $of('soil')];
        $in = $food + $of('fertilised') + $of('changed');

        return new self(
            $from,
            $to,
            $food,
            $food / 1000 / max(1e-9, $actual->plan->feed->protein * Feed::NITROGEN_IN_PROTEIN),
            $of('fertilised'),
            $of('changed'),
            $cut,
            $grams,
            $of('phosphorus'),
            $gas,
            $plants,
            $soil,
            $in - $cut - $gas - $plants - $soil,
            \count(array_filter(
                $log->events,
                static fn (LoggedEvent $e): bool => \in_array(
                    $e->kind,
                    [EventKind::Trim, EventKind::Remove],
                    true,
                ) && $e->day >= $from && $e->day <= $to,
            )),
        );
    }

    public function handfuls(): float
    {
        return $this->cutGrams / Handful::WET;
    }

    /** Share of the food's nitrogen that left with cut plants; null where nothing was fed. */
    public function cutShare(): ?float
    {
        return $this->food > 0 ? $this->cut / $this->food : null;
    }
}
