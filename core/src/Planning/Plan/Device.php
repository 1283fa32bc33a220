<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Plan;

use Olvek\Core\Basis\Field\Worded;

/** What moves the water, beside fish and warmth. */
enum Device: string implements Worded
{
    case None = 'none';
    case AirStone = 'air-stone';
    case Pump = 'pump';
    case WaveMaker = 'wave-maker';
    case SpongeFilter = 'sponge-filter';
    case InternalFilter = 'internal-filter';
    case HangOnFilter = 'hang-on-filter';
    case CanisterFilter = 'canister-filter';

    public function words(): string
    {
        return match ($this) {
            self::None => 'nothing',
            self::AirStone => 'an air stone',
            self::Pump => 'a small pump',
            self::WaveMaker => 'a wave maker',
            self::SpongeFilter => 'a sponge filter, driven by air',
            self::InternalFilter => 'an internal filter',
            self::HangOnFilter => 'a hang-on filter',
            self::CanisterFilter => 'a canister filter',
        };
    }

    /** Whether it holds a sponge or other media on which bacteria live. */
    public function isFilter(): bool
    {
        return match ($this) {
            self::SpongeFilter, self::InternalFilter, self::HangOnFilter, self::CanisterFilter => true,
            self::None, self::AirStone, self::Pump, self::WaveMaker => false,
        };
    }

    /** Whether its air pump stands outside of the water, so that a hose could siphon. */
    public function isDrivenByAir(): bool
    {
        return self::AirStone === $this || self::SpongeFilter === $this;
    }

    /** How much of its flow breaks the surface: 1 for all of it. J: bubbles and falling water do, a stream below hardly. */
    public function stirs(): float
    {
        return match ($this) {
            self::None => 0.0,
            self::AirStone, self::SpongeFilter, self::HangOnFilter => 1.0,
            self::InternalFilter, self::CanisterFilter => 0.7,
            self::Pump, self::WaveMaker => 0.5,
        };
    }

    /**
     * How much of its flow drags at floaters: 1 for all of it. C: falling water pulls them under, a jet at the surface drives them round,
     * bubbles push them aside; J.
     */
    public function drags(): float
    {
        return match ($this) {
            self::None => 0.0,
            self::AirStone, self::SpongeFilter => 0.3,
            self::Pump, self::CanisterFilter => 0.5,
            self::InternalFilter, self::WaveMaker => 0.7,
            self::HangOnFilter => 1.0,
        };
    }
}
