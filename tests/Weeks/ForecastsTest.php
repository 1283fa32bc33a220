<?php

declare(strict_types=1);

namespace Olvek\Tests\Weeks;

use Olvek\Core\Keeping\Log\Log;
use Olvek\Core\Keeping\Log\Reading;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Nature\Water\Measure;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Service\Site\ResultCache;
use Olvek\Service\Weeks\Forecasts;
use Olvek\Service\Weeks\ForecastView;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Cache\Adapter\ArrayAdapter;

/** A forecast in parts: any order, any process; kept until something is written down. */
#[Group('any-database')]
final class ForecastsTest extends TestCase
{
    private ArrayAdapter $pool;

    protected function setUp(): void
    {
        $this->pool = new ArrayAdapter();
    }

    private function prospect(): Forecasts
    {
        return new Forecasts(new ResultCache($this->pool, 'build'));
    }

    private static function plan(): Plan
    {
        return Plan::starting('A box', Catalogue::shipped());
    }

    private static function log(float $ammonia): Log
    {
        return new Log(array_map(static fn (int $day): Reading => new Reading($day, Measure::Ammonia, $ammonia), [1, 3, 5]));
    }

    private static function band(?ForecastView $ahead): float
    {
        self::assertNotNull($ahead);

        return $ahead->best()->band(Measure::Ammonia, 5)[1];
    }

    public function testPartsMayComeInAnyOrderFromAnyProcess(): void
    {
        foreach ([3, 1, 8, 4, 6, 7, 5, 2] as $part) {
            self::assertSame(2 === $part, $this->prospect()->compute(self::plan(), self::log(0.5), 6, $part), "part $part");
        }
        $straight = new Forecasts(new ResultCache(new ArrayAdapter(), 'build'));
        self::assertSame(
            self::band(self::whole($straight, self::log(0.5), 6)),
            self::band($this->prospect()->known(self::plan(), self::log(0.5), 6)),
        );
    }

    public function testItIsKnownUntilSomethingIsWrittenDown(): void
    {
        self::assertNull($this->prospect()->known(self::plan(), self::log(0.5), 6));
        self::whole($this->prospect(), self::log(0.5), 6);
        self::assertNotNull($this->prospect()->known(self::plan(), self::log(0.5), 6));
        self::assertNotNull($this->prospect()->known(self::plan(), self::log(0.5), 5), 'the same week');
        self::assertNull($this->prospect()->known(self::plan(), self::log(0.5), 7), 'a new week is forecast a week farther');
        self::assertNull($this->prospect()->known(self::plan(), self::log(0.6), 6), 'another reading');
        self::assertNull($this->prospect()->known(self::plan()->withName('Another'), self::log(0.5), 6), 'another plan');
    }

    public function testReadingsMoveIt(): void
    {
        self::assertGreaterThan(
            self::band(self::whole($this->prospect(), self::log(0.0), 6)),
            self::band(self::whole($this->prospect(), self::log(1.5), 6)),
        );
    }

    public function testWithoutReadingsThereIsThePlanAlone(): void
    {
        $ahead = self::whole($this->prospect(), new Log(), 0);
        self::assertNotNull($ahead);
        self::assertNull($ahead->fit);
        self::assertNull($ahead->learned);
        self::assertSame(35, $ahead->best()->days(), 'four weeks beyond the first');
    }

    /** All parts, one after the other. */
    private static function whole(Forecasts $prospect, Log $log, int $today): ?ForecastView
    {
        for ($part = 0; $part < Forecasts::PARTS; ++$part) {
            $prospect->compute(self::plan(), $log, $today, $part);
        }

        return $prospect->known(self::plan(), $log, $today);
    }
}
