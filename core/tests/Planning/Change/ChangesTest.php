<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Planning\Change;

use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Judgement\Margin\Remedy;
use Olvek\Core\Planning\Change\Change;
use Olvek\Core\Planning\Change\Changes;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Change\Recipe;
use Olvek\Core\Planning\Plan\Method;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\PlanFields;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What Olvek proposes as changes is the same when it comes back as the text of a form, from whatever keeper. */
final class ChangesTest extends TestCase
{
    /** @return iterable<string, array{list<Change>}> */
    public static function proposed(): iterable
    {
        $plan = self::plan();
        foreach (Remedy::cases() as $remedy) {
            yield $remedy->value => [$remedy->on($plan)[1] ?? []];
        }
        foreach (Method::cases() as $method) {
            yield $method->value => [Recipe::of($method, $plan)];
        }
    }

    private static function plan(): Plan
    {
        return Sample::edit(Sample::planted(), ['plants.add' => 'salvinia-natans', 'bed.leaves.material' => 'fallen-leaves']);
    }

    /** @param list<Change> $changes */
    #[DataProvider('proposed')]
    public function testTypedTheyMeanTheSame(array $changes): void
    {
        $editor = new Editor(Sample::catalogue());
        $made = $editor->make(self::plan(), $changes)->plan;
        foreach (UnitSystem::cases() as $units) {
            $typed = $editor->apply(self::plan(), Changes::typed($changes), $units)->plan;
            self::assertEqualsWithDelta($made, $typed, 1e-9, $units->value);
        }
    }

    public function testEveryNumberIsTypedExactlyInEverySystem(): void
    {
        foreach (PlanFields::of()->properties() as $place => $property) {
            if (!$property->told instanceof Number) {
                continue;
            }
            [$from, $to] = [$property->told->from, $property->told->to];
            $values = [$from, $to, $from + ($to - $from) / 7];
            foreach ($values as $value) {
                foreach (UnitSystem::cases() as $units) {
                    $typed = $property->told->exactly($value);
                    self::assertEqualsWithDelta(
                        $value,
                        $property->told->read($typed, $units),
                        1e-6 * max(1.0, abs($value)),
                        "$place: $typed",
                    );
                }
            }
        }
    }
}
