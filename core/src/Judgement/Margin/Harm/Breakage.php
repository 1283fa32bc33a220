<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin\Harm;

use Olvek\Core\Basis\Message\Amount;
use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Judgement\Margin\Outlook;
use Olvek\Core\Nature\Vessel\Pane;
use Olvek\Core\Planning\Plan\Quantities;

/** A pane or a support that may give way. */
final class Breakage implements HarmCriterion
{
    /** m of water below which no pane is asked about. J. */
    private const LOW = 0.1;

    public static function of(Outlook $outlook): array
    {
        $plan = $outlook->plan;
        $harms = [];
        $glass = $plan->vessel->measures()['glass'] ?? null;
        $length = $plan->vessel->outline()->longestPane();
        if (null !== $glass && null !== $length && !$plan->vessel->shape()->isOutdoor() && $plan->waterLine >= self::LOW) {
            $needed = Pane::sold(Pane::needed($length, $plan->waterLine, $plan->stand->braced));
            $stress = Pane::stress($glass, $length, $plan->waterLine, $plan->stand->braced) / Pane::LASTING;
            $harms[] = new Harm(
                HarmId::Breakage,
                'pane',
                $stress,
                0,
                new Message('harm.pane', [
                    'glass' => Amount::thickness($glass),
                    'edge' => $stress < HarmId::Breakage->weight()->fails ? 'yes' : 'no',
                ]),
                [new Message('avert.pane', ['needed' => Amount::thickness($needed), 'braced' => $plan->stand->braced ? 'yes' : 'no'])],
            );
        }
        $full = Quantities::of($plan)->fullMass;
        if ($plan->site->bears > 0) {
            $harms[] = new Harm(
                HarmId::Breakage,
                'support',
                $full > $plan->site->bears ? HarmId::Breakage->weight()->fails : 0.0,
                0,
                new Message('harm.support', ['mass' => Amount::mass($full), 'bears' => Amount::mass($plan->site->bears)]),
                [new Message('avert.support')],
            );
        }

        return $harms;
    }
}
