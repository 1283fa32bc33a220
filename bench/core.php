<?php

declare(strict_types=1);

/*
 * How long the core takes to judge one plan, and to read one from its document: medians of many, milliseconds.
 */

use Olvek\Core\Catalogue\Catalogue;
use Olvek\Core\Margin\Judge;
use Olvek\Core\Plan\PlanDocument;

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
printf("core: load the catalogue      median %7.2f ms\n", median(static fn () => Catalogue::shipped(), 100));
