<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Judgement\Margin;

use Olvek\Core\Judgement\Margin\Judge;
use Olvek\Core\Judgement\Margin\MarginId;
use Olvek\Core\Judgement\Margin\MarginState;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\TestCase;

/** What counts as lost: what was put in, less what was given away on purpose. */
final class LossesTest extends TestCase
{
    public function testGivingAnimalsAwayIsNoDeath(): void
    {
        $plan = Sample::edit(Sample::planted(), ['events.add.take-out' => '60 a1 9']);
        $trace = (new Runner($plan))->run(200);
        self::assertSame(9.0, round($trace->givenAway[199][0]));
        $losses = Judge::fromTrace($plan, $trace)->margin(MarginId::Losses);
        self::assertSame(MarginState::Holds, $losses->state, $losses->sentence);
    }

    /** Of twelve, six given away: of the six that stay one may be missing below the limit of a twentieth, and not above it. */
    public function testOfThoseThatStayTheMissingCount(): void
    {
        $plan = Sample::edit(Sample::planted(), ['animals.a1.count' => '20', 'events.add.take-out' => '60 a1 10']);
        foreach ([[9.1, MarginState::Holds], [8.9, MarginState::Tight]] as [$heads, $state]) {
            $trace = (new Runner($plan))->run(80);
            foreach (array_keys($trace->heads) as $day) {
                $trace->heads[$day][0] = $day < 60 ? 20.0 : $heads;
            }
            self::assertSame($state, Judge::fromTrace($plan, $trace)->margin(MarginId::Losses)->state, (string) $heads);
        }
    }
}
