<?php

declare(strict_types=1);

/*
 * How long the core takes to judge one plan, and to read one from its document: medians of many, milliseconds.
 */

use Olvek\Core\Catalogue\Catalogue;
use Olvek\Core\Margin\Judge;
use Olvek\Core\Plan\Editor;
use Olvek\Core\Plan\PlanDocument;
use Olvek\Core\Run\Runner;
use Olvek\Core\Unit\UnitSystem;

require dirname(__DIR__).'/vendor/autoload.php';

$document = new PlanDocument(Catalogue::shipped());
$json = (string) file_get_contents(dirname(__DIR__).'/demo/waiting-hall.plan.json');
$plan = $document->fromJson($json);

/** @param Closure(): mixed $work */
function median(Closure $work, int $times): float
{
    $spans = [];
    for ($n = 0; $n < $times + 20; ++$n) {
        $from = hrtime(true);
        $work();
        $spans[] = (hrtime(true) - $from) / 1e6;
    }
    // The first few warm the machine up.
    $spans = array_slice($spans, 20);
    sort($spans);

    return $spans[intdiv($times, 2)];
}

printf("core: judge one plan          median %7.2f ms\n", median(static fn () => Judge::judge($plan), 300));
printf("core: read a plan's document  median %7.2f ms\n", median(static fn () => $document->fromJson($json), 300));
// A full tank: twelve clumps and six groups.
$catalogue = Catalogue::shipped();
$editor = new Editor($catalogue);
$full = $plan;
foreach (array_slice(array_keys($catalogue->plants), 0, 12 - count($plan->clumps)) as $kind) {
    $full = $editor->apply($full, ['plants.add' => $kind], UnitSystem::Metric)->plan;
}
foreach (array_slice(array_keys($catalogue->animals), 1, 6 - count($plan->groups)) as $kind) {
    $full = $editor->apply($full, ['animals.add' => $kind], UnitSystem::Metric)->plan;
}
$runner = new Runner($full);
foreach ([91, 182, 365, 1095] as $days) {
    printf("core: run %4d days, %d clumps, %d groups  median %7.2f ms\n", $days, count($full->clumps), count($full->groups), median(static fn () => $runner->run($days), 15));
}
$few = new Runner($plan);
printf("core: run  365 days, %d clumps, %d groups   median %7.2f ms\n", count($plan->clumps), count($plan->groups), median(static fn () => $few->run(365), 15));
printf("core: most memory             %7.1f MB\n", memory_get_peak_usage() / 1e6);
printf("core: load the catalogue      median %7.2f ms\n", median(static fn () => Catalogue::shipped(), 100));
