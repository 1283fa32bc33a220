<?php

/**
 * A simulated water probe, for PHP's own server: GET /samples?last=N gives one JSON object a line, the newest last (docs/formats.md).
 * It hangs in a tank that Olvek's own core runs from the plan that OLVEK_STANDIN_PLAN names, filled so many days ago as OLVEK_STANDIN_DAY says.
 */

declare(strict_types=1);

use Olvek\Standin\Fault;
use Olvek\Standin\Samples;

require __DIR__.'/../vendor/autoload.php';
require __DIR__.'/Fault.php';
require __DIR__.'/Samples.php';

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
header('Content-Type: application/x-ndjson');
foreach (Samples::of((string) getenv('OLVEK_STANDIN_PLAN'), max(1, (int) getenv('OLVEK_STANDIN_DAY')), $last) as $sample) {
    echo json_encode(array_diff_key($sample, ['line' => 0]), \JSON_THROW_ON_ERROR)."\n";
}
