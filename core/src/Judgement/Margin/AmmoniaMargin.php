<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\Ion;
use Olvek\Core\Basis\Unit\Provenance;
use Olvek\Core\Nature\Water\Ammonia;
use Olvek\Core\Nature\Water\AmmoniaCriterion;

/**
 * Ammonia while animals are in: un-ionised against what harms fish, total against the published criterion and against what a drop test
 * shows.
 */
#[Judges(
    'Ammonia',
    Subject::Water,
    remedies: [
        Remedy::FastStems, Remedy::MoreStems, Remedy::Floaters, Remedy::LaterAnimals, Remedy::Sponge,
        Remedy::LessFood, Remedy::FewerAnimals, Remedy::DeeperCap,
    ],
)]
final class AmmoniaMargin implements Criterion
{
    /** mg NH3/L. P: EIFAC (1970), Report on ammonia and inland fisheries, Technical Paper 11. */
    private const SAFE_UNIONISED = 0.025;
    /** mg N/L that common drop tests just show. C: with animals in, ammonia should read 0. */
    public const TEST_SHOWS = 0.25;
    /** Twice what a test shows counts as failing. J. */
    public const TEST_ACT = 2 * self::TEST_SHOWS;

    public static function margin(Outlook $outlook): Margin
    {
        $c = $outlook->trace->columns;
        $worst = $outlook->from;
        $most = -1.0;
        for ($day = $outlook->from; $day <= $outlook->lastDay(); ++$day) {
            $ratio = self::ratio($c['ammonia'][$day], $c['unionised'][$day], $c['pHMost'][$day], $c['temperature'][$day]);
            if ($ratio > $most) {
                $most = $ratio;
                $worst = $day;
            }
        }
        $total = $c['ammonia'][$worst];
        $free = $c['unionised'][$worst];
        $chronic = AmmoniaCriterion::chronic($c['pHMost'][$worst], $c['temperature'][$worst]);
        [$peak, $peakDay] = $outlook->trace->highest('ammonia');
        $shown = Decimal::significant($total, 2).' mg N/L';
        $who = $outlook->stocked ? 'with animals in' : 'from day '.$outlook->from;

        return new Margin(
            MarginId::Ammonia,
            min(9.0, 1 / max(1e-9, $most)),
            1.0,
            2.0,
            $worst,
            $total,
            'mg N/L',
            Margin::text($total, 'mg N/L'),
            \sprintf('un-ionised at most %s; total never to show in a test', Margin::text(self::safeUnionised(), 'mg N/L')),
            match (true) {
                $most > 1 => "On day $worst ammonia stands at $shown $who: that harms them.",
                $most > 0.5 => "On day $worst ammonia comes up to $shown $who, enough for a test to show it.",
                default => "Ammonia never shows $who; at most $shown, on day $worst.",
            },
            [
                new Term('total ammonia, highest '.$who, $shown.', day '.$worst),
                new Term('as a test kit reads it', Decimal::significant(Ion::Ammonium->fromElement($total), 2).' mg/L as NH₄'),
                new Term(
                    'of it un-ionised, at most',
                    Decimal::significant($free, 2).' mg N/L',
                    Provenance::Published,
                    'Emerson and others 1975',
                ),
                new Term(
                    'harms fish from',
                    Decimal::significant(self::safeUnionised(), 2).' mg N/L un-ionised',
                    Provenance::Published,
                    'EIFAC 1970',
                ),
                new Term(
                    'chronic criterion at that pH',
                    Decimal::significant($chronic, 2).' mg N/L total',
                    Provenance::Published,
                    'US EPA 2013, EPA 822-R-13-001',
                ),
                new Term('a drop test shows', Decimal::significant(self::TEST_SHOWS, 2).' mg N/L', Provenance::CommonPractice),
                new Term('highest of the whole run', Decimal::significant($peak, 2).' mg N/L, day '.$peakDay),
            ],
        );
    }

    /** mg N/L of un-ionised ammonia that fish bear. */
    public static function safeUnionised(): float
    {
        return Ion::Ammonia->toElement(self::SAFE_UNIONISED);
    }

    /** Whether a test that shows so much (mg N/L in all) calls for a change of water on the day. */
    public static function isGrave(float $total, float $pH, float $celsius): bool
    {
        return $total * Ammonia::unionisedShare($pH, $celsius) > self::safeUnionised() || $total > self::TEST_ACT;
    }

    /** How many times the worst of the three limits is reached. */
    public static function ratio(float $total, float $free, float $pH, float $celsius): float
    {
        return max($free / self::safeUnionised(), $total / AmmoniaCriterion::chronic($pH, $celsius), $total / self::TEST_ACT);
    }
}
