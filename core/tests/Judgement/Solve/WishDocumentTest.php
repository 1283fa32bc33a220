<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Judgement\Solve;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Judgement\Solve\Compose\LampWish;
use Olvek\Core\Judgement\Solve\Compose\Taste;
use Olvek\Core\Judgement\Solve\Compose\Wish;
use Olvek\Core\Judgement\Solve\Compose\WishDocument;
use Olvek\Core\Nature\Light\Aspect;
use Olvek\Core\Planning\Plan\InvalidPlan;
use Olvek\Core\Planning\Plan\Site;
use Olvek\Core\Planning\Plan\Treatment;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A wish as JSON: what is left out is usual, what is wrong is told with its place, and what was read is written back. */
final class WishDocumentTest extends TestCase
{
    private const VASE = ['shape' => 'cylinder', 'diameter' => 0.25, 'height' => 0.5, 'glass' => 0.006];

    public function testWhatIsLeftOutIsUsual(): void
    {
        $wish = self::read(['vessel' => self::VASE]);

        self::assertSame(LampWish::Suggest, $wish->lamp);
        self::assertTrue($wish->cleaners);
        self::assertNull($wish->taste);
        self::assertEqualsWithDelta(0.92 * $wish->tank->vessel->height(), $wish->tank->waterLine, 0.001);
        self::assertSame([], $wish->tank->clumps);
        self::assertNull($wish->tank->bed->soil);
    }

    public function testAllOfItIsReadAndWrittenBack(): void
    {
        $wish = self::read([
            'name' => 'Stairs',
            'vessel' => self::VASE,
            'waterLine' => 0.4,
            'hasVessel' => true,
            'site' => ['temperature' => 20, 'aspect' => 'east', 'above' => 0.3, 'bears' => 60],
            'water' => ['kind' => 'rain', 'nitrate' => 0.5],
            'light' => ['lumens' => 900, 'hours' => 9, 'landing' => 0.5],
            'animals' => [['kind' => 'neocaridina-davidi', 'count' => 12], ['kind' => 'heterandria-formosa']],
            'cleaners' => false,
            'taste' => 'jungle',
            'plants' => [
                'wanted' => [['kind' => 'nymphaea-lotus']],
                'unwanted' => [['kind' => 'lemna-minor']],
                'onHand' => [['kind' => 'vallisneria-spiralis', 'pieces' => 20]],
            ],
            'method' => 'humus-bed',
        ]);

        self::assertSame(LampWish::Mine, $wish->lamp);
        self::assertSame(900.0, $wish->tank->lamp->lumens);
        self::assertSame(Aspect::East, $wish->tank->site->aspect);
        self::assertSame([0.3, 60.0, 0.5], [$wish->tank->site->above, $wish->tank->site->bears, $wish->tank->water->nitrate]);
        self::assertSame(Treatment::Unchlorinated, $wish->tank->preparation->treatment, 'rain has no chlorine');
        self::assertSame(Taste::Jungle, $wish->tastes()[0]);
        self::assertSame([12, null], [$wish->animals[0]->count, $wish->animals[1]->count]);
        self::assertSame(20, $wish->has(Sample::catalogue()->plants['vallisneria-spiralis']));
        $document = new WishDocument(Sample::catalogue());
        self::assertSame($document->toJson($wish), $document->toJson($document->fromJson($document->toJson($wish))));
    }

    public function testOutdoorsRainFallsUnlessToldOtherwise(): void
    {
        self::assertSame(Site::USUAL_RAIN, self::read(['vessel' => self::VASE, 'site' => ['aspect' => 'open']])->tank->site->rain);
        self::assertSame(0.0, self::read(['vessel' => self::VASE, 'site' => ['aspect' => 'open', 'rain' => 0]])->tank->site->rain);
        self::assertSame(0.0, self::read(['vessel' => self::VASE])->tank->site->rain);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function faults(): iterable
    {
        yield 'no vessel' => [[], 'vessel.shape'];
        yield 'a measure is missing' => [['vessel' => ['shape' => 'cylinder', 'diameter' => 0.2, 'height' => 0.3]], 'vessel.glass'];
        yield 'an unknown measure' => [['vessel' => [...self::VASE, 'length' => 1]], 'vessel.length'];
        yield 'water over the rim' => [['vessel' => self::VASE, 'waterLine' => 0.9], 'waterLine'];
        yield 'an unknown water' => [['vessel' => self::VASE, 'water' => ['kind' => 'milk']], 'water.kind'];
        yield 'an unknown lamp' => [['vessel' => self::VASE, 'light' => 'bright'], 'light'];
        yield 'an unknown animal' => [['vessel' => self::VASE, 'animals' => [['kind' => 'dragon']]], 'animals.0.kind'];
        yield 'no animals at all' => [
            ['vessel' => self::VASE, 'animals' => [['kind' => 'heterandria-formosa', 'count' => 0]]],
            'animals.0.count',
        ];
        yield 'an unknown plant' => [['vessel' => self::VASE, 'plants' => ['wanted' => [['kind' => 'oak']]]], 'plants.wanted.0.kind'];
        yield 'wanted and unwanted' => [
            ['vessel' => self::VASE, 'plants' => ['wanted' => [['kind' => 'lemna-minor']], 'unwanted' => [['kind' => 'lemna-minor']]]],
            'plants.wanted',
        ];
        yield 'too many pieces' => [
            ['vessel' => self::VASE, 'plants' => ['onHand' => [['kind' => 'lemna-minor', 'pieces' => 5001]]]],
            'plants.onHand.0.pieces',
        ];
        yield 'an unknown taste' => [['vessel' => self::VASE, 'taste' => 'sweet'], 'taste'];
        yield 'an unknown key' => [['vessel' => self::VASE, 'colour' => 'blue'], 'colour'];
        yield 'an unknown key of the place' => [['vessel' => self::VASE, 'site' => ['colour' => 'blue']], 'site.colour'];
        yield 'no object' => [['vessel' => self::VASE, 'site' => ['no', 'object']], 'site'];
        yield 'too cold' => [['vessel' => self::VASE, 'site' => ['temperature' => -4]], 'site.temperature'];
        yield 'too many animals' => [
            ['vessel' => self::VASE, 'animals' => array_fill(0, Wish::MOST_KINDS + 1, ['kind' => 'heterandria-formosa'])],
            'animals',
        ];
    }

    /** @param array<string, mixed> $wished */
    #[DataProvider('faults')]
    public function testAFaultIsToldWithItsPlace(array $wished, string $place): void
    {
        try {
            self::read($wished);
            self::fail('it was read');
        } catch (InvalidPlan $refused) {
            self::assertArrayHasKey($place, $refused->messages(UnitSystem::Metric));
        }
    }

    public function testWhatIsNoWishIsRefused(): void
    {
        foreach (['{', '[]', '{"format": "olvek.plan", "version": 1}'] as $json) {
            try {
                (new WishDocument(Sample::catalogue()))->fromJson($json);
                self::fail('it was read');
            } catch (InvalidPlan $refused) {
                self::assertNotSame([], $refused->problems);
            }
        }
    }

    /** @param array<string, mixed> $wished */
    private static function read(array $wished): Wish
    {
        return (new WishDocument(Sample::catalogue()))->fromArray(
            ['format' => WishDocument::FORMAT, 'version' => WishDocument::VERSION, ...$wished],
        );
    }
}
