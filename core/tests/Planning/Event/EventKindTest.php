<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Planning\Event;

use Olvek\Core\Keeping\Log\LogAction;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Event\Happens;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The registry of events is complete: a new case fails here until its class says everything. */
final class EventKindTest extends TestCase
{
    /** @return iterable<string, array{EventKind}> */
    public static function kinds(): iterable
    {
        foreach (EventKind::cases() as $kind) {
            yield $kind->value => [$kind];
        }
    }

    #[DataProvider('kinds')]
    public function testItIsDescribed(EventKind $kind): void
    {
        self::assertCount(1, (new \ReflectionClass($kind->type()))->getAttributes(Happens::class));
        self::assertNotSame('', $kind->words());
    }

    /** What can be logged has its words in the past, and a button; tasks have theirs by what is to be done. */
    #[DataProvider('kinds')]
    public function testWhatIsLoggedHasAButton(EventKind $kind): void
    {
        self::assertSame(null !== $kind->happens()->done, null !== $kind->logButton() || EventKind::Task === $kind);
    }

    #[DataProvider('kinds')]
    public function testEveryButtonStandsInTheLogOfATank(EventKind $kind): void
    {
        $plan = Sample::planted();
        $actions = array_filter(LogAction::of($plan), static fn (LogAction $action): bool => $kind === $action->kind);
        if (null === $kind->logButton()) {
            self::assertSame(EventKind::Task === $kind, [] !== $actions);

            return;
        }
        $concerned = ['clump' => $plan->clumps, 'group' => $plan->groups][$kind->of() ?? ''] ?? [null];
        self::assertCount(\count($concerned), $actions);
        foreach ($actions as $action) {
            self::assertStringNotContainsString('%', $action->button);
            self::assertContains($action->section, ['water', 'plants', 'animals', 'tank']);
        }
    }

    /** An event may count as done without a log entry only if it could be logged, or if it is a stretch of absence. */
    #[DataProvider('kinds')]
    public function testWhatCountsAsDoneCanBeLogged(EventKind $kind): void
    {
        $happens = $kind->happens();
        self::assertTrue(!$happens->asPlanned || null !== $happens->done || EventKind::Holiday === $kind);
        self::assertTrue(!$happens->disturbsWater || null !== $happens->done);
    }
}
