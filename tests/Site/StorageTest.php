<?php

declare(strict_types=1);

namespace Olvek\Tests\Site;

use Doctrine\DBAL\Connection;
use Doctrine\DBAL\Driver\Connection as DriverConnection;
use Doctrine\DBAL\Driver\Exception as Driver;
use Doctrine\DBAL\Driver\Middleware\AbstractDriverMiddleware;
use Doctrine\DBAL\Driver\PDO\Exception as RefusedByDatabase;
use Doctrine\DBAL\Exception\DriverException;
use Doctrine\ORM\EntityManagerInterface;
use Doctrine\ORM\OptimisticLockException;
use Olvek\Service\Site\ConcurrentChange;
use Olvek\Service\Site\Saver;
use Olvek\Service\Site\SqlitePragmas;
use Olvek\Service\Site\StorageTrouble;
use Olvek\Tests\BenchTestCase;
use Olvek\Tests\Files;
use Olvek\Tests\Server\OwnServer;
use PHPUnit\Framework\Attributes\TestWith;
use Psr\Log\NullLogger;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Event\ExceptionEvent;
use Symfony\Component\HttpKernel\Exception\HttpException;
use Symfony\Component\HttpKernel\HttpKernelInterface;

/** That what is acknowledged is on the disk, and that a disk that takes nothing is told as such. */
final class StorageTest extends BenchTestCase
{
    use OwnServer;

    /** As a real server has it: a process of its own in the prod environment. */
    #[\PHPUnit\Framework\Attributes\Group('own-server')]
    public function testSqliteIsSetAsWeWantItInProduction(): void
    {
        $said = $this->console('olvek:health');
        foreach (['database: SQLitePlatform', 'journal_mode: wal', 'synchronous: 2', 'foreign_keys: 1', 'busy_timeout: 5000'] as $line) {
            self::assertStringContainsString($line."\n", $said);
        }
    }

    public function testForeignKeysAreKept(): void
    {
        if (!$this->isSqlite()) {
            self::markTestSkipped('SQLite only');
        }
        $this->expectException(\Doctrine\DBAL\Exception\ForeignKeyConstraintViolationException::class);
        $this->service(Connection::class)->insert('wiring', [
            'tank_id' => '01890000-0000-7000-8000-000000000000',
            'kind' => 'lamp',
            'device' => 'x',
        ]);
    }

    /** The database says that nothing more goes in, in the words of a full disk (deploy/check fills a real one). */
    public function testAFullDiskIsToldAsSuchAndLosesNothing(): void
    {
        if (!$this->isSqlite()) {
            self::markTestSkipped('SQLite only');
        }
        $connection = $this->service(Connection::class);
        $page = $this->browser->request('GET', "/tanks/$this->tank");
        $sent = ['_token' => $page->filter('#edit input[name="_token"]')->attr('value'), 'base' => '1', 'edits' => ['light.hours' => '6']];
        $connection->executeStatement(
            "CREATE TEMP TRIGGER full BEFORE INSERT ON revision BEGIN SELECT RAISE(ABORT, 'database or disk is full'); END",
        );
        $this->browser->request('POST', "/tanks/$this->tank/edit", $sent);
        self::assertResponseStatusCodeSame(507);
        self::assertStringContainsString('disk is full', $this->text('main'));
        $this->browser->request(
            'POST',
            "/tanks/$this->tank/edit",
            $sent,
            server: ['HTTP_ACCEPT' => 'application/json', 'HTTP_OLVEK_PARTS' => '{}'],
        );
        self::assertResponseStatusCodeSame(507);
        self::assertStringContainsString('disk is full', (string) $this->browser->getResponse()->getContent(), 'and in words to a script');
        $connection->executeStatement('DROP TRIGGER full');
        $this->browser->request('POST', "/tanks/$this->tank/edit", $sent);
        self::assertResponseRedirects();
        self::assertSame(6.0, $this->plan()->lamp->hours, 'it goes on once there is room');
    }

    /** A commit that fails is no race, though the ORM calls both by one name. */
    public function testAFailedCommitIsNoRace(): void
    {
        $full = new DriverException(
            new class('database or disk is full') extends \Exception implements Driver {
                public function getSQLState(): ?string
                {
                    return null;
                }
            },
            null,
        );
        $entities = self::createStub(EntityManagerInterface::class);
        $entities->method('flush')->willThrowException(new OptimisticLockException('Commit failed', null, $full));
        try {
            (new Saver($entities))->flush();
            self::fail('taken');
        } catch (OptimisticLockException $told) {
            \assert(null !== self::$kernel);
            $event = new ExceptionEvent(self::$kernel, new Request(), HttpKernelInterface::MAIN_REQUEST, $told);
            (new StorageTrouble(new NullLogger()))($event);
            $shown = $event->getThrowable();
            self::assertInstanceOf(HttpException::class, $shown);
            self::assertSame(507, $shown->getStatusCode());
        }
        $raced = self::createStub(EntityManagerInterface::class);
        $raced->method('flush')->willThrowException(new OptimisticLockException('changed', $this->stored()));
        $this->expectException(ConcurrentChange::class);
        (new Saver($raced))->flush();
    }

    #[TestWith(['attempt to write a readonly database', 503, 'only read'])]
    #[TestWith(['unable to open database file', 503, 'not where it should be'])]
    #[TestWith(['database is locked', 503, 'too busy'])]
    #[TestWith(['no such column: k0_.seal', 503, 'in the middle of an upgrade'])]
    #[TestWith(['SQLSTATE[42P01]: Undefined table: 7 ERROR: relation "keeper" does not exist', 503, 'in the middle of an upgrade'])]
    #[TestWith(['disk I/O error', 507, 'does not take'])]
    public function testOtherTroublesOfTheDatabase(string $said, int $status, string $words): void
    {
        \assert(null !== self::$kernel);
        $event = new ExceptionEvent(
            self::$kernel,
            new Request(),
            HttpKernelInterface::MAIN_REQUEST,
            new \RuntimeException('x', 0, new \PDOException("SQLSTATE[HY000]: General error: $said")),
        );
        (new StorageTrouble(new NullLogger()))($event);
        $told = $event->getThrowable();
        self::assertInstanceOf(HttpException::class, $told);
        self::assertSame($status, $told->getStatusCode());
        self::assertStringContainsString($words, $told->getMessage());
    }

    /** A web page that does not find its database makes no empty one in its place. */
    public function testAMissingDatabaseIsNotMadeAnew(): void
    {
        $path = sys_get_temp_dir().'/olvek-none-'.getmypid().'.db';
        foreach ([false, true] as $creates) {
            $driver = (new SqlitePragmas($creates))->wrap(new \Doctrine\DBAL\Driver\PDO\SQLite\Driver());
            try {
                $driver->connect(['driver' => 'pdo_sqlite', 'path' => $path]);
                self::assertTrue($creates);
            } catch (Driver $refused) {
                self::assertFalse($creates);
                self::assertStringContainsString('unable to open database file', $refused->getMessage());
            }
            self::assertSame($creates, is_file($path));
        }
        Files::remove("$path*");
    }

    /** While the last process that had it open clears its log away, a database cannot be opened for a moment. */
    #[TestWith([SqlitePragmas::TRIES - 1, true])]
    #[TestWith([SqlitePragmas::TRIES, false])]
    public function testADatabaseThatCannotBeOpenedForAMomentIsTriedAgain(int $refusals, bool $opens): void
    {
        $path = sys_get_temp_dir().'/olvek-shut-'.getmypid().'.db';
        touch($path);
        $shut = new class($refusals) extends AbstractDriverMiddleware {
            public int $tried = 0;

            public function __construct(private readonly int $refusals)
            {
                parent::__construct(new \Doctrine\DBAL\Driver\PDO\SQLite\Driver());
            }

            public function connect(#[\SensitiveParameter] array $params): DriverConnection
            {
                if (++$this->tried <= $this->refusals) {
                    throw RefusedByDatabase::new(new \PDOException('unable to open database file', SqlitePragmas::CANNOT_OPEN));
                }

                return parent::connect($params);
            }
        };
        try {
            (new SqlitePragmas())->wrap($shut)->connect(['driver' => 'pdo_sqlite', 'path' => $path]);
            self::assertTrue($opens);
        } catch (Driver) {
            self::assertFalse($opens);
        }
        self::assertSame(SqlitePragmas::TRIES, $shut->tried);
        Files::remove("$path*");
    }

    /** One reads, another writes, the first wants to write: it waits for its turn from the beginning, and is not thrown out. */
    public function testATransactionThatReadsFirstMayStillWrite(): void
    {
        $path = sys_get_temp_dir().'/olvek-two-'.getmypid().'.db';
        $driver = (new SqlitePragmas())->wrap(new \Doctrine\DBAL\Driver\PDO\SQLite\Driver());
        $one = $driver->connect(['driver' => 'pdo_sqlite', 'path' => $path]);
        $other = $driver->connect(['driver' => 'pdo_sqlite', 'path' => $path]);
        $one->exec('CREATE TABLE t (x INTEGER)');
        $one->beginTransaction();
        $one->query('SELECT * FROM t');
        $other->exec('PRAGMA busy_timeout=0');
        try {
            $other->exec('INSERT INTO t VALUES (2)');
            self::fail('the right to write is asked for at the beginning');
        } catch (Driver $busy) {
            self::assertStringContainsString('locked', $busy->getMessage());
        }
        try {
            $other->beginTransaction();
            self::fail('two at once');
        } catch (Driver) {
        }
        $one->exec('INSERT INTO t VALUES (1)');
        $one->commit();
        $other->beginTransaction();
        $other->exec('INSERT INTO t VALUES (2)');
        $other->rollBack();
        self::assertSame(1, (int) $one->query('SELECT COUNT(*) FROM t')->fetchOne());
        Files::remove("$path*");
    }

    private function isSqlite(): bool
    {
        return $this->service(Connection::class)->getDatabasePlatform() instanceof \Doctrine\DBAL\Platforms\SQLitePlatform;
    }
}
