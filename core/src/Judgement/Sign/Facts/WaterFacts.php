<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Sign\Facts;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Judgement\Margin\AmmoniaMargin;
use Olvek\Core\Judgement\Margin\DawnOxygen;
use Olvek\Core\Judgement\Margin\Nitrite;
use Olvek\Core\Judgement\Sign\Finding;
use Olvek\Core\Judgement\Sign\Level;
use Olvek\Core\Judgement\Sign\Source;
use Olvek\Core\Judgement\Sign\TankCase;
use Olvek\Core\Keeping\Log\Reading;
use Olvek\Core\Nature\Water\Measure;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Plan\Movement;

/** The water of these days. */
final class WaterFacts
{
    /**
     * From where a fact about the water is not so, to where it plainly is; mg/L, nitrogen as N and phosphorus as P, hardness in °dH.
     *
     * Nitrate, phosphate, iron, potassium: M, near the concentrations at which uptake by water plants is at half speed (0.1–0.5 mg N,
     * 0.02–0.1 mg P, 0.02–0.1 mg Fe, 1–3 mg K). Nitrate high: C, 30–50 mg/L as NO₃ and more. Hardness, acid: C. Carbon dioxide: M, half
     * saturation of leaves that live on free CO2, 0.5–2 mg/L. Rise of pH over the day: J.
     */
    private const LIMITS = [
        'nitrate-low' => [1.2, 0.3],
        'nitrate-high' => [6.0, 12.0],
        'phosphate-low' => [0.1, 0.02],
        'iron-low' => [0.1, 0.03],
        'potassium-low' => [3.0, 1.0],
        'soft-water' => [6.0, 3.0],
        'hard-water' => [12.0, 18.0],
        'acid' => [6.6, 6.0],
        'carbon-short' => [2.0, 0.5],
        'ph-swing' => [0.5, 1.2],
        'warm' => [26.0, 28.5],
    ];
    /** °C within a day, or between two readings of four days, that are none and plainly a jump. J. */
    private const JUMP = [1.5, 4.0];
    private const JUMPS_WITHIN = 4;
    private const RECENT = 7;
    /** Share of the water that is a large change. C: a third and more. */
    private const MUCH = [0.25, 0.45];
    private const CHANGED = 3;
    /** How far a surface that is only rippled lies still. J. */
    private const RIPPLED = 0.3;
    /** How much of the wood's and leaves' tannin colours the water, mg C/L: from none to plain. J. */
    private const BROWN = [1.0, 4.0];

    /** @return list<Finding> */
    public static function of(TankCase $case): array
    {
        $ammonia = $case->level(Measure::Ammonia, 'ammonia', 'ammonia');
        $nitrite = $case->level(Measure::Nitrite, 'nitrite', 'nitrite');
        $hardness = $case->level(Measure::GeneralHardness, 'generalHardness', 'GH');
        $nitrate = $case->level(Measure::Nitrate, 'nitrate', 'nitrate');
        $of = static fn (string $fact, Level $level): Finding => $level->finding($fact, ...self::LIMITS[$fact]);
        $temperature = $case->level(Measure::Temperature, 'temperature', 'the water');

        return [
            $ammonia->finding('ammonia-shows', AmmoniaMargin::TEST_SHOWS / 3, AmmoniaMargin::TEST_SHOWS),
            $nitrite->finding('nitrite-shows', Nitrite::WATCH / 2, Nitrite::WATCH * 1.5),
            $of('nitrate-low', $nitrate),
            $of('nitrate-high', $nitrate),
            $of('phosphate-low', $case->level(Measure::Phosphate, 'phosphate', 'phosphate')),
            $of('iron-low', $case->level(Measure::Iron, 'iron', 'iron')),
            $of('potassium-low', $case->level(null, 'potassium', 'potassium')),
            $of('soft-water', $hardness),
            $of('hard-water', $hardness),
            $of('acid', $case->level(Measure::Acidity, 'pH', 'pH')),
            self::carbon($case),
            self::swing($case),
            self::oxygen($case),
            $of('warm', $temperature),
            ...self::jump($case),
            self::surface($case),
            $case->level(null, 'tannin', 'tannin')->finding('brown-source', ...self::BROWN),
            ...self::changed($case),
            self::added($case),
        ];
    }

    private static function added(TankCase $case): Finding
    {
        $adds = $case->plan->care->gas > 0 || $case->plan->care->trickle > 0;

        return new Finding(
            'carbon-added',
            $adds ? 1.0 : 0.0,
            $adds ? 'The plan adds carbon dioxide' : 'The plan adds no carbon dioxide',
            $case->byPlan(),
        );
    }

    private static function carbon(TankCase $case): Finding
    {
        $level = $case->level(null, 'carbonDioxide', 'carbon dioxide while the light is on');

        return $level->finding('carbon-short', ...self::LIMITS['carbon-short']);
    }

    private static function swing(TankCase $case): Finding
    {
        $dawn = $case->level(Measure::AcidityAtDawn, 'pHLeast', 'pH at dawn');
        $dusk = $case->level(Measure::AcidityAtDusk, 'pHMost', 'pH at dusk');

        return new Finding(
            'ph-swing',
            Finding::ramp($dusk->value - $dawn->value, ...self::LIMITS['ph-swing']),
            \sprintf(
                '%s pH goes from %s at dawn to %s at dusk',
                Source::Read === $dawn->source ? 'By your readings,' : 'By the run,',
                Decimal::trimmed($dawn->value, 1),
                Decimal::trimmed($dusk->value, 1),
            ),
            Source::Read === $dawn->source && Source::Read === $dusk->source ? Source::Read : $case->byRun(),
            $case->day,
        );
    }

    private static function oxygen(TankCase $case): Finding
    {
        [$act, $good] = DawnOxygen::limits($case->plan);
        [$least, $on] = [\INF, $case->day];
        for ($day = max(0, $case->day - TankCase::WINDOW + 1); $day <= $case->day; ++$day) {
            if ($case->trace->columns['oxygen'][$day] < $least) {
                [$least, $on] = [$case->trace->columns['oxygen'][$day], $day];
            }
        }

        return new Finding(
            'oxygen-low',
            Finding::ramp($least, $good, $act),
            \sprintf(
                'By the run, %s mg/L of oxygen were left at dawn on day %d; they need %s',
                Decimal::significant($least, 2),
                $on,
                Decimal::significant(DawnOxygen::need($case->plan->stock()), 2),
            ),
            $case->byRun(),
            $on,
        );
    }

    /** @return list<Finding> */
    private static function jump(TankCase $case): array
    {
        $read = array_values(array_filter(
            $case->log->readings,
            static fn (Reading $r): bool => Measure::Temperature === $r->measure && $r->day > $case->day - 2 * self::RECENT,
        ));
        $most = 0.0;
        $words = null;
        foreach ($read as $n => $one) {
            $before = $read[$n - 1] ?? null;
            if (null === $before || $one->day - $before->day > self::JUMPS_WITHIN || $one->day <= $case->day - self::RECENT) {
                continue;
            }
            if (abs($one->value - $before->value) >= $most) {
                $most = abs($one->value - $before->value);
                $words = \sprintf(
                    'The water was read at %s on day %d and %s on day %d',
                    $case->kit->show(Measure::Temperature, $before->value, $case->units),
                    $before->day,
                    $case->kit->show(Measure::Temperature, $one->value, $case->units),
                    $one->day,
                );
            }
        }

        return null === $words
            ? []
            : [new Finding('temperature-jump', Finding::ramp($most, ...self::JUMP), $words, Source::Read, $case->day)];
    }

    private static function surface(TankCase $case): Finding
    {
        $site = $case->plan->site;
        $still = Movement::Still === $site->movement && !$case->plan->equipment->moves();

        return new Finding(
            'still-surface',
            $still ? 1.0 : (Movement::Rippled === $site->movement && !$case->plan->equipment->moves() ? self::RIPPLED : 0.0),
            $still ? 'By the plan, nothing moves the water' : 'By the plan, the water is moved',
            $case->byPlan(),
        );
    }

    /** @return list<Finding> */
    private static function changed(TankCase $case): array
    {
        $changes = $case->lately(EventKind::Change, self::CHANGED);
        $share = array_sum(array_map(static fn ($e): float => $e->amount, $changes));
        $words = [] === $changes
            ? \sprintf('The logbook has no change of water in the last %d days', self::CHANGED)
            : \sprintf('%s %% of the water was changed on day %d', Decimal::trimmed(100 * $share, 0), end($changes)->day);
        $day = [] === $changes ? null : end($changes)->day;

        return [
            new Finding('water-changed', [] === $changes ? 0.0 : 1.0, $words, Source::Logged, $day),
            new Finding('much-water-changed', Finding::ramp($share, ...self::MUCH), $words, Source::Logged, $day),
        ];
    }
}
