<?php

declare(strict_types=1);

/*
 * A tank-year of this tree against another revision's, in one run: php bench/against.php [REVISION]. The two take turns, since the machine
 * has quicker and slower minutes; printed are the medians, and the median of the ratios of turns that stand next to each other.
 */

const TURNS = 7;

$root = dirname(__DIR__);
$revision = $argv[1] ?? 'HEAD';
$there = sys_get_temp_dir() . '/olvek-against-' . getmypid();
mkdir($there);
passthru(
    sprintf(
        'git -C %s archive %s core demo | tar -x -C %s && cp -r %s %s',
        escapeshellarg($root),
        escapeshellarg($revision),
        escapeshellarg($there),
        escapeshellarg("$root/core/vendor"),
        escapeshellarg("$there/core/vendor"),
    ),
    $failed,
);
if (0 !== $failed) {
    exit("no such revision: $revision\n");
}
$year = <<<'PHP'
require $argv[1].'/core/vendor/autoload.php';
// Where a class stands in this tree, and where it stood before the core had wings.
$class = static fn (string $now, string $once): string => class_exists("Olvek\\Core\\$now") ? "Olvek\\Core\\$now" : "Olvek\\Core\\$once";
$document = $class('Planning\\Plan\\PlanDocument', 'Plan\\PlanDocument');
$catalogue = $class('Nature\\Catalogue\\Catalogue', 'Catalogue\\Catalogue');
$run = $class('Simulation\\Run\\Runner', 'Run\\Runner');
$plan = (new $document($catalogue::shipped()))->fromJson(file_get_contents($argv[2]));
$runner = new $run($plan);
$spans = [];
for ($n = 0; $n < 40; ++$n) {
    $from = hrtime(true);
    $runner->run(365);
    $spans[] = (hrtime(true) - $from) / 1e6;
}
sort($spans);
echo $spans[10];
PHP;
$flags = (string) shell_exec('bash -c ' . escapeshellarg(". $root/bin/jit; printf '%s ' \"\${jit[@]}\""));
$here = $then = $ratios = [];
for ($turn = 0; $turn < TURNS; ++$turn) {
    foreach ([$there, $root] as $which) {
        $ms = (float) shell_exec(
            sprintf(
                'php %s -r %s %s %s',
                $flags,
                escapeshellarg($year),
                escapeshellarg($which),
                escapeshellarg("$root/demo/waiting-hall.plan.json"),
            ),
        );
        $which === $root ? ($here[] = $ms) : ($then[] = $ms);
    }
    $ratios[] = $here[$turn] / $then[$turn];
}
passthru('rm -r ' . escapeshellarg($there));
$median = static function (array $of): float {
    sort($of);

    return $of[intdiv(count($of), 2)];
};
printf("core: tank-year, %s %.1f ms, this tree %.1f ms: × %.2f\n", $revision, $median($then), $median($here), $median($ratios));
