<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\Provenance;
use Olvek\Core\Planning\Plan\Clump;
use Olvek\Core\Planning\Plan\Plan;

/** How much of the floor is planted on day one. C: 50–75 %. */
#[Judges(
    'Planted floor',
    Subject::Practice,
    remedies: [Remedy::MoreStems, Remedy::FastStems],
    voice: Voice::Practice,
)]
final class PlantedShare implements Criterion
{
    private const LEAST = 0.4;
    private const GOOD = 0.5;
    /** Days within which what is planted counts as planted at the start. C: sensitive kinds follow after a week or two. */
    private const SOON = 14;

    public static function of(Plan $plan): float
    {
        $planted = array_sum(
            array_map(
                static fn (Clump $c): float => $c->kind->role->coversFloor() && $c->day <= self::SOON ? $c->area() : 0.0,
                $plan->clumps,
            ),
        );

        return min(1.0, $planted / $plan->floor());
    }

    public static function margin(Outlook $outlook): Margin
    {
        $plan = $outlook->plan;
        $share = self::of($plan);
        $percent = Decimal::trimmed($share * 100, 0)."\u{202F}%";
        $terms = [];
        foreach ($plan->clumps as $clump) {
            if ($clump->kind->role->coversFloor() && $clump->day <= self::SOON) {
                $terms[] = new Term(
                    \sprintf('%d × %s', $clump->pieces, $clump->kind->common),
                    Decimal::trimmed($clump->area() * 1e4, 0).' cm²',
                    $clump->kind->spread->provenance,
                );
            }
        }
        $terms[] = new Term('floor', Decimal::trimmed($plan->floor() * 1e4, 0).' cm²');
        $terms[] = new Term('wanted on day one', '50–75 %', Provenance::CommonPractice);

        return Margin::atLeast(
            MarginId::Planted,
            $share,
            '%',
            self::LEAST,
            self::GOOD,
            0,
            match (true) {
                0.0 === $share => 'Nothing is rooted in the floor yet.',
                $share < self::LEAST => "Only $percent of the floor is planted; half or more keeps a new tank steady.",
                $share < self::GOOD => "$percent of the floor is planted, just short of half.",
                default => "$percent of the floor is planted on day one.",
            },
            $terms,
        );
    }
}
