<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin\Harm;

use Olvek\Core\Judgement\Margin\Outlook;

/** Finds one sort of harm in what a run came to. */
interface HarmCriterion
{
    /** @return list<Harm> those that there are, whatever they weigh */
    public static function of(Outlook $outlook): array;
}
