<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Replay;

use PHPUnit\Framework\TestCase;

/** The run held against what keepers see, all facts together: one that is out is named, and too many fail. */
final class ReplayTest extends TestCase
{
    /** Share of facts in range that is wanted of those fitted to, and of those held out. */
    private const FITTED = 0.9;
    private const HELD_OUT = 0.9;

    public function testMostOfWhatKeepersSeeHappens(): void
    {
        $facts = Facts::all();
        self::assertGreaterThanOrEqual(60, \count($facts));
        foreach ([[false, self::FITTED], [true, self::HELD_OUT]] as [$heldOut, $wanted]) {
            $of = array_filter($facts, static fn (array $f): bool => $f[4] === $heldOut);
            $out = array_filter($of, static fn (array $f): bool => $f[3] < $f[1] || $f[3] > $f[2]);
            $words = array_map(static fn (array $f): string => \sprintf('%s: %.3g, not %.3g to %.3g', $f[0], $f[3], $f[1], $f[2]), $out);
            self::assertGreaterThan(20, \count($of));
            self::assertGreaterThanOrEqual(
                $wanted,
                1 - \count($out) / \count($of),
                ($heldOut ? 'held out' : 'fitted').":\n".implode("\n", $words),
            );
        }
    }

    /** A tank that follows its method is never refused. */
    public function testNoMethodIsRefusedWhereItIsFollowed(): void
    {
        $refused = array_filter(Facts::all(), static fn (array $f): bool => str_ends_with($f[0], 'is not refused') && 1.0 !== $f[3]);
        self::assertSame([], array_column($refused, 0));
    }
}
