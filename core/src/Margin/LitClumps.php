<?php

declare(strict_types=1);

namespace Olvek\Core\Margin;

use Olvek\Core\Plan\Plan;
use Olvek\Core\Plant\Growth;
use Olvek\Core\Unit\Decimal;
use Olvek\Core\Unit\Provenance;

/** Whether each clump gets the light it needs: the share of its greatest growth that light and hours allow. */
final class LitClumps
{
    /** Share of greatest growth below which a clump dwindles, and from which it thrives. J: respiration takes 10–15 %. */
    private const LEAST = 0.15;
    private const GOOD = 0.3;

    public static function margin(Plan $plan): Margin
    {
        $light = ClumpLight::onDay($plan, 28);
        $worst = null;
        $least = 1.0;
        $terms = [
            new Term('on the water', Decimal::trimmed($light->surface, 0).' µmol/m²/s', Provenance::Memory, 'lumens / 70 × share that lands'),
            new Term('on the bed, no plants above', Decimal::trimmed($light->bare, 0).' µmol/m²/s'),
            new Term('a day’s light on the bed', Decimal::trimmed($plan->lamp->dailyIntegral($light->bare), 1).' mol/m²'),
        ];
        foreach ($plan->clumps as $clump) {
            $share = Growth::lightFactor($clump->kind, $light->clumps[$clump->id], $plan->lamp->hours);
            $terms[] = new Term($clump->kind->common, \sprintf('%s µmol/m²/s, grows at %s %%', Decimal::trimmed($light->clumps[$clump->id], 0), Decimal::trimmed(min(1, $share) * 100, 0)), $clump->kind->halfLight->provenance);
            if ($share < $least) {
                $least = $share;
                $worst = $clump;
            }
        }
        $percent = Decimal::trimmed($least * 100, 0)."\u{202F}%";

        return new Margin('light', 'Light for plants', [] === $plan->clumps ? self::LEAST : $least, self::LEAST, self::GOOD, null, [] === $plan->clumps ? 'no plants' : $percent,
            match (true) {
                [] === $plan->clumps => 'There are no plants to light yet.',
                null === $worst => 'Every clump is lit to its full growth.',
                $least < self::LEAST => \sprintf('%s gets too little light: it can grow at %s of its best and will dwindle.', $worst->kind->common, $percent),
                $least < self::GOOD => \sprintf('%s has the least light for its need and grows at %s of its best.', $worst->kind->common, $percent),
                default => \sprintf('Every clump is lit; %s has the least for its need, %s of its best growth.', $worst->kind->common, $percent),
            },
            $terms,
            $least < self::GOOD && null !== $worst ? ($light->cover > 0.5
                ? 'Thin the floaters: they hide the lamp from all below.'
                : 'A stronger lamp, up to 10 hours a day, or a shade-loving kind in its place.') : '',
        );
    }
}
