<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Keeping\Care;

use Olvek\Core\Judgement\Margin\Judge;
use Olvek\Core\Keeping\Care\Effort;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\TestCase;

/** Minutes of a grown tank. */
final class EffortTest extends TestCase
{
    public function testChangesOfWaterTakeTheirTime(): void
    {
        $plan = Sample::edit(Sample::planted(), ['care.changeShare' => '25', 'care.changeEvery' => '7']);
        $more = self::minutes($plan) - self::minutes(Sample::planted());

        // By hand: 8 minutes for bucket and hose, and 0.35 for each of some 11 litres, once a week; what grows otherwise moves it a little.
        self::assertEqualsWithDelta(8 + 0.35 * 0.25 * $plan->netWater(), $more, 3.0);
        $rarely = Sample::edit($plan, ['care.changeEvery' => '28']);
        self::assertLessThan(self::minutes($plan), self::minutes($rarely));
    }

    public function testASealedJarIsOnlyLookedAt(): void
    {
        $jar = Sample::edit(Sample::planted(), ['feeding.grams' => '0', 'animals.a1.remove' => '1', 'site.sealed' => 'yes']);

        self::assertLessThan(5.0, self::minutes($jar));
        self::assertGreaterThan(0.0, self::minutes($jar));
    }

    private static function minutes(Plan $plan): float
    {
        return Effort::weekly($plan, Judge::judge($plan)->trace);
    }
}
