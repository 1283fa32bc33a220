<?php

declare(strict_types=1);

namespace Olvek\Tests\Transfer;

use Doctrine\ORM\EntityManagerInterface;
use Olvek\Core\Basis\TimeLimit\NoTimeLimit;
use Olvek\Core\Basis\Unit\TextTable;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Page\Transfer\ShelfExport;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Account\KeeperRepository;
use Olvek\Service\Build\BuildRecords;
use Olvek\Service\Device\DeviceAssignment;
use Olvek\Service\Device\DeviceKind;
use Olvek\Service\Device\Devices;
use Olvek\Service\Editing\TankEditor;
use Olvek\Service\Log\Entry;
use Olvek\Service\Log\EntryKind;
use Olvek\Service\Photo\Photos;
use Olvek\Service\Site\Zip;
use Olvek\Service\Tank\Tank;
use Olvek\Service\Tank\TankRepository;
use Olvek\Service\Task\TaskMark;
use Olvek\Service\Transfer\ImportResult;
use Olvek\Service\Transfer\ShelfImport;
use Olvek\Service\Transfer\UnreadableFile;
use Olvek\Service\Work\Deadline;
use Olvek\Tests\BenchTestCase;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Component\Clock\Clock;
use Symfony\Component\Clock\MockClock;
use Symfony\Component\Clock\NativeClock;
use Symfony\Component\Uid\Uuid;

/** Everything that a keeper has, carried away and brought back: the same comes out as went in, and nothing twice. */
final class TransferTest extends BenchTestCase
{
    protected function tearDown(): void
    {
        Clock::set(new NativeClock());
        parent::tearDown();
    }

    /** @return array<string, string> contents by path */
    private function carried(Keeper $keeper): array
    {
        $this->service(EntityManagerInterface::class)->clear();

        return iterator_to_array($this->service(ShelfExport::class)->of($this->keeper($keeper->signInName)));
    }

    private function keeper(string $name): Keeper
    {
        return $this->service(KeeperRepository::class)->named($name) ?? self::fail('the keeper is gone');
    }

    /** @param array<string, string> $files */
    private function bring(Keeper $keeper, array $files): ImportResult
    {
        $path = Zip::of($files);
        $this->service(EntityManagerInterface::class)->clear();
        try {
            return $this->service(ShelfImport::class)->bring($this->keeper($keeper->signInName), $path, new NoTimeLimit());
        } finally {
            unlink($path);
            $this->service(EntityManagerInterface::class)->clear();
        }
    }

    /**
     * What two parcels must have alike: all but whose they are, when they were made, and which ids tanks and lines have.
     *
     * @param array<string, string> $files
     *
     * @return array<string, string>
     */
    private static function alike(array $files, bool $ids): array
    {
        unset($files['calendar.ics']);
        $manifest = json_decode($files['manifest.json'], true);
        self::assertIsArray($manifest);
        unset($manifest['keeper']['name'], $manifest['made']);
        $files['manifest.json'] = json_encode($manifest, \JSON_THROW_ON_ERROR);

        return $ids ? $files : preg_replace('/[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}/', 'id', $files);
    }

    /** A shelf with something of everything, different for each seed. */
    private function fill(int $seed): void
    {
        mt_srand($seed);
        $clock = new MockClock('2026-01-01 12:00');
        Clock::set($clock);
        $entities = $this->service(EntityManagerInterface::class);
        $editor = $this->service(TankEditor::class);
        for ($t = mt_rand(1, 2); $t > 0; --$t) {
            $clock->sleep(1);
            $before = $tank ?? null;
            $tank = $editor->begin($this->keeper('runa'), $this->demoPlan()->withName("Tank $t of $seed, “ä”, \"quoted\""), 'created');
            $tank->standIn(0 === $seed % 2 ? 'Stairs, “ä”' : '');
            if (0 === $seed % 3) {
                $tank->archive($clock->now());
            }
            if (null !== $before) {
                $tank->follow($before);
            }
            for ($n = mt_rand(0, 5); $n > 0; --$n) {
                match (mt_rand(0, 3)) {
                    0 => $editor->undo($tank, $tank->head()),
                    1 => $editor->label($this->service(TankRepository::class)->head($tank), "named, $n"),
                    default => $editor->edit(
                        $tank,
                        $tank->head(),
                        ['light.hours' => (string) mt_rand(5, 12), 'waterLine' => mt_rand(250, 300).' mm'],
                        UnitSystem::Metric,
                    ),
                };
            }
            for ($n = mt_rand(0, 60); $n > 0; --$n) {
                $entities->persist(
                    new Entry(
                        $tank,
                        new \DateTimeImmutable('2026-01-01 +'.mt_rand(0, 300).' days', new \DateTimeZone('UTC')),
                        EntryKind::cases()[mt_rand(0, 2)],
                        'nitrate',
                        0 === mt_rand(0, 4) ? null : mt_rand() / 7.0,
                        0 === mt_rand(0, 1) ? null : 'a1',
                        "line, $n; “words”",
                        0 === mt_rand(0, 1),
                    ),
                );
            }
            for ($n = mt_rand(0, 4); $n > 0; --$n) {
                $entities->persist(
                    new TaskMark(
                        $tank,
                        "task-$n",
                        '2026-02-0'.$n,
                        0 === mt_rand(0, 1) ? null : new \DateTimeImmutable('2026-03-01', new \DateTimeZone('UTC')),
                        0 === mt_rand(0, 1),
                        0 === mt_rand(0, 1) ? null : Uuid::v7(),
                    ),
                );
            }
            $entities->flush();
            $book = $this->service(BuildRecords::class);
            $book->mark($tank, 'fill', true, '2025-12-31', 'a note, with a comma');
            $book->mark($tank, 'soil', false, '2025-12-31', '');
            $book->keepSheet(
                $book->progress($tank),
                ['bags' => ['coarse-sand' => '20 L'], 'prices' => ['coarse-sand' => '4.99'], 'have' => [], 'costs' => ['vessel' => '30']],
                ['bag.coarse-sand'],
                [Catalogue::shipped()->materials['coarse-sand']],
                ['vessel'],
                UnitSystem::Metric,
            );
            // A step whose id bears a number, and a device that another house does not have.
            $book->mark($tank, 'arrive-a1', true, '2025-12-31', 'came in a bag');
            $this->service(Devices::class)->wire($tank, DeviceKind::Lamp, 'test-lamp');
            $entities->persist(new DeviceAssignment($tank, DeviceKind::Probe, 'a-probe-elsewhere'));
            $entities->flush();
            for ($n = mt_rand(0, 2); $n > 0; --$n) {
                $picture = (string) tempnam(sys_get_temp_dir(), 'olvek');
                $image = imagecreatetruecolor(40 + $n, 30);
                self::assertNotFalse($image);
                imagejpeg($image, $picture);
                self::assertSame([], $this->service(Photos::class)->add($tank, $picture, '2026-01-01', "photo, $n; “ä”", ''));
                unlink($picture);
            }
        }
    }

    /** Property: carried away, brought onto an empty shelf, carried away again: the same, whoever it is. */
    #[TestWith([1])]
    #[TestWith([2])]
    #[TestWith([3])]
    #[TestWith([4])]
    #[TestWith([5])]
    #[TestWith([6])]
    public function testWhatIsBroughtBackIsWhatWasCarriedAway(int $seed): void
    {
        $this->fill($seed);
        $away = $this->carried($this->keeper);
        self::assertGreaterThan(20, \count($away));
        $other = $this->service(KeeperRepository::class)->enrol('odd', 'Odd', 'another long word');
        // Beside the original, on another's shelf: all is there, under ids of its own.
        $brought = $this->bring($other, $away);
        self::assertSame([[], 0], [$brought->faults, $brought->left]);
        self::assertSame(self::alike($away, false), self::alike($this->carried($other), false));
        self::assertSame(self::alike($away, true), self::alike($this->carried($this->keeper), true), 'the original is as it was');
        // Once more: nothing is doubled.
        foreach ($this->bring($other, $away)->tanks as $told) {
            self::assertStringContainsString('with everything in the file', $told['words']);
        }
        self::assertSame(self::alike($away, false), self::alike($this->carried($other), false));
        // Where the original is gone, ids are the same too.
        foreach ($this->service(TankRepository::class)->findAll() as $tank) {
            $this->service(EntityManagerInterface::class)->remove($tank);
        }
        $this->service(EntityManagerInterface::class)->flush();
        self::assertSame([], $this->bring($other, $away)->faults);
        self::assertSame(self::alike($away, true), self::alike($this->carried($other), true));
    }

    public function testALivingShelfGetsWhatItLacksAndKeepsWhatItHas(): void
    {
        $this->fill(2);
        $away = $this->carried($this->keeper);
        $entities = $this->service(EntityManagerInterface::class);
        $lines = $entities->getRepository(Entry::class)->findAll();
        $entities->remove($lines[0]);
        $entities->flush();
        $tank = $this->stored();
        $this->service(TankEditor::class)->edit($tank, 1, ['light.hours' => '11'], UnitSystem::Metric);
        $words = array_column($this->bring($this->keeper, $away)->tanks, 'words', 'tank');
        self::assertStringContainsString(
            'with everything in the file',
            $words['Waiting hall'],
            'the waiting hall knows more than the file',
        );
        self::assertNotEmpty(preg_grep('/1 log entry was added/', $words));
        self::assertSame(2, $this->stored()->head());
        self::assertCount(\count($lines), $entities->getRepository(Entry::class)->findAll());
        // Both have gone on, each in its own way: what is here stays.
        $away = $this->carried($this->keeper);
        $this->service(TankEditor::class)->undo($this->stored(), 2);
        $changed = str_replace('"hours": 11.0', '"hours": 10.0', $away);
        self::assertNotSame($away, $changed);
        $words = array_column($this->bring($this->keeper, $changed)->tanks, 'words', 'tank');
        self::assertStringContainsString('has changed since', $words['Waiting hall']);
        self::assertSame(1, $this->stored()->head());
    }

    public function testARemovedTankComesBack(): void
    {
        $away = $this->carried($this->keeper);
        $this->service(TankRepository::class)->takeOff($this->stored(), new \DateTimeImmutable());
        self::assertStringContainsString('had been removed and is back', $this->bring($this->keeper, $away)->tanks[0]['words']);
        self::assertNull($this->stored()->removedAt());
    }

    /** Any line that no Olvek wrote is told by its file and line, and left out; all else is taken. */
    public function testWhatCannotBeUnderstoodIsToldByItsLine(): void
    {
        $away = $this->carried($this->keeper);
        $folder = substr((string) array_key_first($away), 0, (int) strpos((string) array_key_first($away), '/plans/'));
        $id = '01890000-0000-7000-8000-00000000000';
        $away["$folder/log.csv"] = implode("\n", [
            'day,kind,what,amount,of,words,made_up,id,written',
            "2026-01-01,deed,top-up,1.5,,fine,,{$id}1,1.000000",
            "yesterday,deed,top-up,1,,x,,{$id}2,1.000000",
            "2026-01-01,murder,x,1,,x,,{$id}3,1.000000",
            "2026-01-01,deed,top-up,much,,x,,{$id}4,1.000000",
            "2026-01-01,deed,top-up,1e999,,x,,{$id}4,1.000000",
            "2026-01-01,deed,top-up,1,,\"a\u{202E}b\",,{$id}5,1.000000",
            '2026-01-01,deed,top-up,1,,x,,no-id,1.000000',
            "2026-01-01,deed,top-up,1,,x,,{$id}6,now",
            '',
        ]);
        $away["$folder/tasks.csv"] = "task,due,moved_to,settled,entry\nlook,2026-13-01,,yes,\n";
        $away["$folder/steps.csv"] =
            "step,done,day,note\nfill,yes,2026-01-01,".str_repeat('x', 301)."\nsoil,yes,2026-01-01,".str_repeat('x', 300)."\n";
        $away["$folder/devices.csv"] = "kind,device\ntoaster,x\n";
        $away["$folder/sheet.json"] = '{"bags": {"coarse-sand": -1}, "ticked": [5, "fine"]}';
        $away["$folder/photos.csv"] = implode("\n", [
            'file,day,words,width,height,id',
            "../x.jpg,2026-01-01,,1,1,{$id}7",
            "photos/2026-01-01-aa.jpg,soon,,1,1,{$id}7",
            "photos/2026-01-01-aa.jpg,2026-01-01,,1,1,{$id}7",
            '',
        ]);
        $this->service(EntityManagerInterface::class)->remove($this->stored());
        $this->service(EntityManagerInterface::class)->flush();
        $report = $this->bring($this->keeper, $away);
        self::assertStringContainsString('is on the shelf, with 1 revision, 1 log entry.', $report->tanks[0]['words']);
        self::assertEquals(
            [
                'log.csv' => [3, 4, 5, 6, 7, 8, 9],
                'tasks.csv' => [2],
                'steps.csv' => [2],
                'devices.csv' => [2],
                'photos.csv' => [2, 3],
                '2026-01-01-aa.jpg' => [null],
            ],
            array_reduce(
                $report->faults,
                static function (array $by, array $fault): array {
                    $by[basename($fault['file'])][] = $fault['line'];

                    return $by;
                },
                [],
            ),
        );
    }

    public function testATankWithoutItsRevisionsIsNotTaken(): void
    {
        $away = $this->carried($this->keeper);
        unset($away[substr((string) array_key_first($away), 0, (int) strpos((string) array_key_first($away), '/plans/')).'/revisions.csv']);
        $this->service(EntityManagerInterface::class)->remove($this->stored());
        $this->service(EntityManagerInterface::class)->flush();
        $report = $this->bring($this->keeper, $away);
        self::assertStringContainsString('its current plan can’t be read', $report->tanks[0]['words']);
        self::assertSame([null], array_column($report->faults, 'line'));
        self::assertNull($this->service(EntityManagerInterface::class)->find(Tank::class, $this->tank));
    }

    /** A manifest of a few kilobytes that unpacks to thirty megabytes took all memory. */
    public function testALongManifestIsNotRead(): void
    {
        $long = str_repeat('1,', 1_000_000);
        $path = Zip::of(['manifest.json' => "{\"format\": \"olvek.shelf\", \"version\": 1, \"tanks\": [], \"x\": [{$long}1]}"]);
        $this->expectException(UnreadableFile::class);
        try {
            $this->service(ShelfImport::class)->bring($this->keeper, $path, new NoTimeLimit());
        } finally {
            unlink($path);
        }
    }

    /** Two exports of one state are one file, to the last byte. */
    public function testTheSameStateIsTheSameFile(): void
    {
        $this->fill(2);
        $paths = [Zip::of($this->carried($this->keeper)), Zip::of($this->carried($this->keeper))];
        self::assertFileEquals($paths[0], $paths[1]);
        array_map(unlink(...), $paths);
    }

    /** What cannot all be read in one go is gone on with, and each time more of it is there; memory holds but a little. */
    public function testALongLogbookComesBackInPieces(): void
    {
        $away = $this->carried($this->keeper);
        $folder = substr((string) array_key_first($away), 0, (int) strpos((string) array_key_first($away), '/plans/'));
        $log = "day,kind,what,amount,of,words,made_up,id,written\n";
        for ($n = 0; $n < 30_000; ++$n) {
            $log .= \sprintf("2026-01-01,reading,ph,7.1,,pH 7.1,,01890000-0000-7000-8000-%012d,%d.000000\n", $n, $n);
        }
        $path = Zip::of([...$away, "$folder/log.csv" => $log]);
        unset($away, $log);
        memory_reset_peak_usage();
        $before = memory_get_usage();
        $counts = [];
        do {
            $this->service(EntityManagerInterface::class)->clear();
            $left = $this->service(ShelfImport::class)->bring($this->keeper('runa'), $path, new Deadline(0.4))->left;
            $counts[] = $this->stored()->logLines();
        } while ($left > 0 && \count($counts) < 100);
        unlink($path);
        self::assertSame(30_000, end($counts));
        self::assertGreaterThan(1, \count($counts), 'it was stopped on the way');
        array_pop($counts);
        self::assertSame($counts, array_values(array_unique($counts)), 'each went on');
        self::assertLessThan(40e6, memory_get_peak_usage() - $before);
    }

    public function testHowAKeeperLikesItComesToAnEmptyShelfAlone(): void
    {
        $this->keeper('runa')->prefer(UnitSystem::Us);
        $this->keeper('runa')->liveIn(new \DateTimeZone('Europe/Oslo'));
        $this->keeper('runa')->hold('hygrophila-polysperma', 12);
        $this->service(EntityManagerInterface::class)->flush();
        $away = $this->carried($this->keeper);
        $other = $this->service(KeeperRepository::class)->enrol('odd', 'Odd', 'another long word');
        self::assertTrue($this->bring($other, $away)->settings);
        $odd = $this->keeper('odd');
        self::assertSame(
            ['Runa', UnitSystem::Us, 'Europe/Oslo', ['hygrophila-polysperma' => 12]],
            [$odd->displayName(), $odd->units(), $odd->zone()->getName(), $odd->stock()],
        );
        $odd->prefer(UnitSystem::Metric);
        $this->service(EntityManagerInterface::class)->flush();
        self::assertFalse($this->bring($other, $away)->settings);
        self::assertSame(UnitSystem::Metric, $this->keeper('odd')->units());
    }

    public function testAPlanThatBreaksTheRulesIsTold(): void
    {
        $away = $this->carried($this->keeper);
        $plan = (string) array_key_first($away);
        $away[$plan] = str_replace('"waterLine": ', '"waterLine": 9', $away[$plan]);
        $this->service(EntityManagerInterface::class)->remove($this->stored());
        $this->service(EntityManagerInterface::class)->flush();
        $report = $this->bring($this->keeper, $away);
        self::assertStringContainsString('.plan.json', $report->faults[0]['file']);
        self::assertNull($this->service(EntityManagerInterface::class)->find(Tank::class, $this->tank));
    }

    /** @return iterable<string, array{\Closure(): string}> files that no Olvek has written, each made only when it is tried */
    public static function strange(): iterable
    {
        $tank = '{"folder": "../../etc", "id": "01890000-0000-7000-8000-000000000001", "name": "x", "head": 1, '
            .'"created": "2026-01-01T00:00:00+00:00"}';
        yield 'no ZIP' => [static fn (): string => 'no zip at all'];
        yield 'half a ZIP' => [static fn (): string => substr(self::zipped(['manifest.json' => '{}']), 0, 60)];
        yield 'no manifest' => [static fn (): string => self::zipped(['x' => 'y'])];
        yield 'another manifest' => [static fn (): string => self::zipped(['manifest.json' => '{"format": "other"}'])];
        yield 'another version' => [
            static fn (): string => self::zipped(['manifest.json' => '{"format": "olvek.shelf", "version": 99, "tanks": []}']),
        ];
        yield 'a folder outside' => [
            static fn (): string => self::zipped(['manifest.json' => '{"format": "olvek.shelf", "version": 1, "tanks": ['.$tank.']}']),
        ];
        yield 'a bomb' => [
            static fn (): string => self::zipped([
                'manifest.json' => '{}',
                ...array_fill_keys(array_map(static fn (int $n): string => "f$n", range(1, 45)), str_repeat("\0", 9_000_000)),
            ]),
        ];
    }

    /** @param array<string, string> $files */
    private static function zipped(array $files): string
    {
        return (string) file_get_contents(self::zip($files));
    }

    /** @param array<string, string> $files */
    private static function zip(array $files): string
    {
        $path = Zip::of($files);
        register_shutdown_function(static fn () => @unlink($path));

        return $path;
    }

    /** @param \Closure(): string $bytes */
    #[\PHPUnit\Framework\Attributes\DataProvider('strange')]
    public function testWhatIsNoneOfOursIsRefused(\Closure $bytes): void
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'olvek');
        file_put_contents($path, $bytes());
        memory_reset_peak_usage();
        $before = memory_get_usage();
        try {
            $this->service(ShelfImport::class)->bring($this->keeper, $path, new NoTimeLimit());
            self::fail('taken');
        } catch (UnreadableFile $refused) {
            self::assertNotSame('', $refused->getMessage());
        } finally {
            unlink($path);
        }
        self::assertLessThan(40e6, memory_get_peak_usage() - $before);
        self::assertCount(1, $this->service(TankRepository::class)->findAll());
    }

    public function testWhatThereIsNoTimeForIsTold(): void
    {
        $this->fill(1);
        $this->newTank($this->keeper('runa'));
        $path = Zip::of($this->carried($this->keeper));
        $report = $this->service(ShelfImport::class)->bring($this->keeper('runa'), $path, new Deadline(0.0));
        unlink($path);
        self::assertGreaterThan(0, $report->left);
        self::assertCount(1, $report->tanks, 'one at least');
    }

    public function testItGoesThroughTheBrowser(): void
    {
        $this->browser->request('GET', '/account');
        $this->browser->clickLink('Download everything');
        self::assertResponseHeaderSame('Content-Type', 'application/zip');
        $file = $this->browser->getInternalResponse()->getContent();
        self::assertStringStartsWith('PK', $file);
        $path = sys_get_temp_dir().'/olvek-carry-'.getmypid().'.zip';
        file_put_contents($path, $file);
        $page = $this->browser->request('GET', '/account');
        $form = $page->selectButton('Upload it')->form();
        $this->choose($form, $path);
        $this->browser->submit($form);
        self::assertResponseIsSuccessful();
        self::assertStringContainsString('is already here, with everything in the file', $this->text('.brought'));
        $this->browser->request('POST', '/account/bring', ['_token' => 'stolen']);
        self::assertResponseStatusCodeSame(422);
        $form = $this->browser->request('GET', '/account')->selectButton('Upload it')->form();
        file_put_contents($path, 'no zip');
        $this->choose($form, $path);
        $this->browser->submit($form);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('This isn’t a ZIP file', $this->text('.field-error'));
        unlink($path);
    }

    /** Every table can be read back by its own reader, whatever stands in its cells. */
    public function testTablesGoThereAndBack(): void
    {
        $rows = [['a,b', "line\nend", '"q"', '', 'ä\\', "'=1+1"], ['1', '-2.5', '1.0e-30', ' x ', '\"', ',']];
        self::assertSame(
            $rows,
            array_map(
                array_values(...),
                array_values(
                    iterator_to_array(
                        TextTable::read(\Olvek\Service\Site\Csv::write(['a', 'b', 'c', 'd', 'e', 'f'], $rows))->named([
                            'a',
                            'b',
                            'c',
                            'd',
                            'e',
                            'f',
                        ]),
                    ),
                ),
            ),
        );
        foreach ([0.1, 1 / 3, 1e-300, 123456789.123456789, -0.0] as $number) {
            self::assertSame($number, (float) trim(explode("\n", \Olvek\Service\Site\Csv::write(['n'], [[$number]]))[1]));
        }
    }

    private function choose(\Symfony\Component\DomCrawler\Form $form, string $path): void
    {
        $field = $form->get('file');
        self::assertInstanceOf(\Symfony\Component\DomCrawler\Field\FileFormField::class, $field);
        $field->upload($path);
    }
}
