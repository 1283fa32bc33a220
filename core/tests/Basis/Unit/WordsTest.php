<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Basis\Unit;

use Olvek\Core\Basis\Unit\Words;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class WordsTest extends TestCase
{
    /** As keepers count them: some names have no plural of their own. */
    #[TestWith([1, 'Ramshorn snail', 'ramshorn snail'])]
    #[TestWith([14, 'Ramshorn snail', 'ramshorn snails'])]
    #[TestWith([28, 'Cherry shrimp', 'cherry shrimp'])]
    #[TestWith([6, 'Least killifish', 'least killifish'])]
    #[TestWith([6, 'Pygmy corydoras', 'pygmy corydoras'])]
    #[TestWith([3, 'Endler’s guppy', 'Endler’s guppies'])]
    #[TestWith([2, 'Hillstream loach', 'hillstream loaches'])]
    public function testAnimalsAreCountedAsKeepersDo(int $count, string $kind, string $said): void
    {
        self::assertSame($said, Words::animals($count, $kind));
    }
}
