<?php

declare(strict_types=1);

/*
 * How far the run's hourly loop stands from the same loop in C, -O2 (bench/hours.c). A full plan's year gives the days; both go through the
 * same ones, what comes out is compared, and the medians of one run are printed with their ratio.
 */

use Olvek\Core\Simulation\Run\Conditions;
use Olvek\Core\Simulation\Run\Day;
use Olvek\Core\Simulation\Run\Hours\WaterHours;
use Olvek\Core\Simulation\Run\MassBalance;
use Olvek\Core\Simulation\Run\Processes;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Simulation\Run\State;
use Olvek\Core\Nature\Water\Calcite;
use Olvek\Core\Nature\Water\CarbonSpeciation;
use Olvek\Core\Nature\Water\Nitrification;
use Olvek\Core\Nature\Water\Oxygen;

require dirname(__DIR__) . '/vendor/autoload.php';
require __DIR__ . '/full.php';

$read = static fn(object $of, string ...$names): array => array_map(
    static fn(string $name): float => (float) (new ReflectionProperty($of, $name))->getValue($of),
    $names,
);

// A year of days, each with the water that it ended with: what the hours are given.
$plan = fullPlan();
$runner = new Runner($plan);
$facts = $runner->facts();
$one = new ReflectionMethod(Runner::class, 'day');
$state = new State($facts);
$books = new MassBalance();
$conditions = new Conditions($plan);
$processes = new Processes($facts);
/** @var list<array{State, Day}> $days */
$days = [];
for ($n = 0; $n < 365; ++$n) {
    $day = $one->invoke($runner, $n, $state, $books, $conditions, [], $processes, Runner::STEP);
    $days[] = [clone $state, $day];
}

$begun = new WaterHours($facts);
$part = static fn(object $of, string $name): mixed => (new ReflectionProperty($of, $name))->getValue($of);
[$colonies, $nitrogen, $lime, $carbon, $oxygen] = array_map(
    static fn(string $name): object => $part($begun, $name),
    ['colonies', 'nitrogen', 'lime', 'carbon', 'oxygen'],
);
$fixation = $part($carbon, 'fixation');
$text = count($days) . "\n";
foreach ($days as [$s, $day]) {
    $begun->run(clone $s, $day, new MassBalance());
    // Begun once more: what the day's steps changed is as it was at its start.
    $litres = $s->volume;
    $speciation = CarbonSpeciation::at($day->celsius);
    $colonies->begin($s, $day);
    $nitrogen->begin($s, $day, $litres);
    $lime->begin($s, $day, $litres);
    [$passes, $helped] = [$part($oxygen, 'passes'), $part($carbon, 'exchange') * CarbonSpeciation::CO2_PER_CARBON];
    $carbon->begin($s, $day, $speciation, $litres, $passes, $helped / $passes);
    $oxygen->begin($s, $day, Oxygen::saturation($day->celsius, $facts->pressure), $litres, $passes);
    $fields = [
        $litres, $speciation->k1, $speciation->k2, $speciation->kw,
        ...$read($colonies, 'ammoniaOxidisers', 'nitriteOxidisers', 'eachA', 'eachN', 'acid', 'mostA', 'mostN'),
        ...$read($colonies, 'yieldA', 'yieldN', 'busyDecay', 'idleDecay'),
        ...$read($nitrogen, 'ammonia', 'nitrite', 'nitrate', 'plantAppetite', 'algaeAppetite'),
        ...$read($nitrogen, 'halfAmmonia', 'halfNitrite', 'halfAlgae', 'through', 'denitrifying', 'acidity', 'ammoniaNoon', 'ammoniaRise'),
        ...$read($lime, 'calciumHardness', 'bed'),
        ...$read(Calcite::at($day->celsius), 'k2', 'perProduct'),
        ...$read($lime, 'bedSpeed', 'stoneSpeed', 'settling'),
        ...$read($carbon, 'carbon', 'alkalinity', 'hydrogen', 'in', 'exchange', 'air'),
        ...$read($fixation, 'free1', 'free2', 'free3', 'free4', 'both1', 'both2', 'both3', 'both4'),
        ...$read($fixation, 'bothAll', 'algae', 'betaMost', 'compensation'),
        ...$read($oxygen, 'oxygen', 'passes', 'saturation', 'out'),
        count($day->steps),
        ...array_merge(...$day->steps),
    ];
    $text .= implode(' ', array_map(static fn(float|int $x): string => sprintf('%.17g', $x), $fields)) . "\n";
}

$program = dirname(__DIR__) . '/var/bench-hours';
exec(sprintf(
    'cc -O2 -o %s -DHALF_INHIBITION=%.17g -DPER_CARBON=%.17g %s -lm 2>&1',
    escapeshellarg($program),
    Nitrification::HALF_INHIBITION,
    Oxygen::PER_CARBON,
    escapeshellarg(__DIR__ . '/hours.c'),
), $said, $failed);
if (0 !== $failed) {
    echo "core: the hourly loop in C: no compiler here, so not compared\n", implode("\n", $said), "\n";
    exit;
}
file_put_contents("$program.txt", $text);
$lines = explode("\n", trim((string) shell_exec(escapeshellarg($program) . ' < ' . escapeshellarg("$program.txt"))));
[$inC] = array_map(floatval(...), explode(' ', (string) array_pop($lines)));

$hours = new WaterHours($facts);
$apart = 0.0;
foreach ($days as $n => [$s, $day]) {
    $after = clone $s;
    $hours->run($after, $day, new MassBalance());
    $ours = [
        $after->ammonia, $after->nitrite, $after->nitrate, $after->ammoniaOxidisers, $after->nitriteOxidisers,
        $after->carbon, $after->alkalinity, $after->oxygen, 10 ** -$after->pH,
    ];
    foreach (array_map(floatval(...), explode(' ', $lines[$n])) as $i => $theirs) {
        $apart = max($apart, abs($theirs - $ours[$i]) / max(1e-12, abs($ours[$i])));
    }
}
$spans = [];
for ($round = 0; $round < 41; ++$round) {
    $span = 0;
    foreach ($days as [$s, $day]) {
        $after = clone $s;
        $sum = new MassBalance();
        $from = hrtime(true);
        $hours->run($after, $day, $sum);
        $span += hrtime(true) - $from;
    }
    $spans[] = $span / count($days);
}
sort($spans);
printf(
    "core: the hours of a day: ours %.1f µs, the same loop in C -O2 %.1f µs: %.1f times as long (results apart by %.0e at most)\n",
    $spans[20] / 1000,
    $inC / 1000,
    $spans[20] / $inC,
    $apart,
);
