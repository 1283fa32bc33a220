<?php

declare(strict_types=1);

namespace Olvek\Page\Today;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Judgement\Start\Expected;
use Olvek\Core\Judgement\Start\FirstWeeks;
use Olvek\Core\Judgement\Start\TankToday;
use Olvek\Core\Keeping\Care\LightPlan;
use Olvek\Core\Keeping\Fitting\Fit;
use Olvek\Core\Keeping\Fitting\Tuned;
use Olvek\Core\Keeping\Log\Log;
use Olvek\Core\Keeping\Log\TestKit;
use Olvek\Core\Nature\Water\Measure;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Account\Today;
use Olvek\Service\Editing\TankEditor;
use Olvek\Service\Tank\Tank;
use Olvek\Service\Tank\TankRepository;
use Olvek\Service\Weeks\Forecasts;

/** Gathers what a tank's page shows of its first weeks. */
final readonly class WeeksPage
{
    /** What is tested in the first weeks; all else stands behind a fold. */
    private const USUAL = [Measure::Ammonia, Measure::Nitrite, Measure::Nitrate, Measure::Acidity];

    public function __construct(
        private TankRepository $tanks,
        private TankEditor $editor,
        private Forecasts $prospect,
        private Today $today,
    ) {
    }

    /**
     * @param TankToday|null        $situation null before it was filled
     * @param array<string, string> $typed
     * @param array<string, string> $errors
     *
     * @return array<string, mixed>
     */
    public function all(Tank $tank, Keeper $keeper, ?TankToday $situation, array $typed = [], array $errors = []): array
    {
        $common = [
            'tank' => $tank,
            'plan' => $this->editor->plan($this->tanks->head($tank)),
            'units' => $keeper->units(),
            'kit' => $keeper->kit(),
            'typed' => $typed,
            'errors' => $errors,
            'situation' => $situation,
            'today' => $this->today->of($keeper),
            'fields' => self::fields(self::USUAL, $keeper),
            'others' => self::fields(
                array_values(array_filter(Measure::ofWater(), static fn (Measure $m): bool => !\in_array($m, self::USUAL, true))),
                $keeper,
            ),
            'ions' => array_map(
                static fn (Measure $m): array => [
                    'id' => $m->value,
                    'label' => $m->label(),
                    'counts' => $keeper->kit()->counts($m),
                    'choices' => array_map(
                        static fn (string $ion): array => ['id' => $ion, 'text' => TestKit::ionText($ion)],
                        TestKit::choices($m),
                    ),
                ],
                [Measure::Ammonia, Measure::Nitrite, Measure::Nitrate],
            ),
        ];
        if (null === $situation) {
            // What will be asked, once days are counted.
            return [...$common, 'weeks' => FirstWeeks::of(new TankToday($common['plan'], new Log(), 0, $keeper->kit()))];
        }
        $light = LightPlan::of($situation->plan, $situation->log);
        $weeks = FirstWeeks::of($situation);
        $filled = $tank->filledOn();

        return [
            ...$common,
            'weeks' => $weeks,
            'filled' => $filled,
            'testOn' => $filled?->modify("+$weeks->nextTest days"),
            'light' => $light,
            'lamp' => LightPlan::on($light, $situation->today),
            'coming' => LightPlan::within($light, $situation->today + 1, $situation->today + 7),
            'ahead' => $this->forecast($tank, $situation),
            'parts' => Forecasts::PARTS,
            'forecastable' => $situation->today <= Forecasts::LAST_DAY,
        ];
    }

    /** @return array<string, mixed>|null what is shown of the days ahead; null while it is not known */
    public function forecast(Tank $tank, TankToday $situation): ?array
    {
        if ($situation->today > Forecasts::LAST_DAY) {
            return null;
        }
        $ahead = $this->prospect->known($situation->plan, $situation->log, $situation->today);
        if (null === $ahead) {
            return null;
        }
        $surprises = [];
        foreach ($situation->log->readings as $reading) {
            $stands = $reading->measure->isNitrogen() && $reading->day < $ahead->planned->days() ? $ahead->planned->stands($reading) : 0;
            if (0 !== $stands) {
                $surprises[$reading->measure->value] = [
                    'reading' => $reading,
                    'shown' => $situation->kit->show($reading->measure, $reading->value),
                    'above' => $stands > 0,
                    'expected' => self::between(
                        $situation->kit->figure($reading->measure, $ahead->planned->band($reading->measure, $reading->day)[0]),
                        $situation->kit->figure($reading->measure, $ahead->planned->band($reading->measure, $reading->day)[2]),
                    ),
                    'explained' => 0 === $ahead->best()->stands($reading),
                ];
            }
        }
        $fit = $ahead->fit;
        $expected = Expected::of($situation, $ahead->best());

        return [
            'chart' => ForecastChart::of($ahead, $situation->log, $situation->kit, $situation->today),
            'surprises' => $surprises,
            'expected' => $expected,
            'moves' => [] !== array_filter($expected, static fn (Expected $e): bool => 0 !== $e->moves()),
            'fit' => $fit,
            'base' => $tank->head(),
            'distance' => null === $fit
                    ? null
                    : [
                        'before' => Decimal::significant(Fit::distance($fit->before), 2),
                        'after' => Decimal::significant(Fit::distance($fit->after), 2),
                    ],
            'residuals' => null === $fit
                    ? []
                    : array_map(
                        static fn (array $r): array => [
                            'day' => $r[0]->day,
                            'measure' => $r[0]->measure->label(),
                            'read' => $situation->kit->figure($r[0]->measure, $r[0]->value),
                            'planned' => $situation->kit->figure($r[0]->measure, $r[1]),
                            'learned' => $situation->kit->figure($r[0]->measure, $r[2]),
                        ],
                        $fit->readings,
                    ),
            'learned' => null === $fit
                    ? []
                    : array_map(
                        static fn (Tuned $t): array => [
                            'words' => $t->words(),
                            'factor' => $fit->factors[$t->value],
                            'range' => $fit->range($t),
                            'told' => !\in_array($t, $fit->untold(), true),
                        ],
                        Tuned::cases(),
                    ),
        ];
    }

    /**
     * @param list<Measure> $measures
     *
     * @return list<array{id: string, label: string, sign: string}>
     */
    private static function fields(array $measures, Keeper $keeper): array
    {
        return array_map(
            static fn (Measure $m): array => [
                'id' => $m->value,
                'label' => $m->label(),
                'sign' => $keeper->kit()->unit($m, $keeper->units()),
            ],
            $measures,
        );
    }

    private static function between(string $low, string $high): string
    {
        return $low === $high ? $low : "$low to $high";
    }
}
