<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Event;

/** What of a tank an event is about; a year's marks are drawn by it. */
enum About: string
{
    case Water = 'water';
    case Plant = 'plant';
    case Light = 'light';
    case Animal = 'animal';
    /** Days of their own: weather, absence. */
    case Stretch = 'stretch';
}
