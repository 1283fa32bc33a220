<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\Ion;
use Olvek\Core\Basis\Unit\Provenance;
use Olvek\Core\Nature\Plant\Growth;
use Olvek\Core\Nature\Plant\Handful;
use Olvek\Core\Planning\Plan\Group;

/**
 * How many times what is fed the tank would carry without water changes: what plants would keep and the keeper cut out if nitrogen were
 * ample, and what the bed would turn to gas at the nitrate that is still no worry, against food and soil.
 *
 * Read off the run of the plan as it is; Solve\MostFood finds the same number by trying, run by run; this is a third to one and a half
 * times that, mostly less.
 */
#[Judges(
    'Stock balance',
    Subject::Water,
    remedies: [
        Remedy::Floaters, Remedy::HousePlants, Remedy::MoreStems, Remedy::FastStems, Remedy::LessFood,
        Remedy::FewerAnimals, Remedy::WaterChanges, Remedy::LongerLight,
    ],
)]
final class StockBalance implements Criterion
{
    /** Times what is fed below which waste piles up, and from which there is room to spare. J. */
    private const LEAST = 0.8;
    public const GOOD = 1.2;
    /** Day from which the tank has settled. J. */
    private const SETTLED = 90;
    /** More than this nobody asks. J. */
    private const MOST = 20.0;

    public static function margin(Outlook $outlook): Margin
    {
        $trace = $outlook->trace;
        $end = $outlook->lastDay();
        $from = min(max(self::SETTLED, $outlook->from + 30), intdiv($end, 2));
        // What is to be fed, not what was: where animals die, nobody goes on feeding, and that is no balance.
        $fed = $outlook->stocked ? $outlook->plan->feed->nitrogen() : 0.0;
        $stock = array_sum(array_map(static fn (Group $g): float => $g->biomass(), $outlook->plan->groups));
        if ($fed < 1e-6 || $stock <= 0) {
            return Margin::idle(
                MarginId::Stock,
                $stock > 0 ? 'not fed' : 'no animals',
                $stock > 0
                    ? 'Nothing is fed, so nothing piles up; see whether the animals find enough to eat.'
                    : 'Add animals to see what the plants can carry.',
            );
        }
        $export = $trace->mean('exported', $from, $end + 1);
        $could = $trace->mean('exportable', $from, $end + 1);
        $gas = $trace->mean('denitrified', $from, $end + 1);
        $nitrate = max(0.05, $trace->mean('nitrate', $from, $end + 1));
        $most = Ion::Nitrate->toElement(Nitrate::START);
        $soil = max(0.0, ($trace->columns['soilNitrogen'][$from] - $trace->columns['soilNitrogen'][$end]) / max(1, $end - $from));
        $carries = max(0.0, min(self::MOST, ($could + $gas * max(1.0, $most / $nitrate) - $soil) / $fed));
        $piles = $trace->columns['nitrate'][$end] > $most;
        // Where nitrate has piled up already, it does not carry what it is fed, whatever leaves could still take.
        $carries = $piles ? min($carries, $most / $trace->columns['nitrate'][$end]) : $carries;
        $times = Decimal::significant($carries, 2).' ×';
        $grams = (($export * 7) / Growth::LEAF_NITROGEN) * 12;
        $cut = \sprintf('%s g wet a week, %s', Decimal::significant(max(0.0, $grams), 2), self::handfuls($grams));

        return new Margin(
            MarginId::Stock,
            $carries,
            self::LEAST,
            self::GOOD,
            null,
            $carries,
            '×',
            $carries >= self::MOST ? 'over '.self::MOST.' ×' : Margin::text($carries, '×'),
            Margin::bound(self::LEAST, self::GOOD, '×').' of what is fed',
            match (true) {
                $carries < self::LEAST => "Plants and bed carry only $times what you feed; the rest piles up as nitrate or must go with "
                    .'water changes.',
                $carries < self::GOOD => "Plants and bed carry about what you feed ($times), with nothing to spare.",
                default => "Plants and bed carry $times what you feed.",
            },
            [
                new Term('fed', Decimal::significant($fed, 2).' mg N a day', Provenance::Published, 'protein × 0.16: FAO 2003'),
                new Term('goes out with growth and cuttings', Decimal::significant($export, 2).' mg N a day', Provenance::Memory),
                new Term('to be cut out, so that it goes on', $cut, Provenance::Judgement),
                new Term('could go out were nitrogen ample', Decimal::significant($could, 2).' mg N a day', Provenance::Memory),
                new Term('turned to gas in the bed', Decimal::significant($gas, 2).' mg N a day', Provenance::Memory),
                new Term('comes from the soil', Decimal::significant($soil, 2).' mg N a day', Provenance::Memory),
                new Term('animals', Decimal::significant($stock, 2).' g'),
                new Term('mean of days', "$from to $end"),
            ],
        );
    }

    private static function handfuls(float $wet): string
    {
        $handfuls = max(0.0, $wet) / Handful::WET;

        return match (true) {
            $handfuls < 0.4 => 'a few tips',
            $handfuls < 1.5 => 'about a handful',
            default => 'some '.Decimal::trimmed($handfuls, 0).' handfuls',
        };
    }
}
