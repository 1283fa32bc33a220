<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Plant;

/** What a plant does for the balance of a tank. */
enum PlantRole: string
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

    /**
     * Share of its leaves that hangs over the water and shades it. J: marsh plants lean out (0.3–0.8), house plants hang into the room
     * (0.1–0.4).
     */
    public function overWater(): float
    {
        return match ($this) {
            self::Marsh => 0.5,
            self::HousePlant => 0.2,
            default => 1.0,
        };
    }

    /** True where stems grow on into the air once they reach it. */
    public function growsOut(): bool
    {
        return match ($this) {
            self::FastStem, self::SlowStem => true,
            default => false,
        };
    }

    /** True where the plant has a place in the water or on its rim that others may fill; epiphytes and mosses sit on stones and wood. */
    public function standsOnFloor(): bool
    {
        return match ($this) {
            self::FastStem, self::SlowStem, self::FloatingStem, self::Rosette, self::Runner, self::Carpet, self::Lily => true,
            default => false,
        };
    }

    /** True where the plant lies on the water and shades all below. */
    public function coversSurface(): bool
    {
        return self::Floater === $this;
    }

    /** True where the plant needs room on the floor. */
    public function coversFloor(): bool
    {
        return match ($this) {
            self::Floater, self::FloatingStem, self::HousePlant => false,
            default => true,
        };
    }
}
