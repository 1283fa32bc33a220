<?php

declare(strict_types=1);

namespace Olvek\Tests\Work;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Doctrine\Persistence\ObjectRepository;
use Olvek\Service\Estimate\EstimateHandler;
use Olvek\Service\Estimate\EstimateJob;
use Olvek\Service\Estimate\Estimates;
use Olvek\Service\Log\BulkEntries;
use Olvek\Service\Log\Entry;
use Olvek\Service\Log\EntryKind;
use Olvek\Service\Log\Logbook;
use Olvek\Service\Work\Deadline;
use Olvek\Service\Work\JobHandler;
use Olvek\Tests\BenchTestCase;
use Olvek\Tests\FilledTank;
use PHPUnit\Framework\Attributes\DataProvider;

/** Whoever does long work knows the job and nothing else: what it was asked of may have changed by then. */
final class HandlersTest extends BenchTestCase
{
    use FilledTank;

    /** @return iterable<string, array{class-string}> */
    public static function handlers(): iterable
    {
        $files = glob(\dirname(__DIR__, 2).'/src/Service/*/*Handler.php');
        self::assertIsArray($files);
        foreach ($files as $file) {
            $class = 'Olvek\\'.strtr(substr($file, \strlen(\dirname(__DIR__, 2).'/src/'), -4), '/', '\\');
            if (class_exists($class) && is_subclass_of($class, JobHandler::class)) {
                yield basename($file, '.php') => [$class];
            }
        }
    }

    /** @param class-string $handler */
    #[DataProvider('handlers')]
    public function testNoHandlerCanReachTheDatabase(string $handler): void
    {
        $reached = [];
        self::reach($handler, $reached);
        self::assertSame([], array_intersect(array_keys($reached), [EntityManagerInterface::class, Connection::class]));
        foreach (array_keys($reached) as $class) {
            self::assertFalse(is_a($class, ObjectRepository::class, true), $class);
        }
    }

    public function testEveryHandlerIsLookedAt(): void
    {
        self::assertGreaterThan(9, \count(iterator_to_array(self::handlers())));
    }

    /** @param array<string, true> $reached */
    private static function reach(string $class, array &$reached): void
    {
        if (isset($reached[$class]) || (!class_exists($class) && !interface_exists($class))) {
            return;
        }
        $reached[$class] = true;
        foreach ((new \ReflectionClass($class))->getConstructor()?->getParameters() ?? [] as $parameter) {
            $type = $parameter->getType();
            if ($type instanceof \ReflectionNamedType && !$type->isBuiltin()) {
                self::reach($type->getName(), $reached);
            }
        }
    }

    /** Asked with one reading; before the worker comes another is logged. */
    public function testAnEstimateIsOfWhatItWasAskedOf(): void
    {
        $this->fill(30);
        $this->post('test', ['test' => ['nitrate' => '5'], 'day' => $this->day(-2)]);
        $estimates = $this->service(Estimates::class);
        $life = $estimates->life($this->stored(), $this->keeper) ?? self::fail('not filled');
        $job = new EstimateJob($life->state, 0);
        $key = $job->key();
        $handler = $this->service(EstimateHandler::class);
        $first = $handler->do($job, new Deadline(60))->value;
        $this->service(Logbook::class)->add(
            new Entry($this->stored(), new \DateTimeImmutable($this->day(-1)), EntryKind::Reading, 'nitrate', 40.0, null, 'later'),
        );
        // As a worker gets it: out of a queue.
        $job = unserialize(serialize($job));
        self::assertInstanceOf(EstimateJob::class, $job);
        self::assertSame($key, $job->key());
        self::assertCount(1, $job->state->log->readings);
        self::assertEquals($first, $handler->do($job, new Deadline(60))->value);
        $now = $estimates->life($this->stored(), $this->keeper) ?? self::fail('not filled');
        self::assertNotSame($key, (new EstimateJob($now->state, 0))->key(), 'the other state has another name');
    }

    public function testAStateIsAsSmallAsAQueueWants(): void
    {
        $this->fill(400);
        $entries = (function (): \Generator {
            $tank = $this->stored();
            for ($n = 0; $n < 20_000; ++$n) {
                $on = new \DateTimeImmutable($this->day(-1 - intdiv($n, 60)));
                yield new Entry($tank, $on, EntryKind::Reading, 'temperature', 20.0 + $n % 60 / 10, null, 'x');
            }
        })();
        $this->service(BulkEntries::class)->keepAll($entries, new \Olvek\Service\Log\LogImportReport());
        $life = $this->service(Estimates::class)->life($this->stored(), $this->keeper) ?? self::fail('not filled');
        self::assertCount(334, $life->log->readings, 'of a probe’s day its median');
        self::assertLessThan(40_000, \strlen(serialize($life->state)));
    }
}
