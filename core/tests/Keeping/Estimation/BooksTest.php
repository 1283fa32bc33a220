<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Keeping\Estimation;

use Olvek\Core\Keeping\Estimation\Books;
use Olvek\Core\Keeping\Estimation\Estimator;
use Olvek\Core\Keeping\Log\Log;
use Olvek\Core\Keeping\Log\LoggedEvent;
use Olvek\Core\Nature\Plant\Handful;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\TestCase;

/** Where nitrogen came from and went: by hand where it can be counted, and nothing lost. */
final class BooksTest extends TestCase
{
    /** @param list<LoggedEvent> $events */
    private static function books(array $events, int $from, int $to): Books
    {
        $plan = Sample::edit(Sample::planted(), ['feeding.grams' => '0.1', 'feeding.protein' => '50', 'feeding.fromDay' => '30']);
        $log = new Log([], [new LoggedEvent(28, EventKind::Stock, 10, 'a1'), ...$events]);

        return (new Estimator($plan, $log, 120))->books([[]], $from, $to);
    }

    public function testFoodIsWhatWasFedTimesItsNitrogen(): void
    {
        $books = self::books([], 40, 69);
        // 30 days of 0.1 g, half protein, of which 0.16 is nitrogen (Jones factor 6.25): 240 mg.
        self::assertEqualsWithDelta(240.0, $books->food, 1.0);
        self::assertEqualsWithDelta(3.0, $books->fed, 0.01);
        self::assertSame([40, 69], [$books->from, $books->to]);
    }

    public function testWhatIsCutGoesOutByTheHandful(): void
    {
        $cut = [
            new LoggedEvent(60, EventKind::Trim, 0.5, 'c1'),
            new LoggedEvent(65, EventKind::Fertilise, 2.0),
            new LoggedEvent(66, EventKind::Change, 0.4),
        ];
        $books = self::books($cut, 50, 80);
        $none = self::books([], 50, 55);
        self::assertSame([1, 0], [$books->cuts, $none->cuts]);
        self::assertGreaterThan(5.0, $books->cutGrams);
        self::assertEqualsWithDelta($books->cutGrams / Handful::WET, $books->handfuls(), 1e-9);
        self::assertEqualsWithDelta($books->cut / $books->food, $books->cutShare() ?? 0.0, 1e-9);
        self::assertEqualsWithDelta(2.0 * Sample::planted()->netWater(), $books->fertilised, 0.06 * 2.0 * Sample::planted()->netWater());
        self::assertNotSame(0.0, $books->changed);
        // Before the cut nothing went, though usual care would have: who logs cuts has made no others.
        self::assertSame(0.0, self::books($cut, 50, 59)->cutGrams);
        self::assertNull(self::books([], 1, 20)->cutShare());
    }

    public function testNothingIsLost(): void
    {
        $books = self::books([], 40, 100);
        // All that came in went out, into plants or soil, or into the rest: the rest is no large share of it.
        self::assertEqualsWithDelta(
            $books->food + $books->fertilised + $books->changed,
            $books->cut + $books->gas + $books->plants + $books->soil + $books->rest,
            1e-6,
        );
        self::assertLessThan(0.0, $books->soil, 'the soil gives');
    }

    public function testStretchesAddUp(): void
    {
        $cut = [new LoggedEvent(60, EventKind::Trim, 0.5, 'c1')];
        [$whole, $one, $two] = [self::books($cut, 30, 90), self::books($cut, 30, 60), self::books($cut, 61, 90)];
        foreach (['food', 'cut', 'gas', 'plants', 'soil', 'cutGrams'] as $of) {
            self::assertEqualsWithDelta($whole->{$of}, $one->{$of} + $two->{$of}, 1e-6, $of);
        }
    }
}
