<?php

declare(strict_types=1);

/*
 * Runs a plan three times and prints what came of each, for CompiledTest: php tests/compiled.php PLAN.json
 */

use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Simulation\Run\UsualCare;

require dirname(__DIR__).'/vendor/autoload.php';

$plan = (new PlanDocument(Catalogue::shipped()))->fromJson((string) file_get_contents($argv[1]));
for ($n = 0; $n < 3; ++$n) {
    echo hash('xxh128', serialize((new Runner($plan))->run(365, UsualCare::events())->columns)), "\n";
}
