<?php

declare(strict_types=1);

/*
 * How many slips the core's tests would notice: each mutant is one number or sign changed in a copy of the core, against which the tests
 * that should care are run. Prints those that survive, and the share that is killed. Usage: php bench/mutants.php [part of a file's name]
 */

const LIMITS = ['tests/Margin/LimitsTest.php'];
const LAWS = ['tests/Reference', 'tests/Run/LawsTest.php', 'tests/Run/BehaviourTest.php'];

/** File under core/src, what stands there, what is put in its place, tests. */
$mutants = [
    ['Margin/Nitrite.php', 'WATCH = 0.1;', 'WATCH = 0.12;', LIMITS],
    ['Margin/Nitrite.php', 'ACT = 0.3;', 'ACT = 0.35;', LIMITS],
    ['Margin/Nitrate.php', 'START = 30.0;', 'START = 31.0;', LIMITS],
    ['Margin/Nitrate.php', 'WORRY = 50.0;', 'WORRY = 52.0;', LIMITS],
    ['Margin/Ammonia.php', '0.025 / 1.2159', '0.03 / 1.2159', LIMITS],
    ['Margin/Ammonia.php', 'TEST_SHOWS = 0.25;', 'TEST_SHOWS = 0.3;', LIMITS],
    ['Margin/DawnOxygen.php', 'LEAST = 0.8;', 'LEAST = 0.7;', LIMITS],
    ['Margin/DawnOxygen.php', 'GOOD = 1.2;', 'GOOD = 1.3;', LIMITS],
    ['Margin/PhDrift.php', 'ACID = 6.0;', 'ACID = 5.9;', LIMITS],
    ['Margin/PhDrift.php', 'ALKALINE = 9.8;', 'ALKALINE = 9.9;', LIMITS],
    ['Margin/PhDrift.php', 'LEAST_KH = 0.5;', 'LEAST_KH = 0.4;', LIMITS],
    ['Margin/PhDrift.php', 'ROOM_ACID = 0.4;', 'ROOM_ACID = 0.3;', LIMITS],
    ['Margin/PhDrift.php', 'ROOM_KH = 1.0;', 'ROOM_KH = 0.9;', LIMITS],
    ['Margin/PhDrift.php', 'ROOM_ALKALINE = 0.2;', 'ROOM_ALKALINE = 0.3;', LIMITS],
    ['Margin/Algae.php', 'FILM_ACT = 4.5;', 'FILM_ACT = 4.7;', LIMITS],
    ['Margin/Algae.php', 'GREEN_ACT = 30.0;', 'GREEN_ACT = 32.0;', LIMITS],
    ['Run/Alga.php', 'SHOWS = 2.5;', 'SHOWS = 2.6;', LIMITS],
    ['Margin/CarbonSupply.php', 'SHORT = 0.1;', 'SHORT = 0.11;', LIMITS],
    ['Margin/CarbonSupply.php', 'BORNE = 20.0;', 'BORNE = 21.0;', LIMITS],
    ['Margin/CarbonSupply.php', 'SUFFERS = 30.0;', 'SUFFERS = 31.0;', LIMITS],
    ['Margin/BedHealth.php', 'WATCH = 0.5;', 'WATCH = 0.55;', LIMITS],
    ['Margin/BedHealth.php', 'ACT = 1.0;', 'ACT = 1.1;', LIMITS],
    ['Margin/Warmth.php', 'LEAST = -1.0;', 'LEAST = -1.2;', LIMITS],
    ['Margin/Warmth.php', 'GOOD = 0.5;', 'GOOD = 0.4;', LIMITS],
    ['Margin/LitClumps.php', 'LEAST = 0.09;', 'LEAST = 0.085;', LIMITS],
    ['Margin/LitClumps.php', 'GOOD = 0.2;', 'GOOD = 0.19;', LIMITS],
    ['Margin/FedPlants.php', 'LEAST = 0.15;', 'LEAST = 0.14;', LIMITS],
    ['Margin/FedPlants.php', 'GOOD = 0.3;', 'GOOD = 0.29;', LIMITS],
    ['Margin/KeptMass.php', 'LEAST = 0.35;', 'LEAST = 0.33;', LIMITS],
    ['Margin/KeptMass.php', 'GOOD = 0.7;', 'GOOD = 0.68;', LIMITS],
    ['Margin/Losses.php', 'WATCH = 0.05;', 'WATCH = 0.07;', LIMITS],
    ['Margin/Losses.php', 'ACT = 0.25;', 'ACT = 0.27;', LIMITS],
    ['Margin/StockBalance.php', 'LEAST = 0.8;', 'LEAST = 0.75;', LIMITS],
    ['Margin/StockBalance.php', 'GOOD = 1.2;', 'GOOD = 1.15;', LIMITS],
    ['Margin/KindWater.php', 'TIGHT = 0.4;', 'TIGHT = 0.7;', LIMITS],
    ['Margin/KindWater.php', 'FAILS = 1.0;', 'FAILS = 2.0;', LIMITS],
    ['Margin/Margin.php', '$value < $good => State::Tight', '$value <= $limit => State::Tight', LIMITS],
    ['Run/Parameters.php', 'public float $plantRespiration = 0.1,', 'public float $plantRespiration = 0.12,', LAWS],
    ['Run/Parameters.php', 'public float $plantMortality = 0.03,', 'public float $plantMortality = 0.04,', LAWS],
    ['Run/Parameters.php', 'public float $leafUptake = 2.5,', 'public float $leafUptake = 2.0,', LAWS],
    ['Run/Parameters.php', 'public float $carbonHalf = 0.4,', 'public float $carbonHalf = 0.6,', LAWS],
    ['Run/Parameters.php', 'public float $bicarbonateShare = 0.5,', 'public float $bicarbonateShare = 0.35,', LAWS],
    ['Run/Parameters.php', 'public float $reaeration = 1.0,', 'public float $reaeration = 0.8,', LAWS],
    ['Run/Parameters.php', 'public float $scrapDecay = 0.25,', 'public float $scrapDecay = 0.15,', LAWS],
    ['Run/Parameters.php', 'public float $animalBreath = 0.13,', 'public float $animalBreath = 0.1,', LAWS],
    ['Run/Parameters.php', 'public float $grazing = 0.035,', 'public float $grazing = 0.06,', LAWS],
    ['Run/Hours/Lime.php', 'GRAINS = 10.0;', 'GRAINS = 0.0;', LAWS],
    ['Run/Hours/Lime.php', '$rate * $facts->limeSpeed', '$rate', LAWS],
    ['Run/Hours/Lime.php', '2000.0 / self::MOLAR', '1000.0 / self::MOLAR', LAWS],
    ['Run/Hours/CarbonBalance.php', 'MOST_PARTS = 8;', 'MOST_PARTS = 1;', LAWS],
    ['Run/Hours/NitrogenChain.php', '- 2 * $first +', '- $first +', LAWS],
    ['Run/Hours/OxygenBalance.php', '$asked / ($half + ($held + $guess) / 2)', '$asked / ($half + $held + $guess)', LAWS],
    ['Water/Nitrification.php', 'HALF_INHIBITION = 0.5', 'HALF_INHIBITION = 9.0', LAWS],
    ['Water/Oxygen.php', '139.34411', '139.30411', LAWS],
    ['Water/Ammonia.php', '2729.92', '2719.92', LAWS],
    ['Run/Vitality.php', 'ESCAPE = 0.3;', 'ESCAPE = 1.0;', LAWS],
    ['Run/Vitality.php', '$pairs = min(1.0, max(0.0, $heads - 1));', '$pairs = 1.0;', LAWS],
    ['Run/AnimalDay.php', 'WARMTH = 1.', 'WARMTH = 1.1', LAWS],
    ['Run/PlantDay.php', '$hunger = max(0.0, ($p->leafNitrogenMost - $quota) / $span)', '$hunger = 1.0', LAWS],
    ['Bed/Release.php', '$this->flush * $this->fillingShare()', '$this->flush * $this->fillingShare() * 1.2', [...LAWS, 'tests/Bed']],
    ['Plant/Role.php', 'self::HousePlant => 0.2', 'self::HousePlant => 0.9', LAWS],
];

$root = dirname(__DIR__);
$copy = sys_get_temp_dir() . '/olvek-mutants-' . getmypid();
mkdir($copy);
foreach (['core', 'demo', 'docs', 'schema'] as $folder) {
    passthru(sprintf('cp -r %s %s', escapeshellarg("$root/$folder"), escapeshellarg($copy)));
}
$killed = $tried = 0;
foreach ($mutants as [$file, $from, $to, $tests]) {
    if (isset($argv[1]) && !str_contains($file, $argv[1])) {
        continue;
    }
    $path = "$copy/core/src/$file";
    $whole = is_file($path) ? (string) file_get_contents($path) : '';
    if (!str_contains($whole, $from)) {
        printf("no longer there: %s, %s\n", $file, $from);
        continue;
    }
    ++$tried;
    file_put_contents($path, substr_replace($whole, $to, (int) strpos($whole, $from), strlen($from)));
    $status = 0;
    foreach ($tests as $test) {
        exec(
            sprintf(
                'cd %s/core && %s -d opcache.enable_cli=1 -d opcache.jit_buffer_size=64M -d opcache.jit=tracing vendor/bin/phpunit '
                    .'--stop-on-defect %s 2>&1',
                escapeshellarg($copy),
                escapeshellarg(\PHP_BINARY),
                escapeshellarg($test),
            ),
            $out,
            $status,
        );
        if (0 !== $status) {
            break;
        }
    }
    file_put_contents($path, $whole);
    $killed += 0 !== $status ? 1 : 0;
    if (0 === $status) {
        printf("survives: %s, %s -> %s\n", $file, $from, $to);
    }
}
passthru(sprintf('rm -rf %s', escapeshellarg($copy)));
printf("%d of %d mutants killed (%d %%)\n", $killed, $tried, $tried > 0 ? (int) round((100 * $killed) / $tried) : 0);
