<?php

declare(strict_types=1);

namespace Olvek\Core\Catalogue;

use Olvek\Core\Animal\Kind as AnimalKind;
use Olvek\Core\Animal\Level;
use Olvek\Core\Animal\Shape;
use Olvek\Core\Bed\Material;
use Olvek\Core\Bed\Role as BedRole;
use Olvek\Core\Plant\Kind as PlantKind;
use Olvek\Core\Plant\Role as PlantRole;

/** Everything a plan can be made of, by id. */
final readonly class Catalogue
{
    /**
     * @param array<string, Material>   $materials
     * @param array<string, PlantKind>  $plants
     * @param array<string, AnimalKind> $animals
     */
    private function __construct(
        public array $materials,
        public array $plants,
        public array $animals,
    ) {
    }

    /** The catalogue that ships with the core. */
    public static function shipped(): self
    {
        return self::load(\dirname(__DIR__, 2).'/data');
    }

    /** @throws InvalidCatalogue when a file breaks its rules */
    public static function load(string $folder): self
    {
        return new self(
            self::materials($folder.'/materials.csv'),
            self::plants($folder.'/plants.csv'),
            self::animals($folder.'/animals.csv'),
        );
    }

    /** @return array<string, Material> */
    private static function materials(string $file): array
    {
        $found = [];
        foreach (Table::read($file, ['id', 'name', 'role', 'density', 'porosity', 'flush_nitrogen', 'slow_nitrogen', 'quick_carbon', 'slow_carbon', 'retardation', 'phosphorus', 'potassium', 'iron', 'remarks'])->rows as $row) {
            $material = new Material(
                $row->text('id'),
                $row->text('name'),
                $row->choice('role', BedRole::class),
                $row->estimate('density', 0.05, 3),
                $row->estimate('porosity', 0.1, 0.98),
                $row->estimate('flush_nitrogen', 0, 5000),
                $row->estimate('slow_nitrogen', 0, 50000),
                $row->estimate('quick_carbon', 0, 200),
                $row->estimate('slow_carbon', 0, 600),
                $row->estimate('retardation', 1, 200),
                $row->estimate('phosphorus', 0, 10000),
                $row->estimate('potassium', 0, 20000),
                $row->estimate('iron', 0, 20000),
                $row->optionalText('remarks'),
            );
            $found[$material->id] = $material;
        }

        return $found;
    }

    /** @return array<string, PlantKind> */
    private static function plants(string $file): array
    {
        $found = [];
        foreach (Table::read($file, ['id', 'scientific', 'common', 'role', 'growth', 'half_light', 'root_share', 'densest', 'melt', 'bicarbonate', 'dry_per_piece', 'piece', 'height', 'spread', 'remarks'])->rows as $row) {
            $kind = new PlantKind(
                $row->text('id'),
                $row->text('scientific'),
                $row->text('common'),
                $row->choice('role', PlantRole::class),
                $row->estimate('growth', 0.001, 1),
                $row->estimate('half_light', 1, 500),
                $row->estimate('root_share', 0, 1),
                $row->estimate('densest', 10, 5000),
                $row->estimate('melt', 0, 1),
                $row->truth('bicarbonate'),
                $row->estimate('dry_per_piece', 0.001, 100),
                $row->text('piece'),
                $row->estimate('height', 0.001, 3),
                $row->estimate('spread', 0.1, 5000),
                $row->optionalText('remarks'),
            );
            $found[$kind->id] = $kind;
        }

        return $found;
    }

    /** @return array<string, AnimalKind> */
    private static function animals(string $file): array
    {
        $found = [];
        foreach (Table::read($file, ['id', 'scientific', 'common', 'shape', 'level', 'grams', 'least_tank', 'litres_each', 'group', 'coolest', 'warmest', 'food', 'jumper', 'remarks'])->rows as $row) {
            $kind = new AnimalKind(
                $row->text('id'),
                $row->text('scientific'),
                $row->text('common'),
                $row->choice('shape', Shape::class),
                $row->choice('level', Level::class),
                $row->estimate('grams', 0.0001, 500),
                $row->estimate('least_tank', 0.1, 5000),
                $row->estimate('litres_each', 0.001, 500),
                $row->estimate('group', 1, 100),
                $row->estimate('coolest', 0, 40),
                $row->estimate('warmest', 0, 40),
                $row->estimate('food', 0, 0.2),
                $row->truth('jumper'),
                $row->optionalText('remarks'),
            );
            $found[$kind->id] = $kind;
        }

        return $found;
    }
}
