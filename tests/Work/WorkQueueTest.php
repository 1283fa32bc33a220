<?php

declare(strict_types=1);

namespace Olvek\Tests\Work;

use Olvek\Core\Basis\TimeLimit\TimeLimit;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Judgement\Margin\MarginId;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Judging\RemedyJob;
use Olvek\Service\Site\ResultCache;
use Olvek\Service\Work\Job;
use Olvek\Service\Work\JobHandler;
use Olvek\Service\Work\JobMessage;
use Olvek\Service\Work\JobMessageHandler;
use Olvek\Service\Work\Result;
use Olvek\Service\Work\TicketState;
use Olvek\Service\Work\Turns;
use Olvek\Service\Work\WorkQueue;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Cache\Adapter\ArrayAdapter;
use Symfony\Component\DependencyInjection\ServiceLocator;
use Symfony\Component\Lock\LockFactory;
use Symfony\Component\Lock\Store\InMemoryStore;
use Symfony\Component\Messenger\Envelope;
use Symfony\Component\Messenger\MessageBusInterface;
use Symfony\Component\RateLimiter\RateLimiterFactory;
use Symfony\Component\RateLimiter\Storage\InMemoryStorage;

/** What is asked that takes long: worked out once, one piece at a time for each keeper, by the request or by a worker. */
final class WorkQueueTest extends TestCase
{
    private ResultCache $cache;
    private Turns $turns;
    private JobMessageHandler $handler;
    /** @var list<JobMessage> that wait for a worker */
    private array $queue = [];
    private int $done = 0;
    private Keeper $keeper;

    protected function setUp(): void
    {
        $this->cache = new ResultCache(new ArrayAdapter(storeSerialized: false), 'build');
        $this->turns = new Turns(new ArrayAdapter(), new LockFactory(new InMemoryStore()), 4.0);
        $this->keeper = new Keeper('runa', 'Runa');
        $doer = new class(function (): void {
            ++$this->done;
        }) implements JobHandler {
            public function __construct(private \Closure $count)
            {
            }

            public static function of(): string
            {
                return SumJob::class;
            }

            public function do(Job $job, TimeLimit $patience): Result
            {
                ($this->count)();
                \assert($job instanceof SumJob);
                if (13 === $job->n) {
                    throw new \DomainException('thirteen');
                }

                return $job->n > 100 ? Result::unfinished(100) : Result::whole($job->n * 2);
            }
        };
        $this->handler = new JobMessageHandler(
            new ServiceLocator([SumJob::class => static fn (): JobHandler => $doer]),
            $this->cache,
            $this->turns,
            4.0,
        );
    }

    private function workQueue(bool $workers = false, int $allowance = 100): WorkQueue
    {
        $bus = new class(function (JobMessage $piece) use ($workers): void {
            $workers ? ($this->queue[] = $piece) : ($this->handler)($piece);
        }) implements MessageBusInterface {
            public function __construct(private \Closure $send)
            {
            }

            public function dispatch(object $message, array $stamps = []): Envelope
            {
                ($this->send)($message);

                return new Envelope($message);
            }
        };

        $questions = new RateLimiterFactory(
            ['id' => 'questions', 'policy' => 'token_bucket', 'limit' => $allowance, 'rate' => ['interval' => '1 hour', 'amount' => 1]],
            new InMemoryStorage(),
        );

        return new WorkQueue($bus, $this->cache, $this->turns, $questions, 0.1);
    }

    public function testTheRequestItselfWorksItOutOnce(): void
    {
        $workQueue = $this->workQueue();
        foreach ([1, 2] as $time) {
            $ticket = $workQueue->ask(new SumJob(21), $this->keeper);
            self::assertSame(
                [TicketState::Done, 42, 200, []],
                [$ticket->state, $ticket->value, $ticket->status(), $ticket->headers()],
                "time $time",
            );
        }
        self::assertSame(1, $this->done);
    }

    public function testAWorkerWorksItOutMeanwhile(): void
    {
        $workQueue = $this->workQueue(workers: true);
        foreach ([1, 2] as $time) {
            $ticket = $workQueue->ask(new SumJob(21), $this->keeper);
            self::assertSame(
                [TicketState::Underway, 202, ['Retry-After' => '1']],
                [$ticket->state, $ticket->status(), $ticket->headers()],
                "time $time",
            );
        }
        self::assertCount(1, $this->queue, 'asked twice, sent once');
        ($this->handler)($this->queue[0]);
        self::assertSame(42, $workQueue->ask(new SumJob(21), $this->keeper)->value);
        // The message comes again, since whoever did it died before saying so.
        ($this->handler)($this->queue[0]);
        self::assertSame(1, $this->done);
    }

    /** A worker that is done within a moment is waited for: what is short needs no second request. */
    public function testAQuickWorkerIsWaitedFor(): void
    {
        $bus = new class($this->handler) implements MessageBusInterface {
            public function __construct(private JobMessageHandler $handler)
            {
            }

            public function dispatch(object $message, array $stamps = []): Envelope
            {
                \assert($message instanceof JobMessage);
                pcntl_async_signals(true);
                pcntl_signal(\SIGALRM, fn () => ($this->handler)($message));
                pcntl_alarm(1);

                return new Envelope($message);
            }
        };
        $questions = new RateLimiterFactory(['id' => 'questions', 'policy' => 'no_limit'], new InMemoryStorage());
        $workQueue = new WorkQueue($bus, $this->cache, $this->turns, $questions, 5.0);
        self::assertSame(42, $workQueue->ask(new SumJob(21), $this->keeper)->value);
    }

    public function testOneAtATimeForEachKeeper(): void
    {
        $workQueue = $this->workQueue(workers: true);
        $workQueue->ask(new SumJob(1), $this->keeper);
        $ticket = $workQueue->ask(new SumJob(2), $this->keeper);
        self::assertSame([TicketState::Busy, 429, ['Retry-After' => '2']], [$ticket->state, $ticket->status(), $ticket->headers()]);
        self::assertSame(TicketState::Underway, $workQueue->ask(new SumJob(2), new Keeper('odd', 'Odd'))->state, 'others do not wait');
        ($this->handler)($this->queue[0]);
        self::assertSame(TicketState::Underway, $workQueue->ask(new SumJob(2), $this->keeper)->state, 'the turn is free again');
    }

    /** Just within, and just beyond what one may ask in a while; what is known costs nothing. */
    public function testAnAllowance(): void
    {
        $workQueue = $this->workQueue(allowance: 2 * SumJob::COST);
        self::assertTrue($workQueue->ask(new SumJob(1), $this->keeper)->isDone());
        self::assertTrue($workQueue->ask(new SumJob(2), $this->keeper)->isDone());
        $ticket = $workQueue->ask(new SumJob(3), $this->keeper);
        self::assertSame([TicketState::TooOften, 429], [$ticket->state, $ticket->status()]);
        self::assertGreaterThan(0, (int) $ticket->headers()['Retry-After']);
        self::assertTrue($workQueue->ask(new SumJob(1), $this->keeper)->isDone());
        self::assertTrue($workQueue->ask(new SumJob(3), new Keeper('odd', 'Odd'))->isDone());
    }

    public function testWhatFailsEndsItsTurn(): void
    {
        $workQueue = $this->workQueue();
        try {
            $workQueue->ask(new SumJob(13), $this->keeper);
            self::fail('taken');
        } catch (\DomainException) {
        }
        self::assertTrue($workQueue->ask(new SumJob(1), $this->keeper)->isDone());
    }

    public function testATurnIsNotTakenFromAnother(): void
    {
        self::assertTrue($this->turns->take('k', 'a'));
        self::assertTrue($this->turns->take('k', 'a'));
        self::assertFalse($this->turns->take('k', 'b'));
        $this->turns->give('k', 'b');
        self::assertTrue($this->turns->has('k', 'a'));
        $this->turns->give('k', 'a');
        self::assertTrue($this->turns->take('k', 'b'));
    }

    /** A piece of work travels by any transport: what comes out is what went in. */
    public function testJobsTravel(): void
    {
        foreach (
            [
                new \Olvek\Service\Judging\AnswerJob('{}', 'stock', 'neocaridina-davidi'),
                new RemedyJob('{}', MarginId::Oxygen, UnitSystem::Us),
                new \Olvek\Service\Judging\BandJob('{}', 3),
                new \Olvek\Service\Weeks\ForecastJob('{}', new \Olvek\Core\Keeping\Log\Log(), 5, 2),
            ] as $job
        ) {
            $back = unserialize(serialize(new JobMessage($job, 'k')));
            self::assertInstanceOf(JobMessage::class, $back);
            self::assertSame($job->key(), $back->job->key());
            self::assertGreaterThan(0, $job->cost());
        }
    }
}

final readonly class SumJob implements Job
{
    public const COST = 10;

    public function __construct(public int $n)
    {
    }

    public function key(): string
    {
        return "sum.$this->n";
    }

    public function cost(): int
    {
        return self::COST;
    }
}
