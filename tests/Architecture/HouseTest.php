<?php

declare(strict_types=1);

namespace Olvek\Tests\Architecture;

use PHPat\Selector\Selector;
use PHPat\Selector\SelectorInterface;
use PHPat\Test\Attributes\TestRule;
use PHPat\Test\Builder\BuildStep;
use PHPat\Test\PHPat;

/** Which part of the house may know which; run by PHPStan. */
final class HouseTest
{
    #[TestRule]
    public function theCoreKnowsOnlyItself(): BuildStep
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Olvek\Core'))
            ->excluding(Selector::inNamespace('Olvek\Core\Tests'))
            ->canOnly()
            ->dependOn()
            ->classes(Selector::inNamespace('Olvek\Core'), Selector::isStandardClass())
            ->because('the computation must run and be tested without framework, storage or interface');
    }

    /** @return iterable<string, BuildStep> */
    #[TestRule]
    public function roomsOfTheCore(): iterable
    {
        yield from self::walls('Olvek\Core', Rooms::CORE);
    }

    /** @return iterable<string, BuildStep> */
    #[TestRule]
    public function roomsOfTheApplication(): iterable
    {
        yield from self::walls('Olvek', Rooms::APPLICATION);
    }

    #[TestRule]
    public function drawingsOnlyShow(): BuildStep
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Olvek\Service\Drawing'))
            ->shouldNot()
            ->dependOn()
            ->classes(Selector::inNamespace('Doctrine'), Selector::inNamespace('Symfony\Component\HttpFoundation'))
            ->because('a drawing is made of a plan and a judgement alone');
    }

    /**
     * @param non-empty-array<string, list<string>> $rooms and which others each may know
     *
     * @return iterable<string, BuildStep>
     */
    private static function walls(string $namespace, array $rooms): iterable
    {
        foreach ($rooms as $room => $knows) {
            $others = array_map(
                static fn (string $other): SelectorInterface => Selector::inNamespace("$namespace\\$other"),
                array_values(array_diff(array_keys($rooms), [$room, ...$knows])),
            );
            if ([] !== $others) {
                yield $room => PHPat::rule()
                    ->classes(Selector::inNamespace("$namespace\\$room"))
                    ->shouldNot()
                    ->dependOn()
                    ->classes(...$others)
                    ->because(
                        "$room may know ".([] === $knows ? 'no other room' : implode(', ', $knows)).' (tests/Architecture/Rooms.php)',
                    );
            }
        }
    }
}
