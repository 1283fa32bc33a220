<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Planning\Plan\Practice;

use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Tests\Sample;

/**
 * Set-ups as keepers build them (C), told as they would be typed: between them they say everything that a plan can say. Invented tanks;
 * what is in them is the trade's.
 */
final class Practice
{
    private const DECIDED = [
        'preparation.treatment' => 'dechlorinated',
        'preparation.filling' => 'plate',
        'preparation.rinsed' => 'yes',
        'preparation.sieved' => 'yes',
    ];

    /** @return array<string, Plan> */
    public static function plans(): array
    {
        /** @var array<string, Plan> $plans */
        static $plans = [];
        foreach ([] === $plans ? self::told() : [] as $name => $edits) {
            $plan = Plan::starting($name, Sample::catalogue());
            foreach ($edits as $step) {
                $plan = Sample::edit($plan, $step);
            }
            $plans[$name] = $plan;
        }

        return $plans;
    }

    /** @return array<string, list<array<string, string>>> edits by name, in the order in which they are made */
    private static function told(): array
    {
        $stems = [
            'plants.add.hygrophila-polysperma' => '30',
            'plants.add.cryptocoryne-wendtii' => '8',
            'plants.add.vallisneria-spiralis' => '10',
        ];

        return [
            'Heated box with a hang-on filter' => [
                [...self::DECIDED, 'method' => 'thin-soil', ...$stems],
                [
                    'equipment.heating' => 'tank',
                    'equipment.target' => '24 °C',
                    'equipment.watts' => '75',
                    'equipment.device' => 'hang-on-filter',
                    'equipment.flow' => '150 L',
                    'equipment.media' => '0.4 L',
                    'equipment.rinse' => '42',
                    'site.temperature' => '20 °C',
                    'site.swing' => '2',
                    'animals.add.paracheirodon-innesi' => '10',
                    'plants.add.salvinia-natans' => '3',
                    'stand.background' => 'black',
                    'stand.shadeBar' => 'yes',
                ],
                ['animals.a1.day' => '42', 'animals.a1.quarantine' => '28', 'feeding.grams' => '0.05', 'feeding.fromDay' => '49'],
                ['plants.c4.keeping' => 'ring', 'plants.c4.part' => '30'],
            ],
            'Sand in front, a bank behind' => [
                [...self::DECIDED, ...$stems, 'zones.add' => 'foreground', 'start.way' => 'bottled'],
                ['zones.add' => 'rear', 'zones.z1.cap' => '2.5 cm', 'waterLine' => '34 cm'],
                ['zones.z2.soil' => '4 cm', 'zones.z2.cap' => '5 cm', 'zones.z2.edge' => 'strip', 'zones.z2.soilKind' => 'garden-loam'],
                ['plants.c1.row' => '85', 'plants.c2.row' => '50', 'plants.c3.row' => '75', 'plants.c3.place' => '20'],
                ['bed.dressing.material' => 'fine-gravel', 'bed.dressing.front' => '5 mm', 'bed.dressing.back' => '5 mm'],
                ['animals.add.danio-margaritatus' => '8', 'feeding.food' => 'frozen', 'feeding.grams' => '0.04'],
                ['feeding.protein' => '50', 'events.add.feed' => '120', 'events.add.holiday' => '200'],
            ],
            'Terrace behind a wall of stones' => [
                [...self::DECIDED, ...$stems, 'zones.add' => 'terrace'],
                ['zones.z1.left' => '50', 'zones.z1.front' => '45', 'hardscape.add.slate' => '1.2 L'],
                [
                    'hardscape.h1.length' => '25 cm',
                    'hardscape.h1.width' => '8 cm',
                    'hardscape.h1.height' => '9 cm',
                    'hardscape.h1.place' => '75',
                    'hardscape.h1.row' => '40',
                    'hardscape.h1.fixing' => 'silicone',
                    'hardscape.h1.source' => 'found',
                ],
                [
                    'plants.c2.place' => '80',
                    'plants.c2.row' => '80',
                    'plants.c1.place' => '20',
                    'plants.c1.row' => '85',
                    'site.above' => '60 cm',
                ],
                ['plants.c1.source' => 'on-hand', 'animals.add.neocaridina-davidi' => '10', 'events.add.stock' => '180'],
            ],
            'Banks left and right, a path between' => [
                [...self::DECIDED, ...$stems, 'zones.add' => 'left-bank'],
                ['zones.add' => 'right-bank', 'zones.z1.right' => '30', 'zones.z1.edge' => 'stones-and-wadding'],
                ['zones.z2.left' => '70', 'zones.z2.edge' => 'wall', 'zones.z2.capKind' => 'fine-gravel', 'waterLine' => '34 cm'],
                ['plants.c1.place' => '15', 'plants.c2.place' => '85', 'plants.c3.place' => '90', 'plants.c3.row' => '90'],
                ['animals.add.poecilia-reticulata' => '6', 'animals.a1.sexes' => 'males', 'animals.a1.source' => 'own-tank'],
                ['feeding.grams' => '0.06', 'feeding.food' => 'pellet', 'feeding.fromDay' => '35', 'events.add.take-out' => '150'],
            ],
            'Ground raised with gravel' => [
                [...self::DECIDED, ...$stems, 'zones.add' => 'raised', 'bed.setback' => '4 cm'],
                ['zones.z1.cap' => '6 cm', 'plants.c3.place' => '60', 'bed.pots' => '3', 'bed.potLitres' => '0.4 L'],
                ['plants.c2.seat' => 'pot', 'plants.c2.place' => '20', 'plants.c2.row' => '80', 'plants.c1.seat' => 'bed'],
                ['animals.add.planorbella-duryi' => '4', 'bed.doses.add' => 'root-tab', 'events.add.trim' => '90'],
            ],
            'Plate under a half' => [
                [...self::DECIDED, 'method' => 'void-plate', ...$stems, 'plants.add.epipremnum-aureum' => '3'],
                ['bed.plateFrom' => '10', 'bed.plateTo' => '60', 'equipment.device' => 'pump', 'equipment.flow' => '60 L'],
                ['site.movement' => 'rippled', 'animals.add.tanichthys-albonubes' => '8', 'animals.a1.day' => '60'],
                ['feeding.grams' => '0.04', 'feeding.fromDay' => '67', 'events.add.spell' => '230'],
            ],
            'Loaded granules under a strong lamp with gas' => [
                [...self::DECIDED, ...$stems, 'method' => 'loaded-granules', 'light.kind' => 'led-panel', 'light.watts' => '30'],
                [
                    'light.dawn' => '1',
                    'light.night' => '3',
                    'light.secondWatts' => '10',
                    'light.secondKind' => 'led-growth',
                    'light.secondHours' => '3',
                    'light.secondOn' => '13:00',
                    'care.gas' => '15',
                    'care.nitrogen' => '0.5',
                    'care.phosphorus' => '0.05',
                    'care.potassium' => '2',
                    'care.iron' => '0.05',
                    'care.changeShare' => '30',
                    'care.changeEvery' => '14',
                ],
                ['animals.add.caridina-logemanni' => '10', 'animals.a1.day' => '28', 'plants.add.eleocharis-acicularis' => '20'],
                ['preparation.order' => 'damp', 'events.add.fertilise' => '40', 'events.add.light' => '60', 'events.add.lamp-off' => '100'],
            ],
            'Yeast bottle in a second-hand box' => [
                [
                    ...self::DECIDED,
                    'method' => 'soil-with-gravel',
                    ...$stems,
                    'care.trickle' => '1500',
                    'stand.secondHand' => 'yes',
                    'stand.braced' => 'yes',
                ],
                ['light.secondLumens' => '600', 'light.pause' => '3', 'preparation.firstChange' => '100', 'preparation.filling' => 'hose'],
                ['stand.length' => '80 cm', 'stand.width' => '40 cm', 'stand.behind' => '8 cm', 'stand.background' => 'frosted'],
                ['animals.add.betta-splendens' => '1', 'animals.a1.day' => '30', 'feeding.grams' => '0.03', 'feeding.fromDay' => '37'],
            ],
            'Stump out of the water, moss that wicks' => [
                [...self::DECIDED, 'method' => 'slow-swamp', 'waterLine' => '22 cm', ...$stems, 'hardscape.add.driftwood' => '3 L'],
                [
                    'hardscape.h1.length' => '20 cm',
                    'hardscape.h1.width' => '18 cm',
                    'hardscape.h1.height' => '34 cm',
                    'hardscape.h1.fixing' => 'weight',
                    'hardscape.h1.soaked' => 'yes',
                    'plants.add.taxiphyllum-barbieri' => '4',
                ],
                ['plants.c4.emersion' => 'wicking', 'plants.c4.seat' => 'tied', 'plants.c4.raised' => '20 cm', 'plants.c4.place' => '50'],
                [
                    'plants.add.bacopa-monnieri' => '10',
                    'plants.c2.grown' => 'air',
                    'events.add.leaves' => '80',
                    'events.add.mulm-out' => '50',
                ],
                [
                    'plants.c5.emersion' => 'emersed',
                    'plants.c5.grown' => 'air',
                    'animals.add.neocaridina-davidi' => '8',
                    'animals.a1.day' => '35',
                ],
            ],
            'Wood glued with wadding and soda' => [
                [...self::DECIDED, ...$stems, 'hardscape.add.spider-wood' => '0.8 L'],
                ['hardscape.add.granite' => '1 L', 'hardscape.h1.fixing' => 'wadding-and-soda', 'hardscape.h1.soaked' => 'yes'],
                ['hardscape.add.root-wood' => '0.5 L', 'hardscape.h2.fixing' => 'wedge', 'plants.add.anubias-nana' => '3'],
                [
                    'hardscape.h3.fixing' => 'thread',
                    'plants.c4.seat' => 'glued',
                    'plants.c4.raised' => '12 cm',
                    'plants.add.bucephalandra' => '3',
                ],
                ['plants.c5.seat' => 'wedged', 'plants.add.microsorum-pteropus' => '2', 'plants.c5.planting' => 'right'],
                ['plants.c6.seat' => 'hole', 'plants.add.fissidens-fontanus' => '3', 'hardscape.h3.fixed' => 'yes'],
                [
                    'plants.c7.seat' => 'grid',
                    'animals.add.boraras-brigittae' => '10',
                    'feeding.grams' => '0.03',
                    'feeding.food' => 'powder',
                ],
            ],
            'Rocks held by epoxy and glue' => [
                [...self::DECIDED, ...$stems, 'hardscape.add.basalt' => '1 L', 'start.way' => 'dosing', 'events.add.dose' => '14'],
                ['hardscape.add.lava' => '1.5 L', 'hardscape.h1.fixing' => 'epoxy', 'hardscape.h2.source' => 'own-tank'],
                ['hardscape.h2.fixing' => 'glue', 'animals.add.pseudogastromyzon-myersi' => '3', 'animals.a1.day' => '45'],
                [
                    'equipment.device' => 'wave-maker',
                    'equipment.flow' => '180 L',
                    'site.lid' => 'yes',
                    'events.add.change' => '30',
                    'events.add.changes' => '90 21',
                ],
            ],
            'Sponge filter in an unheated room' => [
                [...self::DECIDED, 'method' => 'lean-bed', ...$stems, 'equipment.device' => 'sponge-filter', 'equipment.flow' => '80 L'],
                ['equipment.siphonSafe' => 'yes', 'site.room' => '19 °C', 'site.humidity' => '60', 'site.carbonDioxide' => '900'],
                [
                    'animals.add.macropodus-opercularis' => '2',
                    'animals.a1.sexes' => 'one-male',
                    'feeding.grams' => '0.03',
                    'feeding.food' => 'live',
                ],
                ['plants.add.lemna-minor' => '20', 'animals.a1.day' => '30', 'feeding.fromDay' => '37'],
                ['plants.c4.keeping' => 'aside', 'plants.c4.part' => '50'],
            ],
            'Air stone in a heated room' => [
                [...self::DECIDED, 'method' => 'humus-bed', ...$stems, 'equipment.device' => 'air-stone', 'equipment.flow' => '60 L'],
                ['equipment.heating' => 'room', 'equipment.target' => '22 °C', 'site.altitude' => '800', 'water.kind' => 'remineralised'],
                ['animals.add.poecilia-wingei' => '5', 'animals.a1.sexes' => 'females', 'feeding.grams' => '0.04', 'topUp.kind' => 'rain'],
                ['stand.background' => 'plain', 'plants.c3.day' => '10', 'plants.c3.grown' => 'water', 'bed.bagged' => 'no'],
            ],
            'Internal filter, canister later' => [
                [
                    ...self::DECIDED,
                    'method' => 'leaf-sandwich',
                    ...$stems,
                    'equipment.device' => 'internal-filter',
                    'equipment.flow' => '120 L',
                ],
                [
                    'animals.add.corydoras-pygmaeus' => '8',
                    'feeding.grams' => '0.05',
                    'feeding.food' => 'algae-wafer',
                    'animals.a1.day' => '30',
                ],
                [
                    'feeding.fromDay' => '37',
                    'water.sulphate' => '30',
                    'water.calcium' => '60',
                    'water.sodium' => '15',
                    'water.chloride' => '20',
                ],
            ],
            'Canister on a long low tank' => [
                [
                    ...self::DECIDED,
                    'vessel.length' => '100 cm',
                    'vessel.width' => '40 cm',
                    'vessel.height' => '30 cm',
                    'waterLine' => '27 cm',
                ],
                [
                    'vessel.glass' => '8 mm',
                    'method' => 'deep-clay',
                    ...$stems,
                    'equipment.device' => 'canister-filter',
                    'equipment.flow' => '250 L',
                ],
                ['equipment.media' => '4 L', 'animals.add.danio-rerio' => '12', 'feeding.grams' => '0.2', 'site.bears' => '200 kg'],
                ['water.nitrate' => '3', 'water.phosphate' => '0.2', 'water.gh' => '8', 'water.kh' => '5', 'water.pH' => '7.4'],
            ],
            'Hill with bags of lava' => [
                [...self::DECIDED, 'vessel.height' => '50 cm', 'waterLine' => '46 cm', 'vessel.glass' => '8 mm'],
                ['method' => 'hill-bed', ...$stems, 'plants.add.echinodorus-grisebachii' => '2', 'bed.base.material' => 'clay-subsoil'],
                [
                    'bed.base.front' => '1 cm',
                    'bed.base.back' => '2 cm',
                    'light.height' => '15 cm',
                    'light.landing' => '55',
                    'light.allDay' => '3',
                ],
                [
                    'animals.add.paracheirodon-axelrodi' => '8',
                    'animals.a1.day' => '50',
                    'feeding.grams' => '0.05',
                    'feeding.fromDay' => '57',
                ],
            ],
            'Window sill, no lamp' => [
                [...self::DECIDED, 'method' => 'sunny-sill', ...$stems, 'light.lumens' => '0', 'site.aspect' => 'east', 'site.sky' => '30'],
                ['site.latitude' => '52', 'site.filledOn' => '100', 'animals.add.cypridopsis-vidua' => '50', 'animals.a1.day' => '10'],
                ['light.on' => '8:30', 'light.held' => 'no', 'light.startShare' => '80', 'light.stepShare' => '5'],
            ],
            'Sealed jar, filled by sinking' => [
                [...self::DECIDED, 'vessel.shape' => 'jar-lying', 'light.lumens' => '300'],
                ['method' => 'sealed-jar', 'plants.add.najas-guadalupensis' => '4', 'plants.add.taxiphyllum-barbieri' => '1'],
            ],
            'Half-barrel outdoors' => [
                [...self::DECIDED, 'vessel.shape' => 'barrel', 'site.aspect' => 'open', 'site.sky' => '70', 'light.lumens' => '0'],
                ['plants.add.nymphaea-pygmaea' => '1', 'plants.add.ranunculus-aquatilis' => '8', 'plants.add.caltha-palustris' => '2'],
                [
                    'site.rain' => '700',
                    'site.swing' => '8',
                    'site.temperature' => '13 °C',
                    'water.kind' => 'pond',
                    'preparation.filling' => 'sink',
                ],
                ['animals.add.viviparus-viviparus' => '4', 'preparation.treatment' => 'stood', 'preparation.firstChanges' => '2'],
            ],
            'Bags of soil, house plants at the rim' => [
                [
                    ...self::DECIDED,
                    'method' => 'bagged-soil',
                    'plants.add.epipremnum-aureum' => '4',
                    'plants.add.spathiphyllum-wallisii' => '2',
                ],
                ['plants.add.ceratophyllum-demersum' => '10', 'preparation.filling' => 'pour', 'preparation.treatment' => 'unchlorinated'],
                [
                    'animals.add.heterandria-formosa' => '10',
                    'feeding.grams' => '0.04',
                    'events.add.plant' => '60',
                    'events.add.remove' => '300',
                ],
                ['start.inoculum' => 'sponge', 'plants.c1.planting' => 'deep', 'bed.core' => '0.3 L'],
            ],
        ];
    }
}
