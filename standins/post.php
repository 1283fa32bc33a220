<?php

/**
 * The simulated probe as one that posts by itself: php standins/post.php [--print] [--last=24]. It sends what it reads to OLVEK_URL/api/readings with
 * OLVEK_TOKEN, for the tank OLVEK_TANK; --print writes the lines instead. The tank is that of probe.php. Run it from a timer: what is sent twice is
 * kept once.
 */

declare(strict_types=1);

use Olvek\Standin\Samples;
use Symfony\Component\HttpClient\HttpClient;

require __DIR__.'/../vendor/autoload.php';
require __DIR__.'/Samples.php';

$options = getopt('', ['print', 'last:']);
$last = max(1, min(1440, (int) ($options['last'] ?? 1)));
$lines = '';
foreach (Samples::of((string) getenv('OLVEK_STANDIN_PLAN'), max(1, (int) getenv('OLVEK_STANDIN_DAY')), $last) as $sample) {
    $lines .= json_encode([
        'tank' => (string) getenv('OLVEK_TANK'),
        'at' => $sample['at'],
        'readings' => [
            'temperature' => $sample['celsius'],
            'ph' => $sample['pH'],
            'conductivity' => $sample['conductivity'],
            'level' => max(0.0, round($sample['line'] - $sample['level'], 4)),
        ],
    ], \JSON_THROW_ON_ERROR)."\n";
}
if (isset($options['print'])) {
    echo $lines;
    exit(0);
}
$answer = HttpClient::create(['timeout' => 10])->request('POST', getenv('OLVEK_URL').'/api/readings', [
    'headers' => ['Authorization' => 'Bearer '.getenv('OLVEK_TOKEN'), 'Content-Type' => 'application/x-ndjson'],
    'body' => $lines,
]);
echo $answer->getContent(false)."\n";
exit(200 === $answer->getStatusCode() ? 0 : 1);
