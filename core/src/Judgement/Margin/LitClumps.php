<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\Provenance;
use Olvek\Core\Planning\Plan\Clump;

/** Whether each clump gets the light it needs: the share of its greatest growth that light and hours allow. */
#[Judges(
    'Light for plants',
    Subject::Plants,
    remedies: [Remedy::StrongerLamp, Remedy::LongerLight, Remedy::NoFloaters, Remedy::ShorterLight],
)]
final class LitClumps implements Criterion
{
    /**
     * Share of greatest growth below which a clump dwindles, and from which it thrives. J: breathing and shedding take some 8 %, twice that
     * leaves room for want of carbon.
     */
    public const LEAST = 0.09;
    public const GOOD = 0.2;
    /** °C below which plants rest. C: water under 10–12 °C. */
    public const RESTS = 12.0;

    public static function margin(Outlook $outlook): Margin
    {
        $trace = $outlook->trace;
        // Ferns, anubias and mosses hold on in any light (C), and what stands in the air has the room's.
        $asked = array_keys(array_filter($outlook->plan->clumps, static fn (Clump $c): bool => $c->standsOnFloor()));
        // What is too cold to grow rests, and wants little light.
        $lit = array_map(
            static fn (array $shares, float $celsius): array => $celsius < self::RESTS
                ? array_fill_keys(array_keys($shares), 1.0) : $shares,
            $trace->lit,
            $trace->columns['temperature'],
        );
        $darkest = $trace->leanest($lit, Outlook::SETTLING, $asked);
        if (null === $darkest) {
            return Margin::idle(MarginId::Light, 'no plants', 'There are no plants that light could fail.');
        }
        [$share, $clump, $day] = $darkest;
        $kind = $outlook->plan->clumps[$clump]->kind;
        $percent = Decimal::trimmed(100 * $share, 0)."\u{202F}%";
        $terms = [
            new Term('light on the water', Decimal::significant($trace->columns['light'][$day], 2).' mol/m² on day '.$day),
            new Term(
                'under floaters',
                Decimal::trimmed(100 * $trace->columns['cover'][$day], 0).' % of the surface',
                Provenance::Judgement,
                'a closed floating cover holds back 86 %',
            ),
            new Term('tannin', Decimal::significant($trace->columns['tannin'][$day], 2).' mg C/L', Provenance::Judgement),
        ];
        foreach ($outlook->plan->clumps as $i => $one) {
            $terms[] = new Term(
                $one->kind->common,
                \sprintf('grows at %s %% of its best', Decimal::trimmed(min(1, $trace->lit[$day][$i]) * 100, 0)),
                $one->kind->halfLight->provenance,
            );
        }

        return Margin::atLeast(
            MarginId::Light,
            $share,
            '%',
            self::LEAST,
            self::GOOD,
            $day,
            match (true) {
                $share < self::LEAST => "$kind->common gets too little light around day $day: it can grow at $percent of its best and "
                    .'will dwindle.',
                $share < self::GOOD => "$kind->common has the least light for its need, and around day $day grows at $percent of its best.",
                default => "Every clump is lit; $kind->common has the least for its need, $percent of its best growth around day $day.",
            },
            \array_slice($terms, 0, 12),
        );
    }
}
