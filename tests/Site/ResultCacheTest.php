<?php

declare(strict_types=1);

namespace Olvek\Tests\Site;

use Olvek\Service\Site\ResultCache;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Cache\Adapter\ArrayAdapter;

final class ResultCacheTest extends TestCase
{
    public function testItIsMadeOnce(): void
    {
        $kept = new ResultCache(new ArrayAdapter(), 'one');
        $times = 0;
        $make = static function () use (&$times): int {
            return ++$times;
        };
        self::assertSame([1, 1], [$kept->get('a', $make), $kept->get('a', $make)]);
        self::assertSame(2, $kept->get('b', $make), 'another name is another thing');
    }

    /** False and nothing are answers too: "there was too little to learn from" must not be asked for again. */
    public function testThatThereIsNothingIsKeptAsWell(): void
    {
        $kept = new ResultCache(new ArrayAdapter(), 'one');
        $kept->get('a', static fn (): false => false);
        self::assertFalse($kept->get('a', static fn (): bool => true), 'not made again');
        self::assertSame([false], $kept->all(['a']));
    }

    public function testAllOrNone(): void
    {
        $kept = new ResultCache(new ArrayAdapter(), 'one');
        $kept->put('a', 1);
        self::assertNull($kept->all(['a', 'b']));
        $kept->put('b', 2);
        self::assertSame([2, 1], $kept->all(['b', 'a']), 'in the order asked for');
        self::assertNull($kept->known('c'));
    }

    public function testANewBuildTrustsNothingOfTheOld(): void
    {
        $pool = new ArrayAdapter();
        (new ResultCache($pool, 'one'))->put('a', 1);
        self::assertNull((new ResultCache($pool, 'two'))->known('a'));
        self::assertSame(1, (new ResultCache($pool, 'one'))->known('a'));
    }
}
