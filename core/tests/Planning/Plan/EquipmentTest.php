<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Planning\Plan;

use Olvek\Core\Planning\Plan\Clump;
use Olvek\Core\Planning\Plan\Device;
use Olvek\Core\Planning\Plan\Equipment;
use Olvek\Core\Planning\Plan\Movement;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\TestCase;

/** Flow and filter. */
final class EquipmentTest extends TestCase
{
    /** 150 L an hour through 50 L are 3 turnovers: 1 + 3.5 (1 − 1/e) = 3.21 times still water, where all of it breaks the surface. */
    public function testFlowByHand(): void
    {
        $stone = new Equipment(device: Device::AirStone, flow: 150.0);
        self::assertEqualsWithDelta(3.0, $stone->turnovers(50.0), 1e-9);
        self::assertEqualsWithDelta(3.212, $stone->exchange(50.0), 1e-3);
        $pump = new Equipment(device: Device::Pump, flow: 150.0);
        self::assertEqualsWithDelta(1 + 3.5 * (1 - exp(-0.5)), $pump->exchange(50.0), 1e-9);
        self::assertSame(1.0, (new Equipment())->exchange(50.0));
    }

    public function testItNeverStirsMoreThanAStirredTank(): void
    {
        $most = new Equipment(device: Device::HangOnFilter, flow: 20000.0);
        self::assertLessThan(Movement::Lively->exchange() + 1e-9, $most->exchange(5.0));
    }

    public function testTheLivelierOfWhatIsSaidCounts(): void
    {
        $plan = Sample::edit(Sample::planted(), ['site.movement' => 'lively', 'equipment.device' => 'pump', 'equipment.flow' => '50 L']);
        self::assertSame(Movement::Lively->exchange(), $plan->exchange());
        $plan = Sample::edit($plan, ['site.movement' => 'still']);
        self::assertSame($plan->equipment->exchange($plan->netWater()), $plan->exchange());
    }

    /** Half a litre of open foam: 0.5 × 0.8 m²/L × one half = 0.2 m². */
    public function testASpongeIsAHomeForBacteria(): void
    {
        $still = Sample::planted();
        $filter = Sample::edit($still, ['equipment.device' => 'sponge-filter', 'equipment.media' => '0.5 L']);
        self::assertEqualsWithDelta(0.2, $filter->wettedSurface() - $still->wettedSurface(), 1e-9);
        $pump = Sample::edit($still, ['equipment.device' => 'pump', 'equipment.media' => '0.5 L']);
        self::assertSame($still->wettedSurface(), $pump->wettedSurface(), 'a pump holds no sponge');
    }

    /** 250 L an hour through 50 L of a hang-on filter: 1 − 0.6 (1 − e^(−5/8)) = 0.721; bubbles drag at three tenths of that. */
    public function testAnOutflowTossesFloaters(): void
    {
        self::assertSame(1.0, (new Equipment())->calm(50.0));
        self::assertEqualsWithDelta(0.7212, (new Equipment(device: Device::HangOnFilter, flow: 250.0))->calm(50.0), 1e-4);
        self::assertEqualsWithDelta(0.8974, (new Equipment(device: Device::SpongeFilter, flow: 250.0))->calm(50.0), 1e-4);
        $plan = Sample::edit(Sample::planted(), [
            'plants.add.lemna-minor' => '1',
            'equipment.device' => 'hang-on-filter',
            'equipment.flow' => '400 L',
        ]);
        [$floater, $other] = [self::first($plan, true), self::first($plan, false)];
        self::assertLessThan(1.0, $plan->calm($floater));
        self::assertSame(1.0, $plan->calm($other), 'only what floats is tossed');
        $ringed = Sample::edit($plan, ["plants.$floater->id.keeping" => 'ring']);
        self::assertSame(1.0, $ringed->calm(self::first($ringed, true)), 'in a ring it lies calm');
        $mass = static fn (Plan $plan): float => (new Runner($plan))->run(20)->on(20)->cover;
        self::assertGreaterThan($mass($plan), $mass(Sample::edit($plan, ['equipment.device' => 'none'])));
    }

    private static function first(Plan $plan, bool $floats): Clump
    {
        return array_values(array_filter($plan->clumps, static fn (Clump $c): bool => $floats === $c->floats()))[0];
    }

    /** What is stirred has at dawn nearly what the air gives. */
    public function testStirredWaterBreathes(): void
    {
        $still = Sample::planted();
        $stirred = Sample::edit($still, ['equipment.device' => 'hang-on-filter', 'equipment.flow' => '200 L']);
        $lowest = static fn (Plan $plan): float => (new Runner($plan))->run(30)->lowest('oxygen')[0];
        self::assertGreaterThan($lowest($still), $lowest($stirred));
    }
}
