<?php

/**
 * A simulated lamp timer, for PHP's own server: PUT and GET /programme, GET /state (docs/formats.md).
 * What it was told it keeps in the file that OLVEK_STANDIN names.
 */

declare(strict_types=1);

use Olvek\Standin\Fault;

require __DIR__.'/Fault.php';

$file = (string) getenv('OLVEK_STANDIN');
$method = (string) $_SERVER['REQUEST_METHOD'];
$path = (string) parse_url((string) $_SERVER['REQUEST_URI'], \PHP_URL_PATH);
if ((new Fault("$file.fault"))->answers($method, $path)) {
    return;
}
$answer = static function (int $status, array $data): void {
    http_response_code($status);
    header('Content-Type: application/json');
    echo json_encode($data, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_SLASHES);
};
$programme = is_file($file) ? json_decode((string) file_get_contents($file), true) : null;
if ('PUT' === $method && '/programme' === $path) {
    $sent = json_decode((string) file_get_contents('php://input'), true);
    if (!is_array($sent) || 'olvek.light' !== ($sent['format'] ?? null) || 1 !== ($sent['version'] ?? null) || !is_array($sent['entries'] ?? null)) {
        $answer(422, ['message' => 'This is no light programme of version 1.']);

        return;
    }
    foreach ($sent['entries'] as $entry) {
        if (!is_array($entry) || !is_int($entry['day'] ?? null) || !is_int($entry['percent'] ?? null) || $entry['percent'] < 0 || $entry['percent'] > 100 || !is_array($entry['stretches'] ?? null)) {
            $answer(422, ['message' => 'An entry of the programme cannot be burnt.']);

            return;
        }
    }
    file_put_contents($file, json_encode($sent), \LOCK_EX);
    http_response_code(204);
} elseif ('GET' === $method && '/programme' === $path) {
    is_array($programme) ? $answer(200, $programme) : $answer(404, ['message' => 'No programme has been written yet.']);
} elseif ('GET' === $method && '/state' === $path) {
    $now = new DateTimeImmutable();
    $percent = 0;
    if (is_array($programme)) {
        $filled = DateTimeImmutable::createFromFormat('!Y-m-d', (string) ($programme['filled'] ?? '')) ?: $now->setTime(0, 0);
        $day = max(0, (int) $filled->diff($now)->format('%r%a'));
        $held = null;
        foreach ($programme['entries'] as $entry) {
            $held = $entry['day'] <= $day ? $entry : $held;
        }
        $clock = $now->format('H:i');
        foreach (null === $held ? [] : $held['stretches'] as $stretch) {
            // A stretch may run past midnight.
            $lit = $stretch['on'] < $stretch['off'] ? $clock >= $stretch['on'] && $clock < $stretch['off'] : $clock >= $stretch['on'] || $clock < $stretch['off'];
            $percent = $lit ? $held['percent'] : $percent;
        }
        $percent = null !== $held && true === ($held['allDay'] ?? false) ? $held['percent'] : $percent;
    }
    $answer(200, ['format' => 'olvek.lamp', 'version' => 1, 'time' => $now->format(\DATE_ATOM), 'on' => $percent > 0, 'percent' => $percent,
        'programme' => is_array($programme) ? (string) ($programme['id'] ?? '') : '']);
} else {
    $answer(404, ['message' => 'A lamp timer knows /programme and /state.']);
}
