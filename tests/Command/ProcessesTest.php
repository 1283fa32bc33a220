<?php

declare(strict_types=1);

namespace Olvek\Tests\Command;

use Olvek\Console\Command\BandPieces;
use Olvek\Console\Command\Processes;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Planning\Plan\PlanDocument;
use PHPUnit\Framework\TestCase;

final class ProcessesTest extends TestCase
{
    private const CONSOLE = __DIR__.'/../../bin/console';

    public function testTheyReportAndStop(): void
    {
        foreach ([1, 2] as $count) {
            $processes = new Processes(self::CONSOLE, $count);
            $heard = [];
            $results = $processes->map(new SquarePieces(), 6, static function (int $done, int $of) use (&$heard): bool {
                $heard[] = [$done, $of];

                return true;
            });
            self::assertSame([0, 1, 4, 9, 16, 25], $results);
            self::assertSame([6, 6], $heard[5]);
            self::assertCount(3, $processes->map(new SquarePieces(), 50, static fn (int $done): bool => $done < 3), 'stopped after three');
        }
    }

    public function testOneThatDiesIsNotSilence(): void
    {
        $this->expectExceptionMessage('died before its work was done');
        (new Processes(self::CONSOLE))->map(new SquarePieces(3), 4);
    }

    public function testTheSameComesOutWhoeverDoesIt(): void
    {
        $plan = (new PlanDocument(Catalogue::shipped()))->fromJson((string) file_get_contents(__DIR__.'/../../demo/galley.plan.json'));
        $pieces = new BandPieces($plan, 3);
        self::assertEquals((new Processes(self::CONSOLE, 1))->map($pieces, 3), (new Processes(self::CONSOLE))->map($pieces, 3));
    }
}
