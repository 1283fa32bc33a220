<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Judgement\Solve;

use Olvek\Core\Judgement\Solve\Compose\Composer;
use Olvek\Core\Judgement\Solve\Compose\LampWish;
use Olvek\Core\Judgement\Solve\Compose\NearestWish;
use Olvek\Core\Judgement\Solve\Compose\Taste;
use Olvek\Core\Judgement\Solve\Compose\Wish;
use Olvek\Core\Judgement\Solve\Compose\WishDocument;
use Olvek\Core\Judgement\Solve\Compose\WishedAnimal;
use Olvek\Core\Judgement\Solve\Compose\WishSearch;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Tests\Said;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\TestCase;

/** Where no plan holds: the wish next to it for which one does. */
final class WishSearchTest extends TestCase
{
    /** @param array<string, mixed> $wish */
    private static function wish(array $wish): Wish
    {
        return (new WishDocument(Sample::catalogue()))->fromJson((string) json_encode([
            'format' => 'olvek.wish',
            'version' => 1,
            'vessel' => ['shape' => 'glass-box', 'length' => 0.6, 'width' => 0.3, 'height' => 0.36, 'glass' => 0.006],
            ...$wish,
        ]));
    }

    private static function search(): WishSearch
    {
        return new WishSearch(new Composer(new Editor(Sample::catalogue()), Sample::catalogue()));
    }

    public function testTheNearestWishHasAPlanThatHolds(): void
    {
        // A beetle that hunts shrimp, in rain water at 19 °C.
        $wish = self::wish([
            'vessel' => ['shape' => 'glass-box', 'length' => 0.45, 'width' => 0.3, 'height' => 0.3, 'glass' => 0.005],
            'waterLine' => 0.27,
            'water' => ['kind' => 'rain'],
            'site' => ['temperature' => 19, 'aspect' => 'north'],
            'animals' => [['kind' => 'palaemonetes-paludosus', 'count' => 9], ['kind' => 'hydrobius-fuscipes']],
        ]);
        $near = self::search()->nearest($wish, Taste::LeastMoney);
        self::assertInstanceOf(NearestWish::class, $near);
        self::assertLessThan(2, \count($near->wish->animals));
        self::assertNull(self::search()->nearest($near->wish, Taste::LeastMoney), 'what holds needs no other');
    }

    public function testALampIsTriedFirst(): void
    {
        $dark = self::wish(['light' => 'none', 'animals' => [['kind' => 'neocaridina-davidi']]]);
        $near = WishSearch::around($dark, [], []);
        self::assertSame('nearest.lamp', Said::plain($near[0]->message));
        self::assertSame([LampWish::Suggest, $dark->animals], [$near[0]->wish->lamp, $near[0]->wish->animals]);
        self::assertCount(1, WishSearch::around($near[0]->wish, [], []), 'only the shrimp are left to leave out');
    }

    /** Half as many before none; those that come to harm before others; all else stays as it was wished. */
    public function testOneThingIsChangedAtATime(): void
    {
        $wish = self::wish(['animals' => [
            ['kind' => 'neocaridina-davidi', 'count' => 10],
            ['kind' => 'tanichthys-albonubes', 'count' => 1],
            ['kind' => 'heterandria-formosa'],
        ]]);
        $near = WishSearch::around($wish, ['heterandria-formosa'], ['heterandria-formosa' => 8]);
        $said = array_map(static fn (NearestWish $n): string => Said::plain($n->message), $near);
        self::assertSame([
            'nearest.fewer(count: 4, kind: Least killifish)',
            'nearest.fewer(count: 5, kind: Cherry shrimp)',
            'nearest.without(kind: Least killifish)',
            'nearest.without(kind: Cherry shrimp)',
            'nearest.without(kind: White cloud)',
        ], $said);
        $counts = static fn (NearestWish $n): array => array_map(static fn (WishedAnimal $a): ?int => $a->count, $n->wish->animals);
        self::assertSame([10, 1, 4], $counts($near[0]));
        self::assertSame([10, 1], $counts($near[2]));
        self::assertSame($wish->tank, $near[0]->wish->tank);
    }
}
