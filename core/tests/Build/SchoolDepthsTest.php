<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Build;

use Olvek\Core\Build\SchoolDepths;
use Olvek\Core\Plan\School;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\TestCase;

/** Who agrees with a bed, by the trade's own depths (C). */
final class SchoolDepthsTest extends TestCase
{
    public function testEverySchoolTakesASide(): void
    {
        foreach (['1', '2.5', '6'] as $soil) {
            $depths = SchoolDepths::of(Sample::edit(Sample::planted(), ['bed.soil.front' => $soil, 'bed.soil.back' => $soil]));
            self::assertCount(\count(School::cases()), [...$depths->alike, ...$depths->more, ...$depths->less]);
        }
    }

    /** 2.5 cm level under as much: as thin soil teaches; the hill bed lays more, the swamp less, and the humus bed twice as much cap. */
    public function testThinSoil(): void
    {
        $plan = Sample::planted();
        $depths = SchoolDepths::of(Sample::edit($plan, School::ThinSoil->edits($plan)));
        self::assertContains(School::ThinSoil, $depths->alike);
        self::assertContains(School::HillBed, $depths->more);
        self::assertContains(School::SlowSwamp, $depths->less);
        self::assertContains(School::LeanBed, $depths->less);
        self::assertContains(School::HumusBed, $depths->thicker);
        self::assertNotContains(School::ThinSoil, $depths->thicker);
    }
}
