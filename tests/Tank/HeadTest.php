<?php

declare(strict_types=1);

namespace Olvek\Tests\Tank;

use Doctrine\DBAL\Connection;
use Olvek\Service\Site\ConcurrentChange;
use Olvek\Service\Tank\TankRepository;
use Olvek\Tests\BenchTestCase;
use PHPUnit\Framework\Attributes\TestWith;

/** A backup is restored while a request holds a tank: it then reads the current revision, or asks for the page to be reloaded. */
final class HeadTest extends BenchTestCase
{
    private function tanks(): TankRepository
    {
        return $this->service(TankRepository::class);
    }

    /** The tank as a request holds it that began before the backup came. */
    private function restored(string $sql): void
    {
        $this->service(Connection::class)->executeStatement($sql);
    }

    public function testTheRevisionThatStandsNowIsRead(): void
    {
        $this->send(['light.hours' => '7']);
        $held = $this->stored();
        $number = $held->head();
        $this->restored('DELETE FROM revision WHERE number = '.$number);
        $this->restored('UPDATE tank SET head = '.($number - 1));
        self::assertSame($number - 1, $this->tanks()->head($held)->number);
    }

    #[TestWith(['DELETE FROM revision'])]
    #[TestWith(['DELETE FROM tank'])]
    public function testWhatIsGoneIsToldToBeLoadedAgain(string $sql): void
    {
        $held = $this->stored();
        $this->restored('DELETE FROM revision');
        $this->restored($sql);
        $this->expectException(ConcurrentChange::class);
        $this->expectExceptionMessage('Load the page again');
        $this->tanks()->head($held);
    }
}
