<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin\Harm;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Judgement\Margin\Outlook;

/** A bed that turns foul. */
final class FoulBed implements HarmCriterion
{
    public static function of(Outlook $outlook): array
    {
        if (null === $outlook->plan->bed->soil) {
            return [];
        }
        [$index, $day] = $outlook->trace->highest('sulphide', $outlook->since);

        return [
            new Harm(
                HarmId::Bed,
                '',
                $index,
                $day,
                new Message('harm.bed', [
                    'when' => $outlook->when($day),
                    'edge' => $index < HarmId::Bed->weight()->fails ? 'yes' : 'no',
                ]),
                [new Message('avert.bed')],
            ),
        ];
    }
}
