<?php

declare(strict_types=1);

namespace Olvek\Tests\Quick;

use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Filesystem\Filesystem;

final class NearestTestsTest extends TestCase
{
    private string $project;

    protected function setUp(): void
    {
        $this->project = sys_get_temp_dir().'/olvek-nearest-'.bin2hex(random_bytes(6));
        foreach (
            [
                'tests/Lamp/DimmerTest.php' => 'new Dimmer()',
                'tests/Lamp/SwitchTest.php' => 'new Lever()',
                'tests/Room/WallTest.php' => 'new Dimmer(); new Wall()',
                'tests/Room/DoorTest.php' => 'new Door()',
            ] as $path => $code
        ) {
            (new Filesystem())->dumpFile("$this->project/$path", $code);
        }
    }

    protected function tearDown(): void
    {
        (new Filesystem())->remove($this->project);
    }

    private function tests(): NearestTests
    {
        return new NearestTests($this->project, 'tests', 'src', [
            'Olvek\Tests\Lamp\DimmerTest' => 4.0,
            'Olvek\Tests\Room\WallTest' => 3.0,
            'Olvek\Tests\Lamp\SwitchTest' => 2.0,
        ]);
    }

    /**
     * Its own test, then who names it, then its room.
     *
     * @param list<string> $run
     * @param list<string> $left
     */
    #[TestWith([9.0, ['tests/Lamp/DimmerTest.php', 'tests/Room/WallTest.php', 'tests/Lamp/SwitchTest.php'], []])]
    #[TestWith([8.9, ['tests/Lamp/DimmerTest.php', 'tests/Room/WallTest.php'], ['tests/Lamp/SwitchTest.php']])]
    #[TestWith([0.0, ['tests/Lamp/DimmerTest.php'], ['tests/Room/WallTest.php', 'tests/Lamp/SwitchTest.php']])]
    public function testTheNearestComeFirstAndTheRestIsNamed(float $budget, array $run, array $left): void
    {
        self::assertSame(['run' => $run, 'left' => $left], $this->tests()->of(['src/Page/Lamp/Dimmer.php'], $budget));
    }

    /** @param list<string> $near */
    #[TestWith(['tests/Room/DoorTest.php', ['tests/Room/DoorTest.php', 'tests/Room/WallTest.php']])]
    #[TestWith(['templates/room/wall.html.twig', ['tests/Room/DoorTest.php', 'tests/Room/WallTest.php']])]
    #[TestWith(['docs/model.md', []])]
    #[TestWith(['core/src/Nature/Room/Wall.php', []])]
    public function testWhatIsNearToOtherFiles(string $changed, array $near): void
    {
        self::assertSame($near, $this->tests()->of([$changed], 60.0)['run']);
    }

    public function testEarlierRunsAreAddedUpByClass(): void
    {
        $notes = "$this->project/notes.json";
        file_put_contents($notes, '{"version": 1, "times": {"A\\\\B::one": 1.5, "A\\\\B::two with data set #0": 0.25, "A\\\\C::one": 2}}');
        self::assertSame(['A\B' => 1.75, 'A\C' => 2.0], NearestTests::secondsFrom($notes));
        self::assertSame([], NearestTests::secondsFrom("$this->project/none.json"));
    }
}
