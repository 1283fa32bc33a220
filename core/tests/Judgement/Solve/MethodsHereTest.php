<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Judgement\Solve;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Judgement\Margin\Judge;
use Olvek\Core\Judgement\Margin\MarginState;
use Olvek\Core\Judgement\Solve\Compose\MethodHere;
use Olvek\Core\Judgement\Solve\Compose\MethodsHere;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Change\TakeMethod;
use Olvek\Core\Planning\Plan\Method;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Tests\Said;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\TestCase;

/** All methods in one tank. */
final class MethodsHereTest extends TestCase
{
    public function testAllAreJudgedAndThoseThatHoldBestComeFirst(): void
    {
        $here = MethodsHere::of(Sample::planted(), new Editor(Sample::catalogue()), Sample::catalogue());

        self::assertCount(\count(Method::cases()), $here->methods);
        self::assertTrue($here->complete);
        self::assertTrue($here->planted);
        $places = array_map(static fn (MethodHere $m): array => [$m->judgement?->state->rank() ?? \PHP_INT_MAX, $m->score], $here->methods);
        $sorted = $places;
        sort($sorted);
        self::assertSame($sorted, $places, 'what holds comes before what is tight, and that before what fails');
        self::assertGreaterThan(1, \count(array_unique(array_column($places, 0))), 'the methods differ in this tank');
        foreach ($here->methods as $method) {
            if (null === $method->plan) {
                self::assertContains($method->method, [Method::SunnySill, Method::SealedJar], 'no window, not sealed');
                self::assertNotSame([], $method->refused);
                continue;
            }
            self::assertSame($method->method, $method->plan->preparation->method);
            self::assertEquals(Judge::judge($method->plan)->verdict, $method->judgement?->verdict);
            $first = $method->method->firstAnimals();
            self::assertTrue(null === $first || $method->plan->firstAnimals() >= $first, 'no animals before the method has any');
        }
        self::assertMatchesRegularExpression(
            '/^methods.range\(what: soil, least: 0.cm, most: [^,]+, those: \[lean inert bed/u',
            Said::all($here->disagree),
        );
    }

    /** What was judged is what a press takes: the method, and animals moved to when it has its first. */
    public function testWhatIsJudgedIsWhatIsTaken(): void
    {
        $editor = new Editor(Sample::catalogue());
        $early = Sample::edit(Sample::planted(), ['animals.a1.day' => '2', 'feeding.fromDay' => '2']);
        $moved = 0;
        foreach (MethodsHere::of($early, $editor, Sample::catalogue())->methods as $method) {
            if (null === $method->plan) {
                self::assertSame([], $method->moves);
                continue;
            }
            $taken = $editor->make($early, [new TakeMethod($method->method), ...$method->moves])->plan;
            self::assertEquals($method->laid, $taken);
            self::assertEquals($method->plan, $taken, 'planted already');
            $moved += [] === $method->moves ? 0 : 1;
        }
        self::assertGreaterThan(0, $moved);
    }

    public function testABareTankIsPlantedFirst(): void
    {
        $here = MethodsHere::of(
            Plan::starting('Bare', Sample::catalogue()),
            new Editor(Sample::catalogue()),
            Sample::catalogue(),
            UnitSystem::Us,
        );

        self::assertFalse($here->planted);
        foreach ($here->methods as $method) {
            self::assertTrue(null === $method->plan || [] !== $method->plan->clumps);
        }
        self::assertNotSame(MarginState::Fails, $here->methods[0]->judgement?->state);
    }

    public function testWhatDoesNotFitComesLastAndSaysWhy(): void
    {
        $low = Sample::edit(Sample::planted(), ['bed.soil.material' => 'none', 'bed.cap.front' => '1 cm', 'bed.cap.back' => '1 cm']);
        $low = Sample::edit($low, ['vessel.height' => '10 cm', 'waterLine' => '8 cm']);
        $here = MethodsHere::of($low, new Editor(Sample::catalogue()), Sample::catalogue());
        $last = $here->methods[\count($here->methods) - 1];

        self::assertNull($last->plan);
        self::assertNotSame([], $last->refused);
    }
}
