<?php

declare(strict_types=1);

namespace Olvek\Core\Keeping\Log;

/** What came of something that was tried. */
enum Improved: string
{
    case Better = 'better';
    case Same = 'same';
    case Worse = 'worse';

    public function words(): string
    {
        return match ($this) {
            self::Better => 'Better',
            self::Same => 'No change',
            self::Worse => 'Worse',
        };
    }

    /** As the logbook keeps it. */
    public function amount(): float
    {
        return match ($this) {
            self::Better => 1.0,
            self::Same => 0.0,
            self::Worse => -1.0,
        };
    }

    public static function ofAmount(float $amount): self
    {
        return match (true) {
            $amount > 0 => self::Better,
            $amount < 0 => self::Worse,
            default => self::Same,
        };
    }
}
