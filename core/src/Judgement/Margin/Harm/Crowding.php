<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin\Harm;

use Olvek\Core\Basis\Message\Amount;
use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Judgement\Margin\Outlook;

/** Animals that have too little room. */
final class Crowding implements HarmCriterion
{
    public static function of(Outlook $outlook): array
    {
        $litres = $outlook->plan->vessel->grossVolume();
        $all = $least = 0.0;
        $largest = null;
        foreach ($outlook->present->groups as $group) {
            $all += $group->count * $group->kind->litresEach->value;
            if ($group->kind->leastLitres() > $least) {
                $least = $group->kind->leastLitres();
                $largest = $group->kind;
            }
        }
        if (null === $largest) {
            return [];
        }
        $alone = $least >= $all;

        return [
            new Harm(
                HarmId::Room,
                $alone ? $largest->id : '',
                max($all, $least) / $litres,
                $outlook->present->firstDay(),
                $alone
                    ? new Message('harm.small-tank', [
                        'kind' => $largest->common,
                        'needed' => Amount::volume($least, 0),
                        'litres' => Amount::volume($litres, 0),
                    ])
                    : new Message('harm.crowded', ['needed' => Amount::volume($all, 0), 'litres' => Amount::volume($litres, 0)]),
                [$alone ? new Message('avert.smaller-kind') : new Message('avert.fewer')],
            ),
        ];
    }
}
