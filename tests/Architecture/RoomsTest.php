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

    /** @param array<string, list<string>> $rooms */
    #[TestWith(['core/src', Rooms::CORE])]
    #[TestWith(['src', Rooms::APPLICATION])]
    public function testEveryFolderIsARoomThatIsDescribed(string $folder, array $rooms): void
    {
        $root = \dirname(__DIR__, 2);
        $found = glob("$root/$folder/*", \GLOB_ONLYDIR);
        self::assertIsArray($found);
        $folders = array_map(basename(...), $found);
        self::assertEqualsCanonicalizing(array_keys($rooms), $folders);
        $page = (string) file_get_contents("$root/docs/architecture.md");
        foreach ($folders as $room) {
            self::assertMatchesRegularExpression(
                "/^\\| [^|]*`$room`[^|]*\\| [^|]+\\|$/m",
                $page,
                "docs/architecture.md does not say what $room is",
            );
        }
    }
}
