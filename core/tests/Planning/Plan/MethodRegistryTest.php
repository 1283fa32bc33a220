<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Planning\Plan;

use Olvek\Core\Judgement\Solve\Compose\Taste;
use Olvek\Core\Planning\Change\Recipe;
use Olvek\Core\Planning\Plan\Lays;
use Olvek\Core\Planning\Plan\Method;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The registry of methods is complete: a new case fails here until it is described and laid. */
final class MethodRegistryTest extends TestCase
{
    /** @return iterable<string, array{Method}> */
    public static function methods(): iterable
    {
        foreach (Method::cases() as $method) {
            yield $method->value => [$method];
        }
    }

    #[DataProvider('methods')]
    public function testItIsDescribedAndLaid(Method $method): void
    {
        self::assertCount(1, (new \ReflectionEnumBackedCase(Method::class, $method->name))->getAttributes(Lays::class));
        self::assertStringEndsWith('.', $method->reasons());
        self::assertNotSame([], Recipe::of($method, Sample::planted()));
    }

    public function testNoTwoShareAName(): void
    {
        $names = array_map(static fn (Method $method): string => $method->words(), Method::cases());
        self::assertSame($names, array_unique($names));
    }

    /** Methods that plans are composed by have animals: a wish without any is made by hand. */
    public function testTastesTakeMethodsThatAnimalsCanComeTo(): void
    {
        foreach (Taste::cases() as $taste) {
            foreach ($taste->methods() as $method) {
                self::assertNotNull($method->firstAnimals(), $taste->value);
            }
        }
    }
}
