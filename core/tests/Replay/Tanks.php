<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Replay;

use Olvek\Core\Nature\Vessel\Cylinder;
use Olvek\Core\Nature\Vessel\GlassBox;
use Olvek\Core\Nature\Vessel\Vessel;
use Olvek\Core\Planning\Change\Changes;
use Olvek\Core\Planning\Change\Recipe;
use Olvek\Core\Planning\Plan\Method;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Tests\Sample;

/** Tanks of every method on several vessels, planted and stocked as the method teaches. All C: what keepers of each method do. */
final class Tanks
{
    /** Lumens per litre of vessel. C: 25–50. */
    private const LUMENS = 35.0;

    public static function vessel(string $name): Vessel
    {
        return match ($name) {
            'box' => new GlassBox(0.6, 0.3, 0.36, 0.006),
            'long' => new GlassBox(1.0, 0.4, 0.45, 0.01),
            'tray' => new GlassBox(0.75, 0.4, 0.3, 0.008),
            'cube' => new GlassBox(0.3, 0.3, 0.3, 0.005),
            'jar' => new Cylinder(0.2, 0.3, 0.004),
            'vase' => new Cylinder(0.24, 0.5, 0.006),
            default => throw new \OutOfBoundsException($name),
        };
    }

    /**
     * @param array<string, string> $edits typed after the method's own
     * @param array<string, float>|null $plants share of the floor (surface) that each kind is planted on; null for what the method teaches
     * @param array<string, int>|null $animals number of each kind; null for what the method teaches
     */
    public static function of(Method $method, string $vessel, array $edits = [], ?array $plants = null, ?array $animals = null): Plan
    {
        $glass = self::vessel($vessel);
        $plan = Plan::starting($method->value, Sample::catalogue());
        $plan = Sample::edit($plan, [
            'vessel.shape' => $glass->shape()->value,
            ...array_combine(
                array_map(static fn (string $m): string => "vessel.$m", array_keys($glass->measures())),
                array_map(static fn (float $m): string => \sprintf('%.4f m', $m), $glass->measures()),
            ),
            'waterLine' => \sprintf('%.3f m', 0.92 * $glass->height()),
            'light.lumens' => \sprintf('%.0f', self::LUMENS * $glass->grossVolume()),
        ]);
        $plan = Sample::edit($plan, [...Changes::typed(Recipe::of($method, $plan)), 'method' => $method->value]);
        foreach ($plants ?? self::plants($method) as $kind => $share) {
            $k = Sample::catalogue()->plants[$kind];
            $pieces = max(1, (int) round(($share * $plan->floor()) / ($k->spread->value / 1e4)));
            $plan = Sample::edit($plan, ["plants.add.$kind" => (string) $pieces]);
        }
        $first = $method->firstAnimals();
        foreach ($animals ?? self::animals($method, $glass->grossVolume()) as $kind => $count) {
            $plan = Sample::edit($plan, ["animals.add.$kind" => (string) $count]);
            $last = $plan->groups[\count($plan->groups) - 1]->id;
            $plan = Sample::edit($plan, ["animals.$last.day" => (string) ($first ?? 28)]);
        }
        if ([] !== $plan->groups && Method::SlowSwamp !== $method) {
            $food = array_sum(array_map(static fn ($g): float => $g->biomass() * $g->kind->food->value, $plan->groups));
            $plan = Sample::edit($plan, ['feeding.grams' => \sprintf('%.4f', $food), 'feeding.fromDay' => (string) (($first ?? 28) + 7)]);
        }

        return Sample::edit($plan, $edits);
    }

    /** @return array<string, float> */
    private static function plants(Method $method): array
    {
        $usual = [
            'limnophila-sessiliflora' => 0.2,
            'rotala-rotundifolia' => 0.1,
            'cryptocoryne-wendtii' => 0.15,
            'vallisneria-spiralis' => 0.1,
            'taxiphyllum-barbieri' => 0.05,
        ];

        return match ($method) {
            Method::SunnySill => [
                'hygrophila-difformis' => 0.25,
                'elodea-canadensis' => 0.15,
                'vallisneria-spiralis' => 0.1,
                'ceratophyllum-demersum' => 0.1,
            ],
            Method::LeanBed => ['hygrophila-polysperma' => 0.3, 'egeria-densa' => 0.2, 'microsorum-pteropus' => 0.05, 'lemna-minor' => 0.1],
            Method::BaggedSoil => [...$usual, 'epipremnum-aureum' => 0.05, 'salvinia-natans' => 0.1],
            Method::VoidPlate => [
                'epipremnum-aureum' => 0.1,
                'syngonium-podophyllum' => 0.05,
                'cryptocoryne-wendtii' => 0.2,
                'hygrophila-polysperma' => 0.2,
            ],
            Method::SlowSwamp => [
                'juncus-effusus' => 0.1,
                'acorus-gramineus' => 0.1,
                'taxiphyllum-barbieri' => 0.15,
                'cryptocoryne-wendtii' => 0.15,
                'bacopa-monnieri' => 0.1,
            ],
            Method::SealedJar => ['najas-guadalupensis' => 0.5, 'taxiphyllum-barbieri' => 0.2],
            Method::HillBed => [...$usual, 'echinodorus-grisebachii' => 0.1],
            Method::HumusBed => [...$usual, 'ceratopteris-thalictroides' => 0.1, 'limnobium-laevigatum' => 0.1],
            default => $usual,
        };
    }

    /** @return array<string, int> */
    private static function animals(Method $method, float $litres): array
    {
        return match (true) {
            Method::SealedJar === $method => [],
            Method::SlowSwamp === $method, $litres < 30 => ['neocaridina-davidi' => 10],
            default => ['heterandria-formosa' => (int) round($litres / 7), 'neocaridina-davidi' => 8],
        };
    }
}
