<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\Provenance;
use Olvek\Core\Nature\Bed\MaterialRole;
use Olvek\Core\Nature\Bed\Mix;
use Olvek\Core\Nature\Bed\Release;
use Olvek\Core\Nature\Bed\Side;

/** Whether the cap holds the soil back: at least as deep as the soil, front and back. C; better twice as deep. */
#[Judges(
    'Cap over soil',
    Subject::Practice,
    remedies: [Remedy::DeeperCap, Remedy::ThinnerSoil],
    voice: Voice::Practice,
)]
final class CapOverSoil implements Criterion
{
    /** Cap over soil, as depths: what may just do (J), and as deep as the soil (C). */
    private const LEAST = 0.8;
    private const GOOD = 1.0;
    /** mg of flush nitrogen per L below which a bed material needs no holding back: baked clay, sand. J. */
    private const HARMLESS = 3.0;
    /** Shown where there is no soil to hold back. */
    private const NO_SOIL = 3.0;

    public static function margin(Outlook $outlook): Margin
    {
        $plan = $outlook->plan;
        $units = $outlook->units;
        $soil = $plan->bed->soil;
        $cap = $plan->bed->cap;
        if (null === $soil || 0.0 === $soil->front + $soil->back) {
            return Margin::idle(MarginId::Cap, 'no soil', 'There is no soil to hold back; the bed feeds no roots either.');
        }
        if ($soil->mix->isGranular()) {
            return Margin::idle(MarginId::Cap, 'none needed', 'Granules hold themselves: they are laid as they are, without a cap.');
        }
        if ($soil->mix->flushNitrogenPerLitre() < self::HARMLESS) {
            return Margin::idle(
                MarginId::Cap,
                'none needed',
                'What lies below gives off next to nothing, so the cap need not hold it back.',
            );
        }
        $release = new Release($plan->bed, $plan->vessel);
        $share = self::soilShare($soil->mix);
        $ratios = [];
        foreach (Side::cases() as $side) {
            // Of a blend only what is soil counts: gravel in it holds itself.
            $depth = $share * $soil->depth($side);
            $ratios[$side->value] = $depth > 0 ? ($cap?->depth($side) ?? 0.0) / $depth : self::NO_SOIL;
        }
        $thinnest = $ratios['front'] <= $ratios['back'] ? Side::Front : Side::Back;
        $worst = $thinnest->value;
        $ratio = $ratios[$worst];
        [$soilHere, $capHere] = [$soil->depth($thinnest), $cap?->depth($thinnest) ?? 0.0];
        foreach ($plan->bed->zones as $zone) {
            $depth = self::soilShare(null === $zone->soilKind ? $soil->mix : Mix::pure($zone->soilKind)) * $zone->soil;
            if ($depth > 0 && $zone->cap / $depth < $ratio) {
                [$ratio, $worst, $soilHere, $capHere] = [$zone->cap / $depth, $zone->purpose->words(), $zone->soil, $zone->cap];
            }
        }
        $soilThere = $units->show(Dimension::Length, $soilHere);
        $capThere = $units->show(Dimension::Length, $capHere);
        $flush = $release->atFilling() / $plan->netWater();

        return Margin::atLeast(
            MarginId::Cap,
            $ratio,
            '×',
            self::LEAST,
            self::GOOD,
            0,
            match (true) {
                $ratio < self::LEAST => "At the $worst $capThere of cap lies on $soilThere of soil: the soil will come through.",
                $ratio < self::GOOD => "At the $worst the cap ($capThere) is a little thinner than the soil ($soilThere).",
                $ratio < 2 => "The cap is as deep as the soil or deeper ($capThere on $soilThere at the $worst).",
                default => "The cap is twice the soil or more ($capThere on $soilThere at the $worst); next to nothing comes through.",
            },
            [
                new Term(
                    'soil, front and back',
                    $units->show(Dimension::Length, $soil->front).' and '.$units->show(Dimension::Length, $soil->back),
                ),
                new Term(
                    'cap, front and back',
                    $units->show(Dimension::Length, $cap->front ?? 0.0).' and '.$units->show(Dimension::Length, $cap->back ?? 0.0),
                ),
                new Term('cap wanted', 'as deep as the soil; twice is better', Provenance::CommonPractice),
                new Term('ammonia pushed out at filling', Decimal::significant($flush, 2).' mg N/L', Provenance::Judgement),
                new Term(
                    'leaves the soil on day 14',
                    Decimal::significant($outlook->trace->columns['leak'][min(14, $outlook->lastDay())], 2).' mg N a day',
                    Provenance::Judgement,
                    'stirring and sorption are judgement; diffusion: Boudreau 1996, Li & Gregory 1974',
                ),
            ],
        );
    }

    /** Share (0–1) of a mix that is soil. */
    private static function soilShare(Mix $mix): float
    {
        return array_sum(
            array_map(
                static fn (array $part): float => MaterialRole::Soil === $part[0]->role
                && $part[0]->flushNitrogen->value * $part[0]->density->value >= self::HARMLESS
                    ? $part[1]
                    : 0.0,
                $mix->shares,
            ),
        );
    }
}
