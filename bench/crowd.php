<?php

/**
 * Crowds the demo keeper's shelf in a SQLite file: up to 200 tanks, all filled, no two plans alike, and 50,000 readings.
 * Usage: php bench/crowd.php var/bench.db
 */

declare(strict_types=1);

use Symfony\Component\Uid\Uuid;

require __DIR__.'/../vendor/autoload.php';

const TANKS = 200;
const READINGS = 50_000;

$db = new PDO('sqlite:' . $argv[1], options: [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION]);
$keeper = $db->query('SELECT id FROM keeper LIMIT 1')->fetchColumn();
$plans = $db->query('SELECT r.plan FROM revision r JOIN tank t ON t.id = r.tank_id AND t.head = r.number')->fetchAll(PDO::FETCH_COLUMN);
$add = static fn(string $table, array $row) => $db
    ->prepare(
        sprintf('INSERT INTO %s (%s) VALUES (%s)', $table, implode(', ', array_keys($row)), implode(', ', array_fill(0, count($row), '?'))),
    )
    ->execute(array_values($row));
$db->beginTransaction();
for ($n = count($plans); $n < TANKS; ++$n) {
    $tank = Uuid::v7()->toRfc4122();
    $plan = json_decode($plans[$n % count($plans)], true, flags: \JSON_THROW_ON_ERROR);
    $plan['name'] = "Made-up tank $n";
    $plan['site']['temperature'] = 21.0 + $n / 100;
    $text = json_encode($plan, \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION);
    // Every fifth in its first weeks.
    $age = 0 === $n % 5 ? 5 + ($n % 40) : 130 + $n;
    $filled = date('Y-m-d', time() - 86400 * $age);
    // Its counters among it, as Tank and Holdings keep them.
    $add('tank', [
        'id' => $tank,
        'keeper_id' => $keeper,
        'name' => $plan['name'],
        'created_at' => date('Y-m-d H:i:s'),
        'head' => 1,
        'latest' => 1,
        'version' => 1,
        'plan_hash' => hash('xxh128', $text),
        'log_lines' => intdiv(READINGS, TANKS),
        'log_mark' => bin2hex(random_bytes(8)),
        'kept_bytes' => strlen($text),
        'filled_on' => $filled,
    ]);
    $add('revision', [
        'tank_id' => $tank,
        'number' => 1,
        'parent' => null,
        'plan' => $text,
        'words' => 'begun',
        'at' => date('Y-m-d H:i:s'),
    ]);
    $add('step_mark', ['tank_id' => $tank, 'step' => 'fill', 'done' => 1, 'on_day' => $filled, 'note' => '']);
    for ($k = 0; $k < READINGS / TANKS; ++$k) {
        $what = ['ammonia', 'nitrite', 'nitrate', 'ph'][$k % 4];
        $add('log_entry', [
            'id' => Uuid::v7()->toRfc4122(),
            'tank_id' => $tank,
            'on_day' => date('Y-m-d', time() - 86400 * intdiv($k * $age, intdiv(READINGS, TANKS))),
            'kind' => 'reading',
            'what' => $what,
            'amount' => 'ph' === $what ? 7.4 : 0.0,
            'of_id' => null,
            'words' => $what,
            'made_up' => 1,
            'written' => sprintf('%.6F', microtime(true)),
        ]);
    }
}
$db->commit();
printf(
    "a crowded shelf: %d tanks, %d of them filled, %d lines in their logbooks\n",
    $db->query('SELECT COUNT(*) FROM tank')->fetchColumn(),
    $db->query('SELECT COUNT(filled_on) FROM tank')->fetchColumn(),
    $db->query('SELECT COUNT(*) FROM log_entry')->fetchColumn(),
);
