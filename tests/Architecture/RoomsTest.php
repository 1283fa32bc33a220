<?php

declare(strict_types=1);

namespace Olvek\Tests\Architecture;

use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class RoomsTest extends TestCase
{
    /** Every room knows only such as stand before it, so nothing goes round in a circle. */
    public function testNoRoomKnowsALaterOne(): void
    {
        foreach ([Rooms::CORE, Rooms::APPLICATION] as $rooms) {
            $before = [];
            foreach ($rooms as $room => $knows) {
                self::assertSame([], array_diff($knows, $before), "$room knows what stands after it");
                $before[] = $room;
            }
        }
    }

    /**
     * @param list<string>                $wings
     * @param array<string, list<string>> $rooms
     */
    #[TestWith([Rooms::CORE_WINGS, Rooms::CORE])]
    #[TestWith([Rooms::APPLICATION_WINGS, Rooms::APPLICATION])]
    public function testNoWingKnowsALaterOne(array $wings, array $rooms): void
    {
        $floor = static fn (string $room): int|false => array_search(strstr($room, '\\', true), $wings, true);
        foreach ($rooms as $room => $knows) {
            self::assertIsInt($floor($room), "$room stands in no wing");
            foreach ($knows as $other) {
                self::assertLessThanOrEqual($floor($room), $floor($other), "$room knows $other, of a later wing");
            }
        }
    }

    /**
     * @param list<string>                $wings
     * @param array<string, list<string>> $rooms
     */
    #[TestWith(['core/src', Rooms::CORE_WINGS, Rooms::CORE])]
    #[TestWith(['src', Rooms::APPLICATION_WINGS, Rooms::APPLICATION])]
    public function testEveryFolderIsARoomThatIsDescribed(string $folder, array $wings, array $rooms): void
    {
        $root = \dirname(__DIR__, 2);
        self::assertEqualsCanonicalizing($wings, self::folders("$root/$folder", '*'));
        $found = self::folders("$root/$folder", '*/*');
        self::assertEqualsCanonicalizing(array_keys($rooms), str_replace('/', '\\', $found));
        $page = (string) file_get_contents("$root/docs/architecture.md");
        foreach ($found as $path) {
            $room = basename($path);
            self::assertMatchesRegularExpression(
                "/^\\| [^|]*`$room`[^|]*\\| [^|]+\\|$/m",
                $page,
                "docs/architecture.md does not say what $path is",
            );
        }
    }

    /** @return list<string> folders within a folder, by their paths from it */
    private static function folders(string $root, string $depth): array
    {
        $found = glob("$root/$depth", \GLOB_ONLYDIR);
        self::assertIsArray($found);

        return array_map(static fn (string $path): string => substr($path, \strlen($root) + 1), $found);
    }
}
