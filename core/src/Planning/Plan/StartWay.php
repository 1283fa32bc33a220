<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Plan;

use Olvek\Core\Basis\Field\Worded;

/** A way of getting from a planted tank to one that is fit for animals, as the trade teaches it. All C, common practice. */
enum StartWay: string implements Worded
{
    case Undecided = 'undecided';
    case Plants = 'plants';
    case Bottled = 'bottled';
    case Dosing = 'dosing';
    case Borrowed = 'borrowed';
    case Waiting = 'waiting';
    case Quarantine = 'quarantine';

    /** mg/L of ammonia as N that a dosed start gives: 2.6 mg/L as the ion NH4. C (2 to 6 as the ion). */
    public const DOSE = 2.0;
    /** Day of the dose: roots and film have begun. C. */
    public const DOSED_ON = 14;

    public function words(): string
    {
        return match ($this) {
            self::Undecided => 'not decided',
            self::Plants => 'plant-led (silent) cycle',
            self::Bottled => 'bottled bacteria, with the first fish',
            self::Dosing => 'fishless cycle, dosing ammonia',
            self::Borrowed => 'seeded filter or substrate',
            self::Waiting => 'plants only, and wait',
            self::Quarantine => 'quarantine: seeded, watched for four weeks',
        };
    }

    public function reasons(): string
    {
        return match ($this) {
            self::Undecided => 'Choose a way: it decides where bacteria come from, what is tested and when animals may come.',
            self::Plants => 'Heavy planting takes ammonia directly, so a few fish may come on day 2, unfed for a week.',
            self::Bottled => 'Test every day; at any ammonia or nitrite change up to half of the water; a week or so.',
            self::Dosing => 'Ammonium is dosed without fish; ready when a dose is gone in a day, both readings 0 and nitrate at most 30 '
                .'mg/L.',
            self::Borrowed => 'A sponge or gravel from a running tank brings its bacteria: nearly at once.',
            self::Waiting => 'Three weeks to two months of plants only, until readings stand at 0.',
            self::Quarantine => 'A bare vessel with a sponge of a running tank: newcomers are looked at every day for four weeks, '
                .'and then moved.',
        };
    }

    public function inoculum(): ?Inoculum
    {
        return match ($this) {
            self::Undecided => null,
            self::Plants => Inoculum::Cuttings,
            self::Bottled => Inoculum::Bottled,
            self::Borrowed, self::Quarantine => Inoculum::Sponge,
            self::Dosing, self::Waiting => Inoculum::Nothing,
        };
    }

    /** First day on which animals may come at all. */
    public function soonest(): int
    {
        return match ($this) {
            self::Undecided => 0,
            self::Plants => 2,
            self::Bottled, self::Borrowed => 1,
            self::Quarantine => 0,
            self::Dosing, self::Waiting => 21,
        };
    }
}
