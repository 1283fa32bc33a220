<?php

/**
 * A simulated water probe, for PHP's own server: GET /samples?last=N gives one JSON object a line, the newest last (docs/formats.md).
 * It hangs in a tank that Olvek's own core runs from the plan that OLVEK_STANDIN_PLAN names, filled so many days ago as OLVEK_STANDIN_DAY says.
 */

declare(strict_types=1);

use Olvek\Core\Catalogue\Catalogue;
use Olvek\Core\Plan\PlanDocument;
use Olvek\Core\Run\Runner;
use Olvek\Core\Run\UsualCare;
use Olvek\Standin\Fault;

require __DIR__.'/../vendor/autoload.php';
require __DIR__.'/Fault.php';

/** µS/cm for each degree of general hardness. C: 30 to 35. */
const PER_DEGREE = 33.0;
/** °C by which a tank without a heater swings from night to afternoon. J. */
const DAILY_SWING = 0.6;
const MOST = 240;

$file = (string) getenv('OLVEK_STANDIN');
$path = (string) parse_url((string) $_SERVER['REQUEST_URI'], \PHP_URL_PATH);
if ((new Fault("$file.fault"))->answers((string) $_SERVER['REQUEST_METHOD'], $path)) {
    return;
}
if ('/samples' !== $path) {
    http_response_code(404);
    echo '{"message": "A water probe knows /samples."}';

    return;
}
$last = max(1, min(MOST, (int) ($_GET['last'] ?? 1)));
$plan = (new PlanDocument(Catalogue::shipped()))->fromJson((string) file_get_contents((string) getenv('OLVEK_STANDIN_PLAN')));
$now = new DateTimeImmutable();
$today = max(1, (int) getenv('OLVEK_STANDIN_DAY'));
$hours = [];
$trace = (new Runner($plan))->run($today + 1, UsualCare::events(), hourly: static function (int $day, int $hour, array $water) use (&$hours): void {
    $hours[24 * $day + $hour] = $water;
});
header('Content-Type: application/x-ndjson');
$newest = 24 * $today + (int) $now->format('G');
for ($n = max(0, $newest - $last + 1); $n <= $newest; ++$n) {
    $day = intdiv($n, 24);
    $hour = $n % 24;
    // Noise that is the same whenever the same hour is asked for.
    $noise = static fn (string $of): float => (crc32("$of $n") % 2001 - 1000) / 1000;
    $lost = $trace->columns['evaporated'][$day] * $hour / 24 / 1000 / $plan->surface();
    echo json_encode([
        'at' => $now->modify(sprintf('-%d hours', $newest - $n))->format(\DATE_ATOM),
        'celsius' => round($trace->columns['temperature'][$day] + DAILY_SWING / 2 * sin(2 * \M_PI * ($hour - 9) / 24) + 0.1 * $noise('celsius'), 2),
        'level' => round($plan->waterLine - $lost + 0.0005 * $noise('level'), 4),
        'pH' => round(($hours[$n]['pH'] ?? $trace->columns['pH'][$day]) + 0.02 * $noise('pH'), 2),
        'conductivity' => round(PER_DEGREE * $trace->columns['generalHardness'][$day] + 3 * $noise('conductivity'), 1),
    ], \JSON_THROW_ON_ERROR)."\n";
}
