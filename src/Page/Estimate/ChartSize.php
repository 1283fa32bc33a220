<?php

declare(strict_types=1);

namespace Olvek\Page\Estimate;

/** How large a chart of a tank's life is drawn, in pixels: one of many on a screen, or the one that is looked at. */
enum ChartSize: string
{
    case Small = 'small';
    case Large = 'large';

    public function width(): float
    {
        return self::Small === $this ? 260.0 : 900.0;
    }

    public function height(): float
    {
        return self::Small === $this ? 104.0 : 250.0;
    }

    public function left(): float
    {
        return self::Small === $this ? 36.0 : 46.0;
    }

    public function right(): float
    {
        return $this->width() - (self::Small === $this ? 6.0 : 12.0);
    }

    public function top(): float
    {
        return self::Small === $this ? 8.0 : 14.0;
    }

    /** Where the axis of days lies. */
    public function foot(): float
    {
        return $this->height() - (self::Small === $this ? 24.0 : 40.0);
    }

    /** Where the days' names stand, below the marks of what was done. */
    public function names(): float
    {
        return $this->foot() + (self::Small === $this ? 18.0 : 28.0);
    }

    /** Lines across, and named days along, that have room. */
    public function lines(): int
    {
        return self::Small === $this ? 2 : 5;
    }

    public function days(): int
    {
        return self::Small === $this ? 3 : 6;
    }

    /** Radius of a reading. */
    public function dot(): float
    {
        return self::Small === $this ? 3.0 : 5.0;
    }
}
