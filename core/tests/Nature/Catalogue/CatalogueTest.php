<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Nature\Catalogue;

use Olvek\Core\Nature\Bed\MaterialRole;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Nature\Catalogue\InvalidCatalogue;
use Olvek\Core\Nature\Plant\PlantRole;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class CatalogueTest extends TestCase
{
    public function testShipsSoilsCapsEveryCommonRoleAndAnimals(): void
    {
        $catalogue = Catalogue::shipped();
        $roles = array_unique(array_map(static fn ($p) => $p->role->value, $catalogue->plants));

        self::assertGreaterThanOrEqual(24, \count($catalogue->materials));
        self::assertCount(2, array_unique(array_map(static fn ($m) => $m->role->value, $catalogue->materials)));
        self::assertGreaterThanOrEqual(110, \count($catalogue->plants));
        self::assertGreaterThanOrEqual(70, \count($catalogue->animals));
        foreach (PlantRole::cases() as $role) {
            self::assertContains($role->value, $roles);
        }
        self::assertSame(MaterialRole::Cap, $catalogue->materials['coarse-sand']->role);
    }

    /** No likely value may contradict another of its row. */
    public function testEveryRowAgreesWithItself(): void
    {
        $catalogue = Catalogue::shipped();
        foreach ([...$catalogue->plants, ...$catalogue->animals] as $id => $kind) {
            self::assertLessThan($kind->warmest->value, $kind->coolest->value, $id);
            self::assertLessThan($kind->hardest->value, $kind->softest->value, $id);
        }
        foreach ($catalogue->animals as $id => $kind) {
            self::assertLessThan($kind->alkalinest->value, $kind->acidest->value, $id);
            self::assertGreaterThanOrEqual($kind->litresEach->value, $kind->leastTank->value, $id);
        }
        foreach ($catalogue->plants as $id => $kind) {
            self::assertSame($kind->role->coversSurface(), $kind->mat->value > 0, "$id lies on the water, or does not");
            self::assertLessThanOrEqual($kind->densest->value, $kind->mat->value, $id);
        }
    }

    /**
     * Accepted names lead; those that shops and older books use are found beside them. M: Plants of the World Online; Catalogue of Fishes;
     * WoRMS.
     */
    public function testOtherNamesAreShownBesideTheAcceptedOne(): void
    {
        $catalogue = Catalogue::shipped();
        self::assertSame('Java fern (Leptochilus pteropus; Microsorum pteropus)', $catalogue->plants['microsorum-pteropus']->names());
        self::assertSame('Peace lily (Spathiphyllum wallisii)', $catalogue->plants['spathiphyllum-wallisii']->names());
        self::assertSame(
            'Ghost shrimp (Palaemon paludosus; Palaemonetes paludosus)',
            $catalogue->animals['palaemonetes-paludosus']->names(),
        );
    }

    #[TestWith(['coarse-sand,Sand,cap,heavy,0.4 [0.3..0.5] M,0 C,0 C,0 C,0 C,0 C,1.5 [1..2] M,0 C,0 C,0 C,0 C,0 C,0 C,', 'density'])]
    #[TestWith([
        'coarse-sand,Sand,roof,1.5 C,0.4 [0.3..0.5] M,0 C,0 C,0 C,0 C,0 C,1.5 [1..2] M,0 C,0 C,0 C,0 C,0 C,0 C,',
        'role "roof" is not known',
    ]),]
    #[TestWith([
        'coarse-sand,Sand,cap,1.5 C,1.4 [1.3..1.5] M,0 C,0 C,0 C,0 C,0 C,1.5 [1..2] M,0 C,0 C,0 C,0 C,0 C,0 C,',
        'porosity must lie within',
    ]),]
    #[TestWith(['Coarse Sand,Sand,cap,1.5 C,0.4 C,0 C,0 C,0 C,0 C,0 C,1.5 C,0 C,0 C,0 C,0 C,0 C,0 C,', 'id'])]
    #[TestWith(['coarse-sand,Sand,cap', '3 cells'])]
    #[TestWith(['coarse-sand,,cap,1.5 C,0.4 C,0 C,0 C,0 C,0 C,0 C,1.5 C,0 C,0 C,0 C,0 C,0 C,0 C,', 'name is empty'])]
    public function testABrokenRowIsNamedByFileAndLine(string $row, string $why): void
    {
        $folder = sys_get_temp_dir().'/olvek-catalogue-'.bin2hex(random_bytes(6));
        mkdir($folder);
        file_put_contents(
            $folder.'/materials.csv',
            'id,name,role,density,porosity,flush_nitrogen,nitrate_share,slow_nitrogen,quick_carbon,slow_carbon,'
            ."retardation,phosphorus,potassium,iron,acidity,lime,grain,remarks\n$row\n",
        );
        try {
            Catalogue::load($folder);
            self::fail('the row was taken');
        } catch (InvalidCatalogue $refused) {
            self::assertStringContainsString('materials.csv, line 2', $refused->getMessage());
            self::assertStringContainsString($why, $refused->getMessage());
        } finally {
            unlink($folder.'/materials.csv');
            rmdir($folder);
        }
    }

    public function testWhatToMindIsSaidOfAKind(): void
    {
        $catalogue = Sample::catalogue();
        self::assertSame([], $catalogue->animals['hyphessobrycon-amandae']->cautions());
        self::assertSame(
            ['For a grown tank: wait until film has covered glass and leaves.', 'Often caught in the wild: ask for bred ones.'],
            $catalogue->animals['otocinclus-macrospilus']->cautions(),
        );
        self::assertSame(
            ['Jumps: a lid, floaters or a lower water line.', 'Settles in the wild: check what your country allows.'],
            $catalogue->animals['oryzias-latipes']->cautions(),
        );
        self::assertSame([], $catalogue->plants['anubias-nana']->cautions());
        self::assertSame(['Not on the first day: plant it once the tank has settled.'], $catalogue->plants['bucephalandra']->cautions());
        self::assertSame(
            ['Plant-eaters take it first.', 'Settles in the wild: check what your country allows.'],
            $catalogue->plants['egeria-densa']->cautions(),
        );
    }

    /** @return iterable<string, array{string, string, string, string}> file, column, a wrong cell, words of the complaint */
    public static function wrongCells(): iterable
    {
        yield 'a zone that is none' => ['plants.csv', 'zone', 'attic', 'zone "attic" is not known'];
        yield 'planted a yard deep' => ['plants.csv', 'planting', '0.9 C', 'planting must lie within'];
        yield 'perhaps invasive' => ['plants.csv', 'invasive', 'perhaps', 'must be "yes" or "no"'];
        yield 'eats the keeper' => ['animals.csv', 'eats', 'keepers', 'eats "keepers" is not known'];
        yield 'breeds by a guess' => ['animals.csv', 'breeds', '0.1 J', 'needs a range'];
        yield 'acid beyond acid' => ['animals.csv', 'ph_low', '1 C', 'ph_low must lie within'];
        yield 'more lime than lime' => ['amendments.csv', 'lime', '2 C', 'lime must lie within'];
        yield 'a stone of air' => ['stones.csv', 'density', '0.01 C', 'density must lie within'];
        yield 'a wood without a name' => ['woods.csv', 'name', '', 'name is empty'];
        yield 'a lamp of dark' => ['lamps.csv', 'lumens_per_watt', 'dark', 'lumens_per_watt'];
        yield 'water of no hardness at all' => ['waters.csv', 'kh', 'none', 'kh'];
        yield 'food of pure protein' => ['foods.csv', 'protein', '1.5 C', 'protein must lie within'];
        yield 'a vessel short of a measure' => ['vessels.csv', 'measures', '0.2 0.2', 'must give length, width, height, glass'];
        yield 'a vessel of no shape' => ['vessels.csv', 'shape', 'cloud', 'shape "cloud" is not known'];
        yield 'a dry vessel' => ['vessels.csv', 'water_line', '0', 'above zero'];
    }

    /** Every file of the catalogue is watched: one wrong cell in its first row, named by file, line and column. */
    #[DataProvider('wrongCells')]
    public function testAWrongCellIsNamed(string $file, string $column, string $cell, string $why): void
    {
        $shipped = \dirname(__DIR__, 3).'/data';
        $folder = sys_get_temp_dir().'/olvek-catalogue-'.bin2hex(random_bytes(6));
        mkdir($folder);
        try {
            foreach (self::files($shipped) as $path) {
                copy($path, $folder.'/'.basename($path));
            }
            $lines = explode("\n", (string) file_get_contents("$folder/$file"));
            $cells = array_combine(array_map(strval(...), str_getcsv($lines[0], ',', '"', '')), str_getcsv($lines[1], ',', '"', ''));
            self::assertArrayHasKey($column, $cells);
            $cells[$column] = $cell;
            $lines[1] = implode(
                ',',
                array_map(static fn (?string $text): string => str_contains((string) $text, ',') ? "\"$text\"" : (string) $text, $cells),
            );
            file_put_contents("$folder/$file", implode("\n", $lines));
            Catalogue::load($folder);
            self::fail('the cell was taken');
        } catch (InvalidCatalogue $refused) {
            self::assertStringContainsString("$file, line 2", $refused->getMessage());
            self::assertStringContainsString($why, $refused->getMessage());
        } finally {
            array_map(unlink(...), self::files($folder));
            rmdir($folder);
        }
    }

    /** @return list<string> */
    private static function files(string $folder): array
    {
        $files = glob($folder.'/*.csv');
        self::assertIsArray($files);

        return $files;
    }

    public function testShipsWhatElseATankIsMadeOf(): void
    {
        $catalogue = Catalogue::shipped();
        foreach (['amendments' => 10, 'lamps' => 6, 'waters' => 6, 'foods' => 5, 'vessels' => 9] as $table => $least) {
            self::assertGreaterThanOrEqual($least, \count($catalogue->$table), $table);
        }
        $wood = array_filter($catalogue->hardscape, static fn ($kind): bool => $kind->wood);
        self::assertGreaterThanOrEqual(6, \count($wood));
        self::assertGreaterThanOrEqual(6, \count($catalogue->hardscape) - \count($wood));
        self::assertTrue($catalogue->hardscape['cork']->floats());
        self::assertFalse($catalogue->hardscape['granite']->floats());
        foreach ($catalogue->vessels as $preset) {
            self::assertNull($preset->vessel->broken(), $preset->id);
            self::assertLessThan($preset->vessel->height(), $preset->waterLine, $preset->id);
        }
        // By hand: 78.196 g of potassium in 174.26 g; 1 mol of calcium in 172.17 g at 0.17848 mmol/L a degree; 1000 meq in 84.007 g.
        self::assertEqualsWithDelta((1000 * 78.196) / 174.26, $catalogue->amendments['potassium-sulphate']->potassium->value, 0.1);
        self::assertEqualsWithDelta(1000 / 172.17 / 0.17832, $catalogue->amendments['gypsum']->hardness->value, 0.02);
        self::assertEqualsWithDelta(1000 / 84.007, $catalogue->amendments['bicarbonate']->alkalinity->value, 0.001);
    }
}
