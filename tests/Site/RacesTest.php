<?php

declare(strict_types=1);

namespace Olvek\Tests\Site;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Doctrine\ORM\Events;
use Olvek\Service\Almanac\Almanac;
use Olvek\Service\Almanac\Due;
use Olvek\Service\Almanac\Settling;
use Olvek\Service\Device\DeviceKind;
use Olvek\Service\Task\TaskMark;
use Olvek\Tests\BenchTestCase;
use Olvek\Tests\FilledTank;

/** Two windows at the same moment: one is told in words, nothing is lost, and nothing is written twice. */
final class RacesTest extends BenchTestCase
{
    use FilledTank;

    /**
     * Lets another window be faster, just before the next flush writes.
     *
     * @param array<string, mixed> $row
     */
    private function faster(string $table, array $row): void
    {
        $entities = $this->service(EntityManagerInterface::class);
        $entities->getEventManager()->addEventListener(
            Events::onFlush,
            new class($this->service(Connection::class), $table, $row) {
                private bool $done = false;

                /** @param array<string, mixed> $row */
                public function __construct(
                    private readonly Connection $connection,
                    private readonly string $table,
                    private readonly array $row,
                ) {
                }

                public function onFlush(): void
                {
                    if (!$this->done) {
                        $this->done = true;
                        $this->connection->insert($this->table, $this->row);
                    }
                }
            },
        );
    }

    private function buildToken(): string
    {
        return (string) $this->browser
            ->request('GET', "/tanks/$this->tank/build")
            ->filter('main input[name="_token"]')
            ->attr('value');
    }

    public function testAStepMarkedTwiceAtOnce(): void
    {
        $sent = ['_token' => $this->buildToken(), 'state' => 'done', 'note' => 'typed', 'day' => ''];
        $this->browser->disableReboot();
        $this->faster('step_mark', ['tank_id' => $this->tank, 'step' => 'soil', 'done' => 1, 'on_day' => '2026-01-01', 'note' => 'theirs']);
        $this->browser->request('POST', "/tanks/$this->tank/build/steps/soil", $sent);
        self::assertResponseStatusCodeSame(409);
        self::assertStringContainsString('at the same moment', $this->text('main .field-error'));
        self::assertStringContainsString('Your note was: “typed”', $this->text('main .field-error'));
    }

    public function testASheetKeptTwiceAtOnce(): void
    {
        $sent = ['_token' => $this->buildToken(), 'base' => '0', 'sheet' => ['bags' => ['coarse-sand' => '25 L']]];
        $this->browser->disableReboot();
        $this->faster('build_progress', [
            'tank_id' => $this->tank,
            'sheet' => '{"bags":{},"prices":{},"have":{},"ticked":[]}',
            'version' => 1,
        ]);
        $this->browser->request('POST', "/tanks/$this->tank/build/sheet", $sent);
        self::assertResponseStatusCodeSame(409);
        self::assertStringContainsString('25 L', (string) $this->browser->getResponse()->getContent());
    }

    public function testADeviceWiredTwiceAtOnce(): void
    {
        $this->fill(3);
        $sent = ['_token' => $this->token(), 'kind' => 'lamp', 'device' => 'test-lamp'];
        $this->browser->disableReboot();
        $this->faster('wiring', ['tank_id' => $this->tank, 'kind' => DeviceKind::Lamp->value, 'device' => 'test-lamp']);
        $this->browser->request('POST', "/tanks/$this->tank/devices/wire", $sent);
        self::assertResponseStatusCodeSame(409);
    }

    private function due(): Due
    {
        $this->fill(40);
        $almanac = $this->service(Almanac::class)->of($this->keeper);
        $all = array_values(
            array_filter([...$almanac['late'], ...$almanac['now'], ...$almanac['coming']], static fn (Due $d): bool => '' === $d->way),
        );
        self::assertNotEmpty($all);

        return $all[0];
    }

    public function testATaskSettledTwiceAtOnceIsWrittenOnce(): void
    {
        $this->browser->disableReboot();
        $due = $this->due();
        $before = \count($this->entries());
        $due = $this->due();
        $this->faster('task_mark', [
            'tank_id' => $this->tank,
            'task' => $due->task,
            'due_day' => $due->due->format('Y-m-d'),
            'settled' => 1,
            'version' => 1,
        ]);
        self::assertFalse($this->service(Settling::class)->settle($due, true));
        self::assertCount($before, $this->entries());
    }

    /** The other window has settled it after this one had found it open. */
    public function testATaskThatHasBeenSettledIsNotSettledAgain(): void
    {
        $this->browser->disableReboot();
        $due = $this->due();
        $settling = $this->service(Settling::class);
        self::assertTrue($settling->settle($due, true));
        $lines = \count($this->entries());
        $due = new Due($this->stored(), $due->task, $due->words, $due->due, $due->on, $due->late, $due->moved);
        self::assertFalse($settling->settle($due, false));
        self::assertFalse($settling->move($due, new \DateTimeImmutable('2027-01-01')));
        $this->service(EntityManagerInterface::class)->flush();
        self::assertCount($lines, $this->entries());
    }

    public function testOfTwoThatPutOffTheSameOneIsTold(): void
    {
        $this->browser->disableReboot();
        $due = $this->due();
        $settling = $this->service(Settling::class);
        self::assertTrue($settling->move($due, new \DateTimeImmutable('2027-01-01')));
        $lines = \count($this->entries());
        $entities = $this->service(EntityManagerInterface::class);
        $mark = $entities->find(TaskMark::class, ['tank' => $due->tank->id(), 'task' => $due->task, 'due' => $due->due->format('Y-m-d')]);
        self::assertNotNull($mark);
        // Another window's change, of which this one has not heard.
        $this->service(Connection::class)->executeStatement('UPDATE task_mark SET version = version + 1');
        self::assertFalse(
            $settling->move(
                new Due($mark->tank, $due->task, $due->words, $due->due, $due->on, $due->late, true),
                new \DateTimeImmutable('2027-02-01'),
            ),
        );
        self::assertCount($lines, $this->entries());
    }
}
