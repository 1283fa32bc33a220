<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin;

/** One thing that a tank is judged by. */
interface Criterion
{
    public static function margin(Outlook $outlook): Margin;
}
