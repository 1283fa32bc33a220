<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin\Harm;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Judgement\Margin\Algae;
use Olvek\Core\Judgement\Margin\Outlook;

/** Algae beyond what a keeper would live with. */
final class Plague implements HarmCriterion
{
    public static function of(Outlook $outlook): array
    {
        $harms = [];
        foreach (['film' => ['algae', Algae::FILM_ACT], 'green' => ['greenWater', Algae::GREEN_ACT]] as $what => [$column, $limit]) {
            $bad = array_keys(array_filter(
                $outlook->trace->columns[$column],
                static fn (float $v, int $day): bool => $v > $limit && $day >= $outlook->since,
                \ARRAY_FILTER_USE_BOTH,
            ));
            if ([] === $bad) {
                continue;
            }
            $harms[] = new Harm(
                HarmId::Look,
                $what,
                (float) \count($bad),
                $bad[0],
                new Message('harm.look', [
                    'what' => $what,
                    'when' => $outlook->when($bad[0]),
                    'weeks' => (int) ceil(\count($bad) / 7),
                ]),
                [new Message('avert.look', ['what' => $what])],
            );
        }

        return $harms;
    }
}
