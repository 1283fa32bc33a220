<?php

declare(strict_types=1);

namespace Olvek\Core\Plant;

/** What a plant does for the balance of a tank. */
enum Role: string
{
    case FastStem = 'fast-stem';
    case SlowStem = 'slow-stem';
    case FloatingStem = 'floating-stem';
    case Rosette = 'rosette';
    case Runner = 'runner';
    case Carpet = 'carpet';
    case Epiphyte = 'epiphyte';
    case Moss = 'moss';
    case Floater = 'floater';
    case Lily = 'lily';
    case Marsh = 'marsh';
    case HousePlant = 'house-plant';

    public function words(): string
    {
        return match ($this) {
            self::FastStem => 'fast stem',
            self::SlowStem => 'slow stem',
            self::FloatingStem => 'floating stem',
            self::Rosette => 'rosette, root feeder',
            self::Runner => 'runner grass',
            self::Carpet => 'carpet',
            self::Epiphyte => 'epiphyte',
            self::Moss => 'moss',
            self::Floater => 'floater',
            self::Lily => 'lily',
            self::Marsh => 'marsh plant',
            self::HousePlant => 'house plant, roots in water',
        };
    }

    /** True where the leaves are in air: full lamp light and the air's CO2. */
    public function hasLeavesInAir(): bool
    {
        return match ($this) {
            self::Floater, self::Marsh, self::HousePlant => true,
            default => false,
        };
    }

    /** True where the plant lies on the water and shades all below. */
    public function coversSurface(): bool
    {
        return self::Floater === $this;
    }

    /** True where the plant takes up room on the floor. */
    public function coversFloor(): bool
    {
        return match ($this) {
            self::Floater, self::FloatingStem, self::HousePlant => false,
            default => true,
        };
    }
}
