<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Plant;

/** What a keeper takes out at once. */
final class Handful
{
    /** g wet in a loose, shaken handful. C (30–60). */
    public const WET = 40.0;
}
