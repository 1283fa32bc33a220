<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Reference;

use Olvek\Core\Nature\Animal\AnimalShape;
use Olvek\Core\Simulation\Run\GroupConstants;
use Olvek\Core\Simulation\Run\Parameters;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\TestCase;

/** Growth and breathing against published rates. */
final class GrowthTest extends TestCase
{
    /**
     * P: Ziegler, Adelmann, Zimmer, Schmidt & Appenroth (2015), Plant Biology 17 (s1): relative growth of 39 clones of duckweed 0.153–0.519
     * d⁻¹,
     * doubling in 1.3–4.5 days, in good light and full medium (M: from memory of the paper).
     */
    public function testDuckweedDoublesAsMeasured(): void
    {
        $lemna = Sample::catalogue()->plants['lemna-minor'];
        self::assertGreaterThanOrEqual(0.153, $lemna->growth->low);
        self::assertLessThanOrEqual(0.519, $lemna->growth->high);
        $plan = Sample::edit(Sample::planted(), [
            'plants.c1.remove' => '1',
            'plants.c2.remove' => '1',
            'light.lumens' => '8000',
            'light.hours' => '16',
            'site.temperature' => '25 °C',
            'water.nitrate' => '40',
            'plants.add.lemna-minor' => '1',
            'feeding.grams' => '1',
            'animals.a1.day' => '0',
            'animals.a1.count' => '60',
        ]);
        $mass = array_map(static fn (array $c): float => $c[0], (new Runner($plan))->run(12)->clumps);
        $doubling = (5 * log(2)) / log($mass[6] / $mass[1]);
        self::assertGreaterThan(1.3, $doubling);
        self::assertLessThan(5.0, $doubling);
    }

    /**
     * Fish burn some 0.2–0.5 mg O2 per g and hour at rest in the warmth (M: Winberg 1960, Rate of metabolism; small fish at 20–25 °C).
     * The least killifish weighs a fifth of a gram, a danio half, a paradise fish some five.
     */
    public function testRestingFishBreatheAsMeasured(): void
    {
        $kinds = Sample::catalogue()->animals;
        foreach (['heterandria-formosa', 'danio-rerio'] as $id) {
            $perGramHour = (new Parameters())->animalBreath * (new GroupConstants($kinds[$id]))->breathes;
            self::assertGreaterThan(0.2, $perGramHour, $id);
            self::assertLessThan(0.5, $perGramHour, $id);
        }
        // P: Clarke & Johnston (1999), ln R = 0.80 ln M − 5.43 at 15 °C (R in mmol O2/h, M in g), Q10 1.83: 0.13 mg/g/h for 30 g at 25 °C.
        $theirs = (exp(0.8 * log(30.0) - 5.43) * 1.83 * 31.998) / 30.0;
        self::assertEqualsWithDelta($theirs, (new Parameters())->animalBreath, 0.02);
    }

    /** M: Duarte (1992): nitrogen 1–5 % of dry mass in freshwater plants; every clump of a fed tank stays within. */
    public function testLeavesHoldAsMuchNitrogenAsLeavesDo(): void
    {
        foreach ((new Runner(Sample::planted()))->run(200)->quotas as $quotas) {
            foreach ($quotas as $milligramsPerGram) {
                self::assertGreaterThan(10.0, $milligramsPerGram);
                self::assertLessThan(50.0, $milligramsPerGram);
            }
        }
    }

    /**
     * Every kind's numbers are of the order that its sort has: nothing weighs, grows or eats a hundred times too much by a slip of the pen.
     */
    public function testTheCatalogueHasNoSlips(): void
    {
        foreach (Sample::catalogue()->plants as $kind) {
            self::assertLessThanOrEqual($kind->warmest->value, $kind->coolest->value + 5, $kind->id);
            self::assertGreaterThanOrEqual($kind->softest->value, $kind->hardest->value, $kind->id);
            self::assertGreaterThan(0.01, ($kind->growth->value * 1000) / $kind->halfLight->value, $kind->id);
        }
        foreach (Sample::catalogue()->animals as $kind) {
            self::assertGreaterThan($kind->coolest->value, $kind->warmest->value, $kind->id);
            self::assertGreaterThan($kind->acidest->value, $kind->alkalinest->value, $kind->id);
            self::assertGreaterThan($kind->softest->value, $kind->hardest->value, $kind->id);
            self::assertTrue(AnimalShape::Fish !== $kind->shape || $kind->grams->value >= 0.05, $kind->id);
            self::assertLessThan(0.6, $kind->food->value * $kind->protein->value * 10, $kind->id);
        }
    }
}
