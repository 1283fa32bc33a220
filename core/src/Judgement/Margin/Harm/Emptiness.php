<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin\Harm;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Judgement\Margin\Outlook;

/** A tank without plants. */
final class Emptiness implements HarmCriterion
{
    public static function of(Outlook $outlook): array
    {
        return [] === $outlook->plan->clumps
            ? [new Harm(HarmId::Empty, '', 1.0, 0, new Message('harm.empty'), [new Message('avert.plant')])]
            : [];
    }
}
