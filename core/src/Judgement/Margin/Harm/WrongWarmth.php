<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin\Harm;

use Olvek\Core\Basis\Message\Amount;
use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Judgement\Margin\KindWater;
use Olvek\Core\Judgement\Margin\Outlook;

/** Kinds for which the water is too warm or too cold. */
final class WrongWarmth implements HarmCriterion
{
    public static function of(Outlook $outlook): array
    {
        $harms = [];
        foreach (WrongWater::kinds($outlook) as [$kind, $from]) {
            [$coldest, $hottest] = KindWater::spread($outlook->trace->columns['temperature'], $from);
            $cold = ($kind->coolest->value - $coldest) / max(0.5, $kind->coolest->value - $kind->kept->coolest->value);
            $hot = ($hottest - $kind->warmest->value) / max(0.5, $kind->kept->warmest->value - $kind->warmest->value);
            $way = $cold > $hot ? 'cold' : 'heat';
            $harms[] = new Harm(
                HarmId::Temperature,
                $kind->id,
                max(0.0, $cold, $hot),
                $from,
                new Message('harm.temperature', [
                    'kind' => $kind->common,
                    'way' => $way,
                    'edge' => max($cold, $hot) < 1.0 ? 'yes' : 'no',
                    'at' => Amount::temperature($cold > $hot ? $coldest : $hottest),
                    'bound' => Amount::temperature($cold > $hot ? $kind->kept->coolest->value : $kind->kept->warmest->value),
                ]),
                [new Message('avert.losses', ['cause' => $way])],
            );
        }

        return $harms;
    }
}
