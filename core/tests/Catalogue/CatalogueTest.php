<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Catalogue;

use Olvek\Core\Bed\Role as BedRole;
use Olvek\Core\Catalogue\Catalogue;
use Olvek\Core\Catalogue\InvalidCatalogue;
use Olvek\Core\Plant\Role as PlantRole;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class CatalogueTest extends TestCase
{
    public function testShipsSoilsCapsEveryCommonRoleAndAnimals(): void
    {
        $catalogue = Catalogue::shipped();
        $roles = array_unique(array_map(static fn ($p) => $p->role->value, $catalogue->plants));

        self::assertGreaterThanOrEqual(16, \count($catalogue->materials));
        self::assertCount(2, array_unique(array_map(static fn ($m) => $m->role->value, $catalogue->materials)));
        self::assertGreaterThanOrEqual(48, \count($catalogue->plants));
        self::assertGreaterThanOrEqual(36, \count($catalogue->animals));
        foreach (PlantRole::cases() as $role) {
            self::assertContains($role->value, $roles);
        }
        self::assertSame(BedRole::Cap, $catalogue->materials['coarse-sand']->role);
    }

    #[TestWith(['coarse-sand,Sand,cap,heavy,0.4 [0.3..0.5] M,0 C,0 C,0 C,0 C,1.5 [1..2] M,0 C,0 C,0 C,', 'density'])]
    #[TestWith(['coarse-sand,Sand,roof,1.5 C,0.4 [0.3..0.5] M,0 C,0 C,0 C,0 C,1.5 [1..2] M,0 C,0 C,0 C,', 'role "roof" is not known'])]
    #[TestWith(['coarse-sand,Sand,cap,1.5 C,1.4 [1.3..1.5] M,0 C,0 C,0 C,0 C,1.5 [1..2] M,0 C,0 C,0 C,', 'porosity must lie within'])]
    #[TestWith(['Coarse Sand,Sand,cap,1.5 C,0.4 C,0 C,0 C,0 C,0 C,1.5 C,0 C,0 C,0 C,', 'id'])]
    #[TestWith(['coarse-sand,Sand,cap', '3 cells'])]
    #[TestWith(['coarse-sand,,cap,1.5 C,0.4 C,0 C,0 C,0 C,0 C,1.5 C,0 C,0 C,0 C,', 'name is empty'])]
    public function testABrokenRowIsNamedByFileAndLine(string $row, string $why): void
    {
        $folder = sys_get_temp_dir().'/olvek-catalogue-'.bin2hex(random_bytes(6));
        mkdir($folder);
        file_put_contents($folder.'/materials.csv', "id,name,role,density,porosity,flush_nitrogen,slow_nitrogen,quick_carbon,slow_carbon,retardation,phosphorus,potassium,iron,remarks\n$row\n");
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
}
