<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Plan;

/** Rules that bind values of a plan together: what a schema, which looks at each value alone, cannot say. */
enum PlanRule: string
{
    case Name = 'name';
    case Vessel = 'vessel';
    case WaterLine = 'water-line';
    case Rim = 'rim';
    case Water = 'water';
    case Setback = 'setback';
    case Bags = 'bags';
    case Plate = 'plate';
    case ZoneEnds = 'zone-ends';
    case ZonesApart = 'zones-apart';
    case ZoneSetback = 'zone-setback';
    case ZoneLayer = 'zone-layer';
    case Pots = 'pots';
    case Hardscape = 'hardscape';
    case Ids = 'ids';
    case Dawn = 'dawn';
    case Pause = 'pause';
    case Seasons = 'seasons';
    case Sealed = 'sealed';
    case Food = 'food';
    case Subject = 'subject';
    case Wanted = 'wanted';

    public function words(): string
    {
        return match ($this) {
            self::Name => 'the name has letters that can be read, no control characters, and is not blank',
            self::Vessel => 'the vessel’s measures make a vessel: walls leave room inside, a mouth is no wider than its body, a lip lies '
                .'on the flask',
            self::WaterLine => 'the water line lies at or below the rim',
            self::Rim => 'the bed lies below the rim',
            self::Water => 'at least 2 cm of water stand above the bed, and above each zone',
            self::Setback => 'the strip without soil is no wider than the vessel',
            self::Bags => 'bags fill at most four fifths of the room that they share with the soil',
            self::Plate => 'the plate ends to the right of where it begins',
            self::ZoneEnds => 'a zone ends beyond where it begins',
            self::ZonesApart => 'zones do not overlap',
            self::ZoneSetback => 'no zone lies over the strip without soil',
            self::ZoneLayer => 'a zone names the soil or cap that it lays, where the bed has none',
            self::Pots => 'pots are filled with the bed’s soil, so it has one',
            self::Hardscape => 'stones and wood fill at most half of the room above the bed',
            self::Ids => 'ids are unique within their list',
            self::Dawn => 'dawn and dusk together are no longer than the lamp’s day',
            self::Pause => 'the pause fits into the hours without light',
            self::Seasons => 'the water stays between 0.5 and 38 °C through the year',
            self::Sealed => 'a sealed vessel has no heater, device, gas, trickle or fertiliser',
            self::Food => 'food is given only where there are animals, and never into a sealed vessel',
            self::Wanted => 'no plant of a wish is wanted and unwanted at once',
            self::Subject => 'an event names a clump or group that the plan has',
        };
    }
}
