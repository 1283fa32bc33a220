<?php

declare(strict_types=1);

namespace Olvek\Core\Margin;

use Olvek\Core\Plan\Group;
use Olvek\Core\Unit\Decimal;
use Olvek\Core\Unit\Provenance;

/** Whether plants and bed take away what is fed: the biomass of animals that they carry without water changes. */
final class StockBalance implements Criterion
{
    /** Plants’ and roots’ share of the waste below which the keeper must export, and from which the tank carries itself. J. */
    private const LEAST = 0.3;
    private const GOOD = 0.7;
    /** Day from which the tank has settled. J. */
    private const SETTLED = 90;

    public static function margin(Outlook $outlook): Margin
    {
        $trace = $outlook->trace;
        $end = $outlook->lastDay();
        $from = min(max(self::SETTLED, $outlook->from + 30), intdiv($end, 2));
        // What is to be fed, not what was: where animals die, nobody goes on feeding, and that is no balance.
        $fed = $outlook->stocked ? $outlook->plan->feed->nitrogen() : 0.0;
        $stock = array_sum(array_map(static fn (Group $g): float => $g->biomass(), $outlook->plan->groups));
        if ($fed < 1e-6 || $stock <= 0) {
            return Margin::idle('stock', 'Stock balance', $stock > 0 ? 'not fed' : 'no animals', $stock > 0 ? 'Nothing is fed, so nothing piles up; see whether the animals find enough to eat.' : 'Add animals to see what the plants can carry.');
        }
        $taken = $trace->mean('taken', $from, $end + 1);
        $gas = $trace->mean('denitrified', $from, $end + 1);
        $share = ($taken + $gas) / $fed;
        $carried = Decimal::significant($stock * $share, 2);
        $have = Decimal::significant($stock, 2);
        $percent = Decimal::trimmed(100 * $share, 0)."\u{202F}%";

        return new Margin('stock', 'Stock balance', $share, self::LEAST, self::GOOD, null, $share, '%', Margin::text(min(9.99, $share), '%'), 'act below 30 %, good from 70 %',
            match (true) {
                $share < self::LEAST => "Plants and bed take up only $percent of what is fed: they carry some $carried g of animals, and there are $have g.",
                $share < self::GOOD => "Plants and bed take up $percent of what is fed; the rest builds up slowly or goes with water changes.",
                default => "Plants and bed take up $percent of what is fed: they carry the $have g of animals.",
            },
            [
                new Term('fed', Decimal::significant($fed, 2).' mg N a day', Provenance::Published, 'protein × 0.16: FAO 2003'),
                new Term('plants take from the water', Decimal::significant($taken, 2).' mg N a day', Provenance::Memory),
                new Term('turned to gas in the bed', Decimal::significant($gas, 2).' mg N a day', Provenance::Memory),
                new Term('animals', "$have g, carried $carried g"),
                new Term('mean of days', "$from to $end"),
            ]);
    }
}
