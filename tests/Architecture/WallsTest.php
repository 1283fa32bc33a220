<?php

declare(strict_types=1);

namespace Olvek\Tests\Architecture;

use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Finder\Finder;

/** The walls stand, and each is seen to fall where it is broken. */
final class WallsTest extends TestCase
{
    private const ROOT = __DIR__.'/../..';
    /** The catalogue is read from its files; a table of text is taken apart in memory (php://temp). */
    private const MAY_READ = [
        'Nature/Catalogue/Table.php' => ['is_file', 'file_get_contents'],
        'Basis/Unit/TextTable.php' => ['fopen', 'fwrite', 'fgets', 'fgetcsv'],
    ];

    /** @return iterable<string, string> code by path within the folder */
    private static function files(string $folder): iterable
    {
        foreach ((new Finder())->files()->in(self::ROOT."/$folder")->name('*.php')->sortByName() as $file) {
            yield $file->getRelativePathname() => $file->getContents();
        }
    }

    public function testTheCoreReachesForNothingOutside(): void
    {
        foreach (self::files('core/src') as $path => $code) {
            self::assertSame([], Walls::reachesOut($code, self::MAY_READ[$path] ?? []), $path);
        }
    }

    public function testOnlyStoresAskTheDatabase(): void
    {
        foreach (self::files('src') as $path => $code) {
            self::assertSame([], Walls::asksTheDatabase($code, 'Olvek\\'.str_replace(['/', '.php'], ['\\', ''], $path)), $path);
        }
    }

    public function testTheApplicationUsesTheCoresPublicSide(): void
    {
        $internal = [];
        foreach (self::files('core/src') as $path => $code) {
            if (1 === preg_match('/^ \* @internal$/m', $code)) {
                $internal['Olvek\Core\\'.str_replace(['/', '.php'], ['\\', ''], $path)] = true;
            }
        }
        self::assertNotSame([], $internal);
        foreach (self::files('src') as $file => $using) {
            self::assertSame([], Walls::usesInternals($using, $internal), $file);
        }
    }

    /** @param list<string> $allowed */
    #[TestWith(['core/src', ['CoreException.php']])]
    #[TestWith(['src', ['Kernel.php']])]
    public function testNothingStandsOutsideARoom(string $folder, array $allowed): void
    {
        $outside = [];
        foreach ((new Finder())->files()->in(self::ROOT."/$folder")->depth('< 2') as $file) {
            $outside[] = $file->getRelativePathname();
        }
        self::assertSame($allowed, $outside);
    }

    #[TestWith(['echo 1;'])]
    #[TestWith(['print 1;'])]
    #[TestWith(['header("x: y");'])]
    #[TestWith(['\file_get_contents("http://example.org");'])]
    #[TestWith(['$now = time();'])]
    #[TestWith(['$now = new \DateTimeImmutable();'])]
    #[TestWith(['$who = $_SERVER["USER"];'])]
    #[TestWith(['$chance = random_int(1, 6);'])]
    #[TestWith(['?><b>'])]
    public function testReachingOutIsSeen(string $broken): void
    {
        self::assertCount(1, Walls::reachesOut("<?php namespace Olvek\\Core\\Simulation\\Run; $broken"));
    }

    #[TestWith(['$day = new \DateTimeImmutable("2026-01-01");'])]
    #[TestWith(['$text = sprintf("%d", 1);'])]
    #[TestWith(['$this->file($header);'])]
    public function testWhatOnlyLooksLikeItIsNot(string $fine): void
    {
        self::assertSame([], Walls::reachesOut("<?php namespace Olvek\\Core\\Simulation\\Run; $fine"));
    }

    #[TestWith(['$this->connection->executeStatement("DELETE FROM keeper");', 'Olvek\Page\Account\RegisterController', 1])]
    #[TestWith(['$this->entities->createQuery("SELECT t FROM Tank t");', 'Olvek\Service\Almanac\Almanac', 1])]
    #[TestWith(['$this->entities->createQuery("SELECT t FROM Tank t");', 'Olvek\Service\Tank\TankRepository', 0])]
    public function testAQueryElsewhereIsSeen(string $code, string $class, int $faults): void
    {
        self::assertCount($faults, Walls::asksTheDatabase("<?php $code", $class));
    }

    public function testAnInternalClassIsSeenHoweverItIsNamed(): void
    {
        $internal = ['Olvek\Core\Simulation\Run\Day' => true];
        self::assertCount(1, Walls::usesInternals('<?php use Olvek\Core\Simulation\Run\Day; new Day();', $internal));
        self::assertCount(1, Walls::usesInternals('<?php new \Olvek\Core\Simulation\Run\Day();', $internal));
        self::assertSame([], Walls::usesInternals('<?php use Olvek\Core\Simulation\Run\Runner; new Runner();', $internal));
    }
}
