<?php

declare(strict_types=1);

namespace Olvek\Tests\Server;

use PHPUnit\Framework\TestCase;

/** A server's settings file names each setting that there is, with what it means. */
final class SettingsTest extends TestCase
{
    private const ONLY_FOR_TESTS = ['OLVEK_TEST_CLOCK'];

    public function testEachSettingStandsThereWithItsMeaning(): void
    {
        $known = array_diff(array_keys(self::settings('.env')), self::ONLY_FOR_TESTS);
        $told = self::settings('deploy/olvek.env.in');
        self::assertNotEmpty($known);
        self::assertSame([], array_values(array_diff($known, array_keys($told))), 'missing');
        self::assertSame([], array_values(array_diff(array_keys($told), [...$known, 'APP_DEBUG'])), 'unknown');
        self::assertSame([], array_keys(array_filter($told, static fn (string $words): bool => '' === $words)), 'without a word');
    }

    /** @return array<string, string> the comment above each setting, or above the group that it belongs to */
    private static function settings(string $file): array
    {
        $found = [];
        $words = $group = '';
        foreach (explode("\n", (string) file_get_contents(\dirname(__DIR__, 2)."/$file")) as $line) {
            if (1 === preg_match('/^#?([A-Z_]{4,})=/', $line, $match)) {
                $isGrouped = str_starts_with($match[1], 'OLVEK_MOST_') || 'APP_DEBUG' === $match[1];
                $own = '' === $words && $isGrouped ? $group : $words;
                $found[$match[1]] = ($found[$match[1]] ?? '').$own;
                $group = $own;
                $words = '';
            } elseif (str_starts_with($line, '#')) {
                $words = trim($line, '# ');
            }
        }

        return $found;
    }
}
