<?php

/**
 * Gives the demo's waiting hall, in a SQLite file, 50,000 readings of a probe and 2,000 photos.
 * Usage: php bench/long.php var/bench.db
 */

declare(strict_types=1);

use Symfony\Component\Uid\Uuid;

require __DIR__.'/../vendor/autoload.php';

const READINGS = 50_000;
const PHOTOS = 2_000;
const DAYS = 240;

$db = new PDO('sqlite:' . $argv[1], options: [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION]);
$tank = $db->query("SELECT id FROM tank WHERE name = 'Waiting hall' LIMIT 1")->fetchColumn();
$reading = $db->prepare(
    'INSERT INTO log_entry (id, tank_id, on_day, kind, what, amount, of_id, words, made_up, written)'
    .' VALUES (?, ?, ?, ?, ?, ?, NULL, ?, 1, ?)',
);
$photo = $db->prepare('INSERT INTO photo (id, tank_id, on_day, words, width, height) VALUES (?, ?, ?, ?, 900, 640)');
$file = $db->prepare('INSERT INTO photo_file (photo_id, size, bytes) VALUES (?, ?, ?)');
$picture = (string) file_get_contents(__DIR__ . '/../demo/photos/042.jpg');
$day = static fn(int $n, int $of): string => date('Y-m-d', time() - 86400 * (int) (DAYS * $n / $of));
$db->beginTransaction();
for ($n = 0; $n < READINGS; ++$n) {
    $what = ['temperature', 'ph', 'conductivity'][$n % 3];
    $value = ['temperature' => 23.1, 'ph' => 7.2, 'conductivity' => 300.0][$what] * (1 + 0.02 * sin($n));
    $written = sprintf('%.6F', microtime(true));
    $reading->execute([Uuid::v7()->toRfc4122(), $tank, $day($n, READINGS), 'reading', $what, $value, $what, $written]);
}
for ($n = 0; $n < PHOTOS; ++$n) {
    $one = Uuid::v7()->toRfc4122();
    $photo->execute([$one, $tank, $day($n, PHOTOS), "Photo $n"]);
    foreach (['large', 'page', 'strip'] as $size) {
        $file->execute([$one, $size, $picture]);
    }
}
$db->prepare(
    'UPDATE tank SET log_lines = log_lines + ?, photo_count = photo_count + ?, kept_bytes = kept_bytes + ?, log_mark = ? WHERE id = ?',
)
    ->execute([READINGS, PHOTOS, 3 * PHOTOS * strlen($picture), bin2hex(random_bytes(8)), $tank]);
$db->commit();
