<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Planning\Steps;

use Olvek\Core\Basis\Message\Amount;
use Olvek\Core\Planning\Change\Changes;
use Olvek\Core\Planning\Change\Recipe;
use Olvek\Core\Planning\Plan\Method;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Steps\Step;
use Olvek\Core\Planning\Steps\Steps;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\TestCase;

/** Steps in the order of the trade (C), only those that the plan needs. */
final class StepsTest extends TestCase
{
    /** @return list<string> */
    private static function ids(Plan $plan): array
    {
        return array_map(static fn (Step $s): string => $s->id, Steps::of($plan));
    }

    public function testAPlainBox(): void
    {
        self::assertSame(
            [
                ...['sieve', 'rinse', 'level', 'soil', 'wet', 'cap', 'wipe', 'part-fill', 'plant-low', 'plant-tall'],
                ...['fill', 'cloud', 'lamp', 'arrive-a1'],
            ],
            self::ids(Sample::planted()),
        );
    }

    /** The trade's order holds whatever is in it: prepare, lay from below, set, plant, fill, float, light. */
    public function testTheOrderHoldsForEveryMethod(): void
    {
        $order = [
            'soak',
            'sieve',
            'mud',
            'scald',
            'rinse',
            'level',
            'plate',
            'rims',
            'core',
            'base',
            'doses',
            'soil',
            'wet',
            'leaves',
            'cap',
            'zone-z1',
            'wipe',
            'hardscape',
            'fix',
            'part-fill',
            'plant-low',
            'mist',
            'plant-tall',
            'fill',
            'float',
            'cloud',
            'first-change',
            'lamp',
            'lid',
            'arrive-a1',
        ];
        foreach (Method::cases() as $method) {
            $plan = Sample::edit(Sample::planted(), [
                'feeding.grams' => '0',
                'hardscape.add' => 'root-wood',
                'plants.add' => 'salvinia-natans',
                'site.lid' => 'yes',
            ]);
            $ids = self::ids(Sample::edit($plan, Changes::typed(Recipe::of($method, $plan))));
            // A jar that is closed under water has its floaters in before.
            $expected = Method::SealedJar === $method
                ? [...\array_slice($order, 0, (int) array_search('fill', $order, true)), 'float', 'fill', 'lamp', 'lid', 'arrive-a1']
                : $order;
            self::assertSame(array_values(array_intersect($expected, $ids)), $ids, $method->value);
        }
    }

    public function testTheHillTheLeavesAndTheMudAreAskedFor(): void
    {
        $of = static fn (Method $method): array => self::ids(Sample::edit(Sample::planted(), ['method' => $method->value]));
        self::assertContains('core', $of(Method::HillBed));
        self::assertContains('scald', $of(Method::LeafSandwich));
        self::assertContains('mud', $of(Method::HumusBed));
        self::assertContains('plate', $of(Method::VoidPlate));
        self::assertNotContains('soil', $of(Method::LeanBed));
    }

    public function testWhatIsPlantedLaterIsNotAmongThem(): void
    {
        $plan = Sample::edit(Sample::planted(), ['plants.c1.day' => '10', 'plants.c2.day' => '10']);
        self::assertNotContains('plant-low', self::ids($plan));
        self::assertNotContains('plant-tall', self::ids($plan));
    }

    public function testAmountsAreThoseOfThePlan(): void
    {
        $step = array_column(array_map(static fn (Step $s): array => [$s->id, $s], Steps::of(Sample::planted())), 1, 0)[
            'soil'
        ];
        self::assertSame(['bagged topsoil'], $step->amount->values['materials']);
        self::assertEquals(Amount::length(0.025), $step->check->values['front']);
    }
}
