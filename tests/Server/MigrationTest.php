<?php

declare(strict_types=1);

namespace Olvek\Tests\Server;

use Olvek\Tests\Files;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Uid\Uuid;

/** From the first release's database to today's: nothing is lost, and what stood in a way that dumps cut is mended. */
#[Group('own-server')]
final class MigrationTest extends TestCase
{
    use OwnServer;

    public function testTheFirstReleasesDatabaseIsCarriedOver(): void
    {
        $this->folder();
        Files::remove($this->database().'*');
        $this->console('doctrine:migrations:migrate', '--no-interaction', 'Olvek\\Migrations\\Version20261123220000');
        $old = new \PDO('sqlite:'.$this->database());
        $insert = static function (string $table, array $values) use ($old): void {
            $old->prepare(
                "INSERT INTO $table (".
                    implode(', ', array_keys($values)).
                    ') VALUES ('.
                    implode(', ', array_fill(0, \count($values), '?')).
                    ')',
            )->execute(array_values($values));
        };
        // As the first release bound them: text that holds sixteen raw bytes, one of them a zero.
        $raw = static fn (int $n): string => Uuid::fromString(\sprintf('01890000-0000-7000-8000-0000000000%02d', $n))->toBinary();
        $plan = (string) file_get_contents(\dirname(__DIR__, 2).'/demo/waiting-hall.plan.json');
        foreach (['Runa', 'RUNA', 'runa', 'Åse'] as $n => $name) {
            $insert('keeper', ['id' => $raw($n), 'sign_in_name' => $name, 'display_name' => $name, 'password' => 'x', 'units' => 'metric']);
        }
        foreach ([10, 11] as $tank) {
            $insert('tank', [
                'id' => $raw($tank),
                'keeper_id' => $raw(0),
                'name' => "Tank $tank",
                'head' => 2,
                'latest' => 3,
                'created_at' => '2026-01-01 00:00:00',
            ]);
            foreach ([1, 2, 3] as $number) {
                $insert('revision', [
                    'tank_id' => $raw($tank),
                    'number' => $number,
                    'plan' => $plan.str_repeat(' ', $number),
                    'words' => 'x',
                    'at' => '2026-01-01 00:00:00',
                ]);
            }
            $insert('log_entry', [
                'id' => $raw(50 + $tank),
                'tank_id' => $raw($tank),
                'on_day' => '2026-01-02',
                'kind' => 'deed',
                'what' => 'task',
                'words' => 'x',
                'made_up' => 0,
                'written' => '1.000000',
            ]);
            $insert('task_mark', [
                'tank_id' => $raw($tank),
                'task' => 'look',
                'due_day' => '2026-01-02',
                'settled' => 1,
                'entry' => $raw(50 + $tank),
            ]);
            $insert('step_mark', ['tank_id' => $raw($tank), 'step' => 'fill', 'done' => 1, 'on_day' => '2026-01-01', 'note' => '']);
        }
        // An orphan, which nothing forbade then.
        $insert('wiring', ['tank_id' => $raw(99), 'kind' => 'lamp', 'device' => 'x']);
        unset($old);

        $this->console('doctrine:migrations:migrate', '--no-interaction');

        $new = new \PDO('sqlite:'.$this->database());
        $all = static fn (string $sql): array => self::column($new, $sql);
        self::assertSame(['runa', 'runa-2', 'runa-3', 'åse'], $all('SELECT sign_in_name FROM keeper ORDER BY id'));
        self::assertSame(
            ['01890000-0000-7000-8000-000000000010', '01890000-0000-7000-8000-000000000011'],
            $all('SELECT id FROM tank ORDER BY id'),
        );
        self::assertSame(array_fill(0, 2, hash('xxh128', $plan.'  ')), $all('SELECT plan_hash FROM tank'));
        self::assertSame(array_fill(0, 2, '2026-01-01'), $all('SELECT filled_on FROM tank'));
        self::assertSame(
            [4, 6, 2, 2, 2, 0],
            array_map(static fn (string $t): int => \count($all("SELECT 1 FROM $t")), [
                'keeper',
                'revision',
                'log_entry',
                'task_mark',
                'step_mark',
                'wiring',
            ]),
        );
        self::assertSame(
            ['01890000-0000-7000-8000-000000000060'],
            $all(
                'SELECT m.entry FROM task_mark m JOIN log_entry e ON e.id = m.entry '
                ."JOIN tank t ON t.id = m.tank_id AND t.id = e.tank_id WHERE t.name = 'Tank 10'",
            ),
        );
        self::assertSame([], $all('PRAGMA foreign_key_check'));
        // Any dump carries them: read back by another program, nothing differs.
        $dump = $this->folder().'/dump.sql';
        exec(
            'sqlite3 '.
                escapeshellarg($this->database()).
                ' .dump > '.
                escapeshellarg($dump).
                ' && sqlite3 '.
                escapeshellarg("$dump.db").
                ' < '.
                escapeshellarg($dump),
            result_code: $code,
        );
        if (127 !== $code) {
            self::assertSame(0, $code);
            $copy = new \PDO("sqlite:$dump.db");
            self::assertSame($all('SELECT id FROM tank ORDER BY id'), self::column($copy, 'SELECT id FROM tank ORDER BY id'));
        }
        self::assertStringNotContainsString('TROUBLE', $this->console('olvek:health'));
    }

    /** With foreign keys in force, the tables that are made anew on the way would take all that refers to them along. */
    public function testTheVeryFirstDatabaseIsCarriedOver(): void
    {
        $this->folder();
        Files::remove($this->database().'*');
        $this->console('doctrine:migrations:migrate', '--no-interaction', 'Olvek\\Migrations\\Version20261123120000');
        $this->first();

        $this->console('doctrine:migrations:migrate', '--no-interaction');

        $new = new \PDO('sqlite:'.$this->database());
        self::assertSame([2, 30, 90], self::column($new, 'SELECT COUNT(*) FROM keeper UNION ALL SELECT COUNT(*) FROM tank '
            .'UNION ALL SELECT COUNT(*) FROM revision'));
        self::assertSame([], self::column($new, 'PRAGMA foreign_key_check'));
        self::assertStringContainsString('foreign_keys: 1', $this->console('olvek:health'));
    }

    public function testAMigrationThatWouldLoseRowsChangesNothing(): void
    {
        $this->folder();
        Files::remove($this->database().'*');
        $this->console('doctrine:migrations:migrate', '--no-interaction', 'Olvek\\Migrations\\Version20261123120000');
        $this->first();
        // As a mistake in a migration would: rows go as soon as a column is written.
        $old = new \PDO('sqlite:'.$this->database());
        $old->exec('CREATE TRIGGER mistake AFTER UPDATE ON tank BEGIN DELETE FROM revision WHERE number = 3; END');

        [$code, $said] = $this->refused('doctrine:migrations:migrate', '--no-interaction');

        self::assertNotSame(0, $code);
        self::assertStringContainsString('revision would have 60 rows instead of 90', (string) preg_replace('/\s+/', ' ', $said));
        self::assertSame([90], self::column($old, 'SELECT COUNT(*) FROM revision'));
        self::assertSame([1], self::column($old, 'SELECT COUNT(*) FROM doctrine_migration_versions'), 'all migrations or none');
    }

    /** Two keepers with fifteen tanks each, of three revisions each, in the database of the first migration. */
    private function first(): void
    {
        $old = new \PDO('sqlite:'.$this->database());
        $plan = (string) file_get_contents(\dirname(__DIR__, 2).'/demo/waiting-hall.plan.json');
        $id = static fn (int $n): string => Uuid::fromString(\sprintf('01890000-0000-7000-8000-0000000000%02d', $n))->toBinary();
        $keeper = $old->prepare('INSERT INTO keeper (id, sign_in_name, display_name, password, units) VALUES (?, ?, ?, ?, ?)');
        $tank = $old->prepare('INSERT INTO tank (id, keeper_id, name, head, latest, created_at) VALUES (?, ?, ?, 3, 3, ?)');
        $revision = $old->prepare('INSERT INTO revision (tank_id, number, plan, words, at) VALUES (?, ?, ?, ?, ?)');
        foreach ([0, 1] as $who) {
            $keeper->execute([$id($who), "keeper-$who", "Keeper $who", 'x', 'metric']);
            for ($n = 0; $n < 15; ++$n) {
                $which = 10 + 20 * $who + $n;
                $tank->execute([$id($which), $id($who), "Tank $which", '2026-01-01 00:00:00']);
                foreach ([1, 2, 3] as $number) {
                    $revision->execute([$id($which), $number, $plan, 'x', '2026-01-01 00:00:00']);
                }
            }
        }
    }

    /** @return list<mixed> */
    private static function column(\PDO $database, string $sql): array
    {
        $found = $database->query($sql);
        self::assertNotFalse($found);

        return array_values($found->fetchAll(\PDO::FETCH_COLUMN));
    }
}
