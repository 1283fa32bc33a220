<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Judgement\Review;

use Olvek\Core\Judgement\Review\MethodDepths;
use Olvek\Core\Planning\Change\Changes;
use Olvek\Core\Planning\Change\Recipe;
use Olvek\Core\Planning\Plan\Method;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\TestCase;

/** Who agrees with a bed, by the trade's own depths (C). */
final class MethodDepthsTest extends TestCase
{
    public function testEveryMethodTakesASide(): void
    {
        foreach (['1', '2.5', '6'] as $soil) {
            $depths = MethodDepths::of(Sample::edit(Sample::planted(), ['bed.soil.front' => $soil, 'bed.soil.back' => $soil]));
            self::assertCount(\count(Method::cases()), [...$depths->alike, ...$depths->more, ...$depths->less]);
        }
    }

    /** 2.5 cm level under as much: as thin soil teaches; the hill bed lays more, the swamp less, and the humus bed twice as much cap. */
    public function testThinSoil(): void
    {
        $plan = Sample::planted();
        $depths = MethodDepths::of(Sample::edit($plan, Changes::typed(Recipe::of(Method::ThinSoil, $plan))));
        self::assertContains(Method::ThinSoil, $depths->alike);
        self::assertContains(Method::HillBed, $depths->more);
        self::assertContains(Method::SlowSwamp, $depths->less);
        self::assertContains(Method::LeanBed, $depths->less);
        self::assertContains(Method::HumusBed, $depths->thicker);
        self::assertNotContains(Method::ThinSoil, $depths->thicker);
    }
}
