<?php

declare(strict_types=1);

/*
 * Median ms of a year of one plan's run, of a file: what the served pages are held against, measured between them.
 */

use Olvek\Core\Catalogue\Catalogue;
use Olvek\Core\Plan\PlanDocument;
use Olvek\Core\Run\Runner;

require dirname(__DIR__) . '/vendor/autoload.php';

$runner = new Runner((new PlanDocument(Catalogue::shipped()))->fromJson((string) file_get_contents($argv[1])));
$spans = [];
for ($n = 0; $n < 50; ++$n) {
    $from = hrtime(true);
    $runner->run(365);
    $spans[] = (hrtime(true) - $from) / 1e6;
}
$spans = array_slice($spans, 10);
sort($spans);
echo $spans[intdiv(count($spans), 2)];
