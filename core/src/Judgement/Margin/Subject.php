<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin;

/** What a margin is about, in the order in which margins are shown; the value is the name of the drawings' stratum that has its colour. */
enum Subject: string
{
    case Water = 'water';
    case Plants = 'leaf';
    case Bed = 'soil';
    case Animals = 'animal';
    case Practice = 'custom';
}
