<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Basis\Unit;

use Olvek\Core\Basis\Field\InvalidValue;
use Olvek\Core\CoreException;
use Olvek\Core\Keeping\Log\LogBuilder;
use Olvek\Core\Keeping\Log\Reading;
use Olvek\Core\Nature\Vessel\Bowl;
use Olvek\Core\Nature\Vessel\GlassBox;
use Olvek\Core\Nature\Vessel\TiltedFlask;
use Olvek\Core\Nature\Vessel\VesselShape;
use Olvek\Core\Nature\Water\Measure;
use Olvek\Core\Planning\Event\Feed;
use Olvek\Core\Planning\Event\ThinFloaters;
use Olvek\Core\Planning\Event\Trim;
use Olvek\Core\Planning\Plan\Site;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Values that cannot be never come to exist, and whatever the core refuses bears one mark. */
final class ValuesTest extends TestCase
{
    /** @return iterable<string, array{\Closure(): object}> */
    public static function impossible(): iterable
    {
        yield 'a box of less than nothing' => [static fn () => new GlassBox(-1, 0, \NAN, 9)];
        yield 'a box a little too short' => [static fn () => new GlassBox(0.0799, 0.3, 0.36, 0.006)];
        yield 'a box a little too long' => [static fn () => new GlassBox(5.001, 0.3, 0.36, 0.006)];
        yield 'a bowl without end' => [static fn () => new Bowl(\INF, 0.2, 0.1, 0.003)];
        yield 'a flask of thin air' => [static fn () => new TiltedFlask(0.3, 0.05, 0.0)];
        yield 'a site hotter than any' => [static fn () => new Site(900)];
        yield 'a site by day 0' => [static fn () => new Site(24, filledOn: 0)];
        yield 'air colder than it may be told' => [static fn () => new Site(24, room: 4.9)];
        yield 'a reading that is no number' => [static fn () => new Reading(4, Measure::Acidity, \NAN)];
        yield 'a reading before the filling' => [static fn () => new Reading(-4, Measure::Acidity, 7)];
        yield 'a pH of 11.1' => [static fn () => new Reading(4, Measure::Acidity, 11.1)];
        yield 'a cut before the filling' => [static fn () => new Trim(-1, 'nobody', 0.5)];
        yield 'a cut of more than all' => [static fn () => new Trim(1, 'nobody', 7)];
        yield 'food taken out' => [static fn () => new Feed(1, -9)];
        yield 'a cover of twice the surface' => [static fn () => new ThinFloaters(2.0, 0.5)];
    }

    /** @param \Closure(): object $make */
    #[DataProvider('impossible')]
    public function testWhatCannotBeIsNotMade(\Closure $make): void
    {
        $this->expectException(InvalidValue::class);
        $make();
    }

    public function testWhatJustCanBeIsMade(): void
    {
        new GlassBox(0.08, 0.08, 0.08, 0.002);
        new GlassBox(5, 5, 5, 0.03);
        new Site(2.0, room: 0.0);
        new Site(38.0, room: 5.0);
        new Reading(0, Measure::Acidity, 11.0);
        new Trim(0, 'c1', 1.0);
        self::assertSame(['length', 'glass'], self::names(static fn () => new GlassBox(-1, 0.3, 0.3, 9)));
    }

    /**
     * @param \Closure(): object $make
     *
     * @return list<string>
     */
    private static function names(\Closure $make): array
    {
        try {
            $make();
        } catch (InvalidValue $invalid) {
            return $invalid->names;
        }

        return [];
    }

    /** Every shape checks itself, whichever it is. */
    public function testEveryShapeChecksItself(): void
    {
        foreach (VesselShape::cases() as $shape) {
            foreach ($shape->measures() as $wrong) {
                $measures = [...array_fill_keys($shape->measures(), 0.01), $wrong => -1.0];
                try {
                    $shape->make($measures);
                    self::fail("$shape->value with $wrong -1");
                } catch (InvalidValue $invalid) {
                    self::assertContains($wrong, $invalid->names, $shape->value);
                }
            }
        }
    }

    /** What an old logbook may hold is left out, and loses nothing else. */
    public function testALogLeavesOutWhatCannotBe(): void
    {
        $builder = new LogBuilder();
        self::assertFalse($builder->add(3, LogBuilder::READING, 'ph', 70.0, null));
        self::assertFalse($builder->add(3, LogBuilder::DONE, 'feed', -1.0, null));
        self::assertTrue($builder->add(3, LogBuilder::READING, 'ph', 7.0, null));
        self::assertCount(1, $builder->log()->readings);
        self::assertSame([], $builder->log()->events);
    }

    /** One mark by which a caller catches whatever the core refuses. */
    public function testEveryExceptionOfTheCoreBearsItsMark(): void
    {
        $found = 0;
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator(\dirname(__DIR__, 3).'/src')) as $file) {
            \assert($file instanceof \SplFileInfo);
            $class = 'Olvek\\Core\\'.strtr(substr($file->getPathname(), \strlen(\dirname(__DIR__, 3).'/src/'), -4), '/', '\\');
            if ('php' === $file->getExtension() && class_exists($class) && is_subclass_of($class, \Throwable::class)) {
                ++$found;
                self::assertTrue(is_subclass_of($class, CoreException::class), $class);
            }
        }
        self::assertGreaterThanOrEqual(6, $found);
    }
}
