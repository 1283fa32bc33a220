<?php

declare(strict_types=1);

/*
 * How long the core takes to judge one plan, and to read one from its document: medians of many, milliseconds.
 */

use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Judgement\Margin\RemedySearch;
use Olvek\Core\Judgement\Margin\Judge;
use Olvek\Core\Judgement\Margin\MarginId;
use Olvek\Console\Command\BandPieces;
use Olvek\Console\Command\Processes;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Judgement\Solve\MostStock;
use Olvek\Core\Basis\Unit\UnitSystem;

require dirname(__DIR__) . '/vendor/autoload.php';
require __DIR__ . '/full.php';

$document = new PlanDocument(Catalogue::shipped());
$json = (string) file_get_contents(dirname(__DIR__) . '/demo/waiting-hall.plan.json');
$plan = $document->fromJson($json);

/** @param Closure(): mixed $work */
function median(Closure $work, int $times): float
{
    $spans = [];
    $warm = $times > 10 ? 20 : 1;
    for ($n = 0; $n < $times + $warm; ++$n) {
        $from = hrtime(true);
        $work();
        $spans[] = (hrtime(true) - $from) / 1e6;
    }
    // The first few warm the machine up.
    $spans = array_slice($spans, $warm);
    sort($spans);

    return $spans[intdiv($times, 2)];
}

printf("core: judge one plan          median %7.2f ms\n", median(static fn() => Judge::judge($plan), 300));
printf("core: read a plan's document  median %7.2f ms\n", median(static fn() => $document->fromJson($json), 300));
$catalogue = Catalogue::shipped();
$editor = new Editor($catalogue);
$full = fullPlan();
$runner = new Runner($full);
foreach ([91, 182, 365, 1095] as $days) {
    printf(
        "core: run %4d days, %d clumps, %d groups  median %7.2f ms\n",
        $days,
        count($full->clumps),
        count($full->groups),
        median(static fn() => $runner->run($days), 15),
    );
}
$few = new Runner($plan);
printf(
    "core: run  365 days, %d clumps, %d groups   median %7.2f ms\n",
    count($plan->clumps),
    count($plan->groups),
    median(static fn() => $few->run(365), 15),
);
// Linear in clumps: the same tank with ever more of them.
foreach ([3, 6, 12, 24] as $clumps) {
    $grown = $plan;
    foreach ($plan->clumps as $clump) {
        $grown = $grown->withoutClump($clump->id);
    }
    foreach (array_slice(array_keys($catalogue->plants), 0, $clumps) as $kind) {
        $grown = $editor->apply($grown, ['plants.add' => $kind], UnitSystem::Metric)->plan;
    }
    $runner = new Runner($grown);
    printf("core: run  365 days, %2d clumps            median %7.2f ms\n", $clumps, median(static fn() => $runner->run(365), 15));
}
printf(
    "core: a help panel (nitrite)   median %7.1f ms\n",
    median(static fn() => (new RemedySearch($editor))->for($plan, MarginId::Nitrite, UnitSystem::Metric), 3),
);
printf(
    "core: solve for stock          median %7.1f ms\n",
    median(static fn() => (new MostStock($editor, $catalogue->animals['neocaridina-davidi']))->solve($plan), 3),
);
printf(
    "core: band of 64, 2 processes  median %7.1f ms\n",
    median(static fn() => (new Processes(dirname(__DIR__) . '/bin/console'))->map(new BandPieces($full, 64), 64), 3),
);
// The same equations in a general-purpose solver at about the same accuracy, timed in this very run.
// One month, since it needs minutes for a year.
$month = 30;
$reference = dirname(__DIR__) . '/core/tests/Reference';
$planted = $document->fromJson((string) file_get_contents("$reference/run-planted.plan.json"));
$ours = median(static fn() => (new Runner($planted))->run($month), 15);
$theirs =
    1000 *
    (float) shell_exec(
        '/usr/bin/python3 ' .
            escapeshellarg("$reference/run_scipy.py") .
            ' --time ' .
            escapeshellarg("$reference/run-planted.plan.json") .
            " $month",
    );
printf(
    "core: $month days of the planted tank: ours %.1f ms, SciPy's LSODA (rtol 1e-3) %.0f ms: %.0f times faster\n",
    $ours,
    $theirs,
    $theirs / $ours,
);
printf("core: most memory             %7.1f MB\n", memory_get_peak_usage() / 1e6);
printf("core: load the catalogue      median %7.2f ms\n", median(static fn() => Catalogue::shipped(), 100));
