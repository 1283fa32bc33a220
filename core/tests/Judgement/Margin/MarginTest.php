<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Judgement\Margin;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Judgement\Margin\Judge;
use Olvek\Core\Judgement\Margin\Margin;
use Olvek\Core\Judgement\Margin\MarginId;
use Olvek\Core\Judgement\Margin\MarginState;
use Olvek\Core\Judgement\Margin\Remedy;
use Olvek\Core\Judgement\Margin\Spread;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Plan\InvalidPlan;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class MarginTest extends TestCase
{
    #[TestWith([0.05, MarginState::Holds])]
    #[TestWith([0.1, MarginState::Holds])]
    #[TestWith([0.11, MarginState::Tight])]
    #[TestWith([0.3, MarginState::Tight])]
    #[TestWith([0.31, MarginState::Fails])]
    #[TestWith([0.0, MarginState::Holds])]
    public function testWhatShouldStayLow(float $measure, MarginState $state): void
    {
        $margin = Margin::atMost(MarginId::Nitrite, $measure, 'mg N/L', 0.1, 0.3, 20, 'So it is.', []);
        self::assertSame($state, $margin->state);
        self::assertEqualsWithDelta(
            match ($state) {
                MarginState::Fails => 1 / 6,
                MarginState::Tight => 0.5,
                MarginState::Holds => 5 / 6,
            },
            $margin->position(),
            1 / 6 + 1e-9,
            'each state has its third of the gauge',
        );
    }

    #[TestWith([2.9, MarginState::Fails])]
    #[TestWith([3.0, MarginState::Tight])]
    #[TestWith([4.0, MarginState::Holds])]
    public function testWhatShouldStayHigh(float $measure, MarginState $state): void
    {
        self::assertSame($state, Margin::atLeast(MarginId::Oxygen, $measure, 'mg/L', 3.0, 4.0, null, '', [])->state);
    }

    /** The gauge's hand never goes back while the measure improves. */
    public function testTheGaugeIsMonotone(): void
    {
        $before = 1.1;
        for ($measure = 0.01; $measure < 2; $measure += 0.01) {
            $position = Margin::atMost(MarginId::Nitrite, $measure, '', 0.1, 0.3, null, '', [])->position();
            self::assertLessThanOrEqual($before, $position);
            self::assertGreaterThanOrEqual(0.0, $position);
            $before = $position;
        }
        $before = -0.1;
        for ($value = -1.5; $value < 9; $value += 0.05) {
            $position = (new Margin(MarginId::Nitrite, $value, 0.0, 1.0, null, 0.0, '', '', '', '', []))->position();
            self::assertGreaterThanOrEqual($before, $position);
            self::assertLessThanOrEqual(1.0, $position);
            $before = $position;
        }
    }

    public function testNumbersAreShortAndCarryTheirUnits(): void
    {
        $text = static fn (float $measure, string $unit): string => str_replace(
            ["\u{00A0}", "\u{202F}"],
            ' ',
            Margin::text($measure, $unit),
        );
        self::assertSame(
            ['0.13 mg N/L', '< 0.01 mg N/L', '0 mg N/L', '19 %', '123 months', '1.5 ×'],
            [
                $text(0.128, 'mg N/L'),
                $text(0.004, 'mg N/L'),
                $text(0.0, 'mg N/L'),
                $text(0.19, '%'),
                $text(123.4, 'months'),
                $text(1.5, '×'),
            ],
        );
    }

    public function testASpreadIsSaidInTheMarginsOwnUnit(): void
    {
        $margin = Margin::atLeast(MarginId::Light, 0.2, '%', 0.15, 0.3, null, '', [])->withSpread(new Spread(0.1, 0.31, 40, 64));
        self::assertSame("10–31\u{202F}%", $margin->spreadWords());
        self::assertSame(MarginState::Tight, $margin->state, 'a spread changes no state');
        self::assertSame('', Margin::idle(MarginId::Soil, 'no soil', '')->withSpread(new Spread(1, 2, 3, 4))->spreadWords());
    }

    /** Every remedy, where it applies, is an edit that the plan's rules take, and changes something. */
    public function testEveryRemedyCanBeDone(): void
    {
        $editor = new Editor(Sample::catalogue());
        $plan = Sample::edit(Sample::planted(), ['plants.add.salvinia-natans' => '2', 'animals.a1.count' => '3']);
        $done = 0;
        foreach (Remedy::cases() as $remedy) {
            [$words, $changes] = $remedy->on($plan) ?? [null, []];
            if (null === $words) {
                continue;
            }
            try {
                self::assertNotSame([], $editor->make($plan, $changes)->words, $remedy->value);
                ++$done;
            } catch (InvalidPlan $refused) {
                self::fail($remedy->value.': '.$refused->getMessage());
            }
        }
        self::assertGreaterThan(22, $done);
    }

    public function testEveryMarginHasRemediesAndEveryRemedyAMargin(): void
    {
        $used = [];
        foreach (Judge::judge(Sample::planted())->margins as $margin) {
            self::assertNotSame([], $margin->id->about()->remedies, $margin->name);
            $used = [...$used, ...array_map(static fn (Remedy $r): string => $r->value, $margin->id->about()->remedies)];
        }
        self::assertSame([], array_diff(array_column(Remedy::cases(), 'value'), $used));
    }

    /** An empty tank, a sealed one, one of each shape: every margin says something, and no sentence is left with a hole in it. */
    public function testEverySentenceIsWhole(): void
    {
        $plans = [
            Sample::planted(),
            Sample::edit(Sample::edit(Sample::planted(), ['animals.a1.remove' => '1']), [
                'plants.c1.remove' => '1',
                'plants.c2.remove' => '1',
            ]),
            Sample::edit(Sample::planted(), ['site.sealed' => 'yes']),
            Sample::edit(Sample::planted(), ['bed.soil.material' => 'none']),
        ];
        for ($seed = 1; $seed <= 15; ++$seed) {
            $plans[] = Sample::random($seed);
        }
        foreach ($plans as $plan) {
            foreach (UnitSystem::cases() as $units) {
                foreach (Judge::judge($plan, $units)->margins as $margin) {
                    self::assertMatchesRegularExpression('/^(?:[A-Z0-9]|pH).*[.!]$/us', $margin->sentence, $margin->name);
                    self::assertStringNotContainsString('  ', $margin->sentence);
                    self::assertStringNotContainsString('NAN', mb_strtoupper($margin->shown));
                    self::assertStringNotContainsString('INF', $margin->shown);
                }
            }
        }
    }
}
