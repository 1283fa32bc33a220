<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Catalogue;

use Olvek\Core\Basis\Unit\Estimate;
use Olvek\Core\Basis\Unit\Provenance;
use Olvek\Core\Nature\Animal\AnimalKind;
use Olvek\Core\Nature\Animal\AnimalLook;
use Olvek\Core\Nature\Animal\AnimalShape;
use Olvek\Core\Nature\Animal\BodyForm;
use Olvek\Core\Nature\Animal\Coat;
use Olvek\Core\Nature\Animal\CoatPattern;
use Olvek\Core\Nature\Animal\CompanyRule;
use Olvek\Core\Nature\Animal\Food;
use Olvek\Core\Nature\Animal\KeptRange;
use Olvek\Core\Nature\Animal\Level;
use Olvek\Core\Nature\Animal\Prey;
use Olvek\Core\Nature\Animal\TailForm;
use Olvek\Core\Nature\Animal\Temper;
use Olvek\Core\Nature\Bed\Amendment;
use Olvek\Core\Nature\Bed\Material;
use Olvek\Core\Nature\Bed\MaterialRole;
use Olvek\Core\Nature\Hardscape\HardscapeKind;
use Olvek\Core\Nature\Light\LampKind;
use Olvek\Core\Nature\Plant\Habit;
use Olvek\Core\Nature\Plant\LeafColour;
use Olvek\Core\Nature\Plant\LeafMargin;
use Olvek\Core\Nature\Plant\LeafOutline;
use Olvek\Core\Nature\Plant\PlantKind;
use Olvek\Core\Nature\Plant\PlantLook;
use Olvek\Core\Nature\Plant\PlantRole;
use Olvek\Core\Nature\Plant\Removal;
use Olvek\Core\Nature\Plant\Zone;
use Olvek\Core\Nature\Vessel\Preset;
use Olvek\Core\Nature\Vessel\VesselShape;
use Olvek\Core\Nature\Water\WaterKind;

/** Everything a plan can be made of, by id. */
final readonly class Catalogue
{
    /**
     * @param array<string, Material>   $materials
     * @param array<string, PlantKind>  $plants
     * @param array<string, AnimalKind> $animals
     * @param array<string, Amendment>     $amendments
     * @param array<string, HardscapeKind> $hardscape stones, then woods
     * @param array<string, LampKind>      $lamps
     * @param array<string, WaterKind>     $waters
     * @param array<string, Food>          $foods
     * @param array<string, Preset>        $vessels
     */
    private function __construct(
        public array $materials,
        public array $plants,
        public array $animals,
        public array $amendments,
        public array $hardscape,
        public array $lamps,
        public array $waters,
        public array $foods,
        public array $vessels,
    ) {
    }

    /** @return array<string, object> one of its tables, by the name of its property */
    public function table(string $name): array
    {
        return match ($name) {
            'materials' => $this->materials,
            'plants' => $this->plants,
            'animals' => $this->animals,
            'amendments' => $this->amendments,
            'hardscape' => $this->hardscape,
            'lamps' => $this->lamps,
            'waters' => $this->waters,
            'foods' => $this->foods,
            default => throw new \OutOfBoundsException("the catalogue has no table $name"),
        };
    }

    /** The catalogue that ships with the core. */
    public static function shipped(): self
    {
        return self::load(\dirname(__DIR__, 3).'/data');
    }

    /** @param string $file written from CompiledCatalogue::code() */
    public static function fromCompiled(string $file): self
    {
        /**
         * @var array{
         *     materials: array<string, Material>, plants: array<string, PlantKind>, animals: array<string, AnimalKind>,
         *     amendments: array<string, Amendment>, hardscape: array<string, HardscapeKind>, lamps: array<string, LampKind>,
         *     waters: array<string, WaterKind>, foods: array<string, Food>, vessels: array<string, Preset>,
         * } $tables
         */
        $tables = require $file;

        return new self(...$tables);
    }

    /** @throws InvalidCatalogue when a file breaks its rules */
    public static function load(string $folder): self
    {
        return new self(
            self::materials($folder.'/materials.csv'),
            self::plants($folder.'/plants.csv'),
            self::animals($folder.'/animals.csv'),
            self::amendments($folder.'/amendments.csv'),
            [...self::stones($folder.'/stones.csv'), ...self::woods($folder.'/woods.csv')],
            self::lamps($folder.'/lamps.csv'),
            self::waters($folder.'/waters.csv'),
            self::foods($folder.'/foods.csv'),
            self::vessels($folder.'/vessels.csv'),
        );
    }

    /** @return array<string, Material> */
    private static function materials(string $file): array
    {
        $found = [];
        foreach (
            Table::read($file, [
                'id',
                'name',
                'role',
                'density',
                'porosity',
                'flush_nitrogen',
                'nitrate_share',
                'slow_nitrogen',
                'quick_carbon',
                'slow_carbon',
                'retardation',
                'phosphorus',
                'potassium',
                'iron',
                'acidity',
                'lime',
                'grain',
                'remarks',
            ])->rows as $row
        ) {
            $material = new Material(
                $row->text('id'),
                $row->text('name'),
                $row->choice('role', MaterialRole::class),
                $row->estimate('density', 0.05, 3),
                $row->estimate('porosity', 0.1, 0.98),
                $row->estimate('flush_nitrogen', 0, 5000),
                $row->estimate('nitrate_share', 0, 1),
                $row->estimate('slow_nitrogen', 0, 50000),
                $row->estimate('quick_carbon', 0, 200),
                $row->estimate('slow_carbon', 0, 600),
                $row->estimate('retardation', 1, 200),
                $row->estimate('phosphorus', 0, 10000),
                $row->estimate('potassium', 0, 20000),
                $row->estimate('iron', 0, 20000),
                $row->estimate('acidity', 0, 2000),
                $row->estimate('lime', 0, 1),
                $row->estimate('grain', 0, 50),
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
        foreach (
            Table::read($file, [
                'id',
                'scientific',
                'common',
                'synonyms',
                'role',
                'growth',
                'half_light',
                'root_share',
                'densest',
                'mat',
                'melt',
                'bicarbonate',
                'dry_per_piece',
                'piece',
                'height',
                'spread',
                'zone',
                'planting',
                'coolest',
                'warmest',
                'softest',
                'hardest',
                'removal',
                'sensitive',
                'invasive',
                'tender',
                'wet_ratio',
                'habit',
                'leaf',
                'margin',
                'leaf_length',
                'leaf_width',
                'stalk',
                'leaves',
                'node',
                'colour',
                'young',
                'remarks',
            ])->rows as $row
        ) {
            $kind = new PlantKind(
                $row->text('id'),
                $row->text('scientific'),
                $row->text('common'),
                $row->optionalText('synonyms'),
                $row->choice('role', PlantRole::class),
                $row->estimate('growth', 0.001, 1),
                $row->estimate('half_light', 1, 500),
                $row->estimate('root_share', 0, 1),
                $row->estimate('densest', 10, 5000),
                $row->estimate('mat', 0, 500),
                $row->estimate('melt', 0, 1),
                $row->estimate('bicarbonate', 0, 1),
                $row->estimate('dry_per_piece', 0.001, 100),
                $row->text('piece'),
                $row->estimate('height', 0.001, 3),
                $row->estimate('spread', 0.1, 5000),
                $row->choice('zone', Zone::class),
                $row->estimate('planting', 0, 0.1),
                $row->estimate('coolest', 0, 40),
                $row->estimate('warmest', 0, 40),
                $row->estimate('softest', 0, 60),
                $row->estimate('hardest', 0, 60),
                $row->choice('removal', Removal::class),
                $row->truth('sensitive'),
                $row->truth('invasive'),
                $row->truth('tender'),
                $row->estimate('wet_ratio', 2, 40),
                self::plantLook($row),
                $row->optionalText('remarks'),
            );
            $found[$kind->id] = $kind;
        }

        return $found;
    }

    private static function plantLook(Row $row): PlantLook
    {
        return new PlantLook(
            $row->choice('habit', Habit::class),
            $row->choice('leaf', LeafOutline::class),
            $row->choice('margin', LeafMargin::class),
            $row->estimate('leaf_length', 0.1, 150),
            $row->estimate('leaf_width', 0.01, 50),
            $row->estimate('stalk', 0, 0.95),
            $row->estimate('leaves', 1, 30),
            $row->estimate('node', 0, 10),
            $row->choice('colour', LeafColour::class),
            $row->choice('young', LeafColour::class),
        );
    }

    /** @return array<string, AnimalKind> */
    private static function animals(string $file): array
    {
        $found = [];
        foreach (
            Table::read($file, [
                'id',
                'scientific',
                'common',
                'synonyms',
                'shape',
                'level',
                'grams',
                'least_tank',
                'litres_each',
                'group',
                'coolest',
                'warmest',
                'kept_coolest',
                'kept_warmest',
                'food',
                'jumper',
                'ph_low',
                'ph_high',
                'gh_low',
                'gh_high',
                'kept_ph_low',
                'kept_ph_high',
                'kept_gh_low',
                'kept_gh_high',
                'temper',
                'company',
                'breeds',
                'grazes',
                'burrows',
                'breathes_air',
                'oxygen',
                'eats',
                'protein',
                'invasive',
                'wild_caught',
                'mature_tank',
                'form',
                'tail',
                'coat',
                'second',
                'pattern',
                'remarks',
            ])->rows as $row
        ) {
            $kind = new AnimalKind(
                $row->text('id'),
                $row->text('scientific'),
                $row->text('common'),
                $row->optionalText('synonyms'),
                $row->choice('shape', AnimalShape::class),
                $row->choice('level', Level::class),
                $row->estimate('grams', 0.00001, 500),
                $row->estimate('least_tank', 0.1, 5000),
                $row->estimate('litres_each', 0.001, 500),
                $row->estimate('group', 1, 100),
                $row->estimate('coolest', 0, 40),
                $row->estimate('warmest', 0, 40),
                $row->estimate('food', 0, 0.2),
                $row->truth('jumper'),
                $row->estimate('ph_low', 3, 10),
                $row->estimate('ph_high', 3, 10),
                $row->estimate('gh_low', 0, 60),
                $row->estimate('gh_high', 0, 60),
                new KeptRange(
                    $row->estimate('kept_coolest', 0, 45),
                    $row->estimate('kept_warmest', 0, 45),
                    $row->estimate('kept_ph_low', 3, 11),
                    $row->estimate('kept_ph_high', 3, 11),
                    $row->estimate('kept_gh_low', 0, 60),
                    $row->estimate('kept_gh_high', 0, 60),
                ),
                $row->choice('temper', Temper::class),
                $row->choices('company', CompanyRule::class),
                $row->estimate('breeds', 0, 0.5),
                $row->estimate('grazes', 0, 1),
                $row->truth('burrows'),
                $row->truth('breathes_air'),
                $row->estimate('oxygen', 0, 9),
                $row->choices('eats', Prey::class),
                $row->estimate('protein', 0.05, 0.9),
                $row->truth('invasive'),
                $row->truth('wild_caught'),
                $row->truth('mature_tank'),
                new AnimalLook(
                    $row->choice('form', BodyForm::class),
                    $row->choice('tail', TailForm::class),
                    $row->choice('coat', Coat::class),
                    $row->choice('second', Coat::class),
                    $row->choice('pattern', CoatPattern::class),
                ),
                $row->optionalText('remarks'),
            );
            $found[$kind->id] = $kind;
        }

        return $found;
    }

    /** @return array<string, Amendment> */
    private static function amendments(string $file): array
    {
        $found = [];
        foreach (
            Table::read($file, [
                'id',
                'name',
                'nitrogen',
                'phosphorus',
                'potassium',
                'iron',
                'lime',
                'lime_speed',
                'hardness',
                'alkalinity',
                'calcium_share',
                'sulphur',
                'dose',
                'unit_grams',
                'remarks',
            ])->rows as $row
        ) {
            $found[$row->text('id')] = new Amendment(
                $row->text('id'),
                $row->text('name'),
                $row->estimate('nitrogen', 0, 500),
                $row->estimate('phosphorus', 0, 500),
                $row->estimate('potassium', 0, 600),
                $row->estimate('iron', 0, 500),
                $row->estimate('lime', 0, 1.1),
                $row->estimate('lime_speed', 0, 1),
                $row->estimate('hardness', 0, 50),
                $row->estimate('alkalinity', 0, 20),
                $row->estimate('calcium_share', 0, 1),
                $row->estimate('sulphur', 0, 300),
                $row->estimate('dose', 0, 200),
                $row->estimate('unit_grams', 0.1, 100),
                $row->optionalText('remarks'),
            );
        }

        return $found;
    }

    /** @return array<string, HardscapeKind> */
    private static function stones(string $file): array
    {
        $found = [];
        $none = Estimate::of(0.0, Provenance::CommonPractice);
        foreach (Table::read($file, ['id', 'name', 'density', 'lime', 'surface', 'remarks'])->rows as $row) {
            $found[$row->text('id')] = new HardscapeKind(
                $row->text('id'),
                $row->text('name'),
                false,
                $row->estimate('density', 0.3, 5),
                $row->estimate('lime', 0, 1),
                $row->estimate('surface', 1, 2000),
                $none,
                $none,
                $row->optionalText('remarks'),
            );
        }

        return $found;
    }

    /** @return array<string, HardscapeKind> */
    private static function woods(string $file): array
    {
        $found = [];
        $none = Estimate::of(0.0, Provenance::CommonPractice);
        foreach (Table::read($file, ['id', 'name', 'density', 'tannin', 'surface', 'soak_days', 'remarks'])->rows as $row) {
            $found[$row->text('id')] = new HardscapeKind(
                $row->text('id'),
                $row->text('name'),
                true,
                $row->estimate('density', 0.1, 1.5),
                $none,
                $row->estimate('surface', 1, 2000),
                $row->estimate('tannin', 0, 50),
                $row->estimate('soak_days', 0, 365),
                $row->optionalText('remarks'),
            );
        }

        return $found;
    }

    /** @return array<string, LampKind> */
    private static function lamps(string $file): array
    {
        $found = [];
        foreach (Table::read($file, ['id', 'name', 'lumens_per_watt', 'lumens_per_micromole', 'landing', 'remarks'])->rows as $row) {
            $found[$row->text('id')] = new LampKind(
                $row->text('id'),
                $row->text('name'),
                $row->estimate('lumens_per_watt', 5, 250),
                $row->estimate('lumens_per_micromole', 10, 120),
                $row->estimate('landing', 0.05, 1),
                $row->optionalText('remarks'),
            );
        }

        return $found;
    }

    /** @return array<string, WaterKind> */
    private static function waters(string $file): array
    {
        $found = [];
        foreach (
            Table::read($file, [
                'id',
                'name',
                'ph',
                'kh',
                'gh',
                'nitrate',
                'phosphate',
                'sodium',
                'calcium_share',
                'chloride',
                'sulphate',
                'remarks',
            ])->rows as $row
        ) {
            $found[$row->text('id')] = new WaterKind(
                $row->text('id'),
                $row->text('name'),
                $row->estimate('ph', 4, 10),
                $row->estimate('kh', 0, 40),
                $row->estimate('gh', 0, 60),
                $row->estimate('nitrate', 0, 50),
                $row->estimate('phosphate', 0, 10),
                $row->estimate('sodium', 0, 500),
                $row->estimate('calcium_share', 0, 1),
                $row->estimate('chloride', 0, 1000),
                $row->estimate('sulphate', 0, 300),
                $row->optionalText('remarks'),
            );
        }

        return $found;
    }

    /** @return array<string, Food> */
    private static function foods(string $file): array
    {
        $found = [];
        foreach (Table::read($file, ['id', 'name', 'protein', 'phosphorus', 'iron', 'dry_share', 'remarks'])->rows as $row) {
            $found[$row->text('id')] = new Food(
                $row->text('id'),
                $row->text('name'),
                $row->estimate('protein', 0.05, 0.9),
                $row->estimate('phosphorus', 0, 40),
                $row->estimate('iron', 0, 5),
                $row->estimate('dry_share', 0.01, 1),
                $row->optionalText('remarks'),
            );
        }

        return $found;
    }

    /** @return array<string, Preset> */
    private static function vessels(string $file): array
    {
        $found = [];
        foreach (Table::read($file, ['id', 'name', 'shape', 'measures', 'water_line', 'framed', 'remarks'])->rows as $row) {
            $shape = $row->choice('shape', VesselShape::class);
            $found[$row->text('id')] = new Preset(
                $row->text('id'),
                $row->text('name'),
                $shape->make($row->measures('measures', $shape->measures())),
                $row->number('water_line'),
                $row->truth('framed'),
                $row->optionalText('remarks'),
            );
        }

        return $found;
    }
}
