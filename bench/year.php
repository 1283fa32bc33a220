<?php

declare(strict_types=1);

/*
 * Median ms of a year of one plan, of a file: its run alone, and its judgement, which is a run with usual care and the margins. What the
 * served pages are held against, measured between them.
 */

use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Judgement\Margin\Judge;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Core\Simulation\Run\Runner;

require dirname(__DIR__) . '/vendor/autoload.php';

$plan = (new PlanDocument(Catalogue::shipped()))->fromJson((string) file_get_contents($argv[1]));
$kinds = ['run' => static fn() => (new Runner($plan))->run(365), 'judged' => static fn() => Judge::judge($plan)];
$spans = [];
for ($n = 0; $n < 40; ++$n) {
    foreach ($kinds as $kind => $work) {
        $from = hrtime(true);
        $work();
        $spans[$kind][] = (hrtime(true) - $from) / 1e6;
    }
}
foreach ($spans as &$of) {
    $of = array_slice($of, 10);
    sort($of);
    $of = $of[intdiv(count($of), 2)];
}
echo json_encode($spans, JSON_THROW_ON_ERROR);
