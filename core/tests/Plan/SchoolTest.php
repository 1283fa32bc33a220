<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Plan;

use Olvek\Core\Margin\Judge;
use Olvek\Core\Plan\Plan;
use Olvek\Core\Plan\School;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The schools of the trade as recipes (C), and what the model says of each. */
final class SchoolTest extends TestCase
{
    /** @return iterable<string, array{School}> */
    public static function schools(): iterable
    {
        foreach (School::cases() as $school) {
            yield $school->value => [$school];
        }
    }

    /** A box planted as most would: half the floor, some floaters, few small fish fed little, topped up with rain. */
    private static function started(School $school): Plan
    {
        $plan = Plan::starting($school->words(), Sample::catalogue());
        if (School::SealedJar === $school) {
            $plan = Sample::edit($plan, ['vessel.shape' => 'jar-lying', 'light.lumens' => '500']);
            $plan = Sample::edit($plan, ['vessel.diameter' => '18 cm', 'vessel.length' => '30 cm', 'waterLine' => '14 cm', 'bed.soil.front' => '0.5 cm', 'bed.soil.back' => '0.5 cm', 'bed.cap.front' => '2 cm', 'bed.cap.back' => '2 cm']);
        }
        $plan = Sample::edit($plan, $school->edits($plan) + ['topUp.kind' => 'rain']);
        foreach (School::SealedJar === $school ? ['najas-guadalupensis' => 8, 'taxiphyllum-barbieri' => 3] : ['hygrophila-polysperma' => 40, 'cryptocoryne-wendtii' => 6, 'vallisneria-spiralis' => 12, 'salvinia-natans' => 1] as $kind => $pieces) {
            $plan = Sample::edit($plan, ["plants.add.$kind" => (string) $pieces]);
        }
        $day = $school->firstAnimals();

        return null === $day ? $plan : Sample::edit(Sample::edit($plan, ['animals.add.physella-acuta' => '4', 'animals.add.heterandria-formosa' => '8']),
            ['animals.a1.day' => (string) $day, 'animals.a2.day' => (string) ($day + 7), 'feeding.grams' => '0.06', 'feeding.fromDay' => (string) ($day + 7)]);
    }

    #[DataProvider('schools')]
    public function testItsRecipeMakesAPlanThatCanBeBuiltAndJudged(School $school): void
    {
        self::assertNotSame('', $school->reasons());
        $judgement = Judge::judge(self::started($school));
        // A school that the trade lives by may be tight or call for water changes; it does not foul, starve or choke a lightly stocked box.
        foreach (['ammonia', 'oxygen', 'bed', 'losses', 'nitrate', 'fed', 'planted'] as $margin) {
            self::assertNotSame('fails', $judgement->margin($margin)->state->value, $margin.': '.$judgement->margin($margin)->sentence);
        }
    }

    /** The humus bed goes by the size of the tank (C): at most 2.5 cm below 208 L, 3.8 cm to 379 L, 5 cm above; sand twice as deep. */
    public function testTheHumusBedIsScaled(): void
    {
        $bed = static function (string $length, string $width, string $height): array {
            $plan = Sample::edit(Plan::starting('Humus', Sample::catalogue()), ['vessel.length' => $length, 'vessel.width' => $width, 'vessel.height' => $height, 'waterLine' => '30 cm']);
            $plan = Sample::edit($plan, School::HumusBed->edits($plan));

            return [$plan->bed->soil?->front, $plan->bed->cap?->front];
        };
        self::assertEqualsWithDelta([0.025, 0.05], $bed('90 cm', '40 cm', '40 cm'), 1e-9);
        self::assertEqualsWithDelta([0.038, 0.076], $bed('120 cm', '50 cm', '50 cm'), 1e-9);
        self::assertEqualsWithDelta([0.05, 0.10], $bed('160 cm', '60 cm', '50 cm'), 1e-9);
    }
}
