<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Planning\Change;

use Olvek\Core\Judgement\Margin\Judge;
use Olvek\Core\Judgement\Margin\MarginId;
use Olvek\Core\Planning\Change\Changes;
use Olvek\Core\Planning\Change\Recipe;
use Olvek\Core\Planning\Plan\Method;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The methods of the trade as recipes (C), and what the model says of each. */
final class MethodTest extends TestCase
{
    /** @return iterable<string, array{Method}> */
    public static function methods(): iterable
    {
        foreach (Method::cases() as $method) {
            yield $method->value => [$method];
        }
    }

    /** A box planted as most would: half the floor, some floaters, few small fish fed little, topped up with rain. */
    private static function started(Method $method): Plan
    {
        $plan = Plan::starting($method->words(), Sample::catalogue());
        if (Method::SealedJar === $method) {
            $plan = Sample::edit($plan, ['vessel.shape' => 'jar-lying', 'light.lumens' => '500']);
            $plan = Sample::edit($plan, [
                'vessel.diameter' => '18 cm',
                'vessel.length' => '30 cm',
                'waterLine' => '14 cm',
                'bed.soil.front' => '0.5 cm',
                'bed.soil.back' => '0.5 cm',
                'bed.cap.front' => '2 cm',
                'bed.cap.back' => '2 cm',
            ]);
        }
        $plan = Sample::edit($plan, Changes::typed(Recipe::of($method, $plan)) + ['topUp.kind' => 'rain']);
        $plants = Method::SealedJar === $method
            ? ['najas-guadalupensis' => 8, 'taxiphyllum-barbieri' => 3]
            : ['hygrophila-polysperma' => 40, 'cryptocoryne-wendtii' => 6, 'vallisneria-spiralis' => 12, 'salvinia-natans' => 1];
        foreach ($plants as $kind => $pieces) {
            $plan = Sample::edit($plan, ["plants.add.$kind" => (string) $pieces]);
        }
        $day = $method->firstAnimals();

        return null === $day
            ? $plan
            : Sample::edit(Sample::edit($plan, ['animals.add.physella-acuta' => '4', 'animals.add.heterandria-formosa' => '8']), [
                'animals.a1.day' => (string) $day,
                'animals.a2.day' => (string) ($day + 7),
                'feeding.grams' => '0.06',
                'feeding.fromDay' => (string) ($day + 7),
            ]);
    }

    #[DataProvider('methods')]
    public function testItsRecipeMakesAPlanThatCanBeBuiltAndJudged(Method $method): void
    {
        self::assertNotSame('', $method->reasons());
        $judgement = Judge::judge(self::started($method));
        // A method that the trade lives by may be tight or call for water changes; it does not foul, starve or choke a lightly stocked box.
        foreach (['ammonia', 'oxygen', 'bed', 'losses', 'nitrate', 'fed', 'planted'] as $margin) {
            self::assertNotSame(
                'fails',
                $judgement->margin(MarginId::from($margin))->state->value,
                $margin.': '.$judgement->margin(MarginId::from($margin))->sentence,
            );
        }
    }

    /** The humus bed goes by the size of the tank (C): at most 2.5 cm below 208 L, 3.8 cm to 379 L, 5 cm above; sand twice as deep. */
    public function testTheHumusBedIsScaled(): void
    {
        $bed = static function (string $length, string $width, string $height): array {
            $plan = Sample::edit(Plan::starting('Humus', Sample::catalogue()), [
                'vessel.length' => $length,
                'vessel.width' => $width,
                'vessel.height' => $height,
                'waterLine' => '30 cm',
            ]);
            $plan = Sample::edit($plan, Changes::typed(Recipe::of(Method::HumusBed, $plan)));

            return [$plan->bed->soil?->front, $plan->bed->cap?->front];
        };
        self::assertEqualsWithDelta([0.025, 0.05], $bed('90 cm', '40 cm', '40 cm'), 1e-9);
        self::assertEqualsWithDelta([0.038, 0.076], $bed('120 cm', '50 cm', '50 cm'), 1e-9);
        self::assertEqualsWithDelta([0.05, 0.1], $bed('160 cm', '60 cm', '50 cm'), 1e-9);
    }
}
