<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\Provenance;
use Olvek\Core\Nature\Water\Oxygen;
use Olvek\Core\Planning\Plan\Group;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\Stock;

/** The day's lowest oxygen, at the end of the night. */
#[Judges(
    'Dawn oxygen',
    Subject::Water,
    remedies: [
        Remedy::NoFloaters, Remedy::LessFood, Remedy::FewerAnimals, Remedy::ThinnerSoil, Remedy::Cooler,
        Remedy::LongerLight, Remedy::DeeperCap, Remedy::AirStone,
    ],
)]
final class DawnOxygen implements Criterion
{
    /** mg/L that most fish need, for tanks without any yet. M. */
    private const USUAL = 3.0;
    /** What those that breathe air can live with. J. */
    private const FOR_AIR_BREATHERS = 1.0;
    /**
     * Shares of what the neediest kind needs below which it fails, and from which it holds. J: a need is told for days on end, a dawn
     * passes.
     */
    private const LEAST = 0.8;
    private const GOOD = 1.2;
    /**
     * Share from which dawns hold in nine of ten tanks too: in one of ten they are 2 mg/L lower than in the likeliest. J: the bands of
     * composed plans.
     */
    public const SURE = 1.6;

    /** mg/L that the neediest of a tank's kinds needs. */
    public static function need(Stock $stock): float
    {
        $needs = array_map(
            static fn (Group $g): float => $g->kind->breathesAir ? self::FOR_AIR_BREATHERS : $g->kind->oxygen->value,
            $stock->groups,
        );

        return [] === $needs ? self::USUAL : max($needs);
    }

    /** @return array{float, float} mg/L below which a plan's dawns fail, and are tight; without a plan, what most fish need */
    public static function limits(?Plan $plan): array
    {
        $need = null === $plan ? self::USUAL : self::need($plan->stock());

        return [self::LEAST * $need, self::GOOD * $need];
    }

    public static function margin(Outlook $outlook): Margin
    {
        $need = self::need($outlook->present);
        [$act, $good] = self::limits($outlook->plan);
        $trace = $outlook->trace;
        [$least, $day] = $trace->lowest('oxygen', $outlook->from);
        $c = $trace->columns;
        $shown = Decimal::significant($least, 2).' mg/L';

        return Margin::atLeast(
            MarginId::Oxygen,
            $least,
            'mg/L',
            $act,
            $good,
            $day,
            match (true) {
                $least < $act => "At dawn on day $day only $shown of oxygen is left: fish will hang at the surface.",
                $least < $good => "Oxygen falls to $shown at dawn on day $day; hardy animals bear it.",
                default => "Oxygen never falls below $shown, at dawn on day $day.",
            },
            [
                new Term('lowest at dawn', "$shown, day $day"),
                new Term(
                    'full at that warmth',
                    Decimal::significant(Oxygen::saturation($c['temperature'][$day]), 2).' mg/L',
                    Provenance::Published,
                    'Benson & Krause 1984',
                ),
                new Term(
                    'surface under floaters',
                    Decimal::trimmed(100 * $c['cover'][$day], 0).' %, which hold back half the air’s share',
                    Provenance::Judgement,
                ),
                new Term('plants that breathe', Decimal::significant($c['plants'][$day], 2).' g dry'),
                new Term('mulm that rots', Decimal::significant($c['mulm'][$day], 2).' g carbon'),
                new Term('animals', Decimal::significant($c['animals'][$day], 2).' g'),
                new Term(
                    'the neediest kind needs',
                    Decimal::significant($need, 2).' mg/L; a dawn may take a fifth of that',
                    Provenance::Memory,
                ),
            ],
        );
    }
}
