<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Plan;

use Olvek\Core\Basis\Field\Worded;

/** Where and how a plant is fixed. All C. */
enum Seat: string implements Worded
{
    case Usual = 'usual';
    case Bed = 'bed';
    case Glued = 'glued';
    case Tied = 'tied';
    case Wedged = 'wedged';
    case Pot = 'pot';
    case Hole = 'hole';
    case Grid = 'grid';

    public function words(): string
    {
        return match ($this) {
            self::Usual => 'as its kind wants it',
            self::Bed => 'in the bed',
            self::Glued => 'glued to stone or wood',
            self::Tied => 'tied to stone or wood',
            self::Wedged => 'wedged in a crack',
            self::Pot => 'in a pot of soil',
            self::Hole => 'in a hole of wood, with a pinch of bed',
            self::Grid => 'on a grid or a stick',
        };
    }

    /** How it is done, for the step in which it is planted; null where its kind says it. */
    public function how(): ?string
    {
        return match ($this) {
            self::Usual, self::Bed => null,
            self::Glued => 'a drop of gel superglue on the roots, pressed on for half a minute',
            self::Tied => 'three turns of thread, which is cut when the roots hold',
            self::Wedged => 'roots pushed into the crack, the rhizome free',
            self::Pot => 'set in its pot of soil, gravel on top',
            self::Hole => 'a pinch of bed in the hole, roots into it, moss or wadding around',
            self::Grid => 'spread thin under thread or mesh',
        };
    }

    /** Whether it stands off the bed. */
    public function isOffBed(): bool
    {
        return match ($this) {
            self::Glued, self::Tied, self::Wedged, self::Hole, self::Grid => true,
            self::Usual, self::Bed, self::Pot => false,
        };
    }

    /** Whether it has soil of its own around its roots, whatever lies below. */
    public function hasSoil(): bool
    {
        return self::Pot === $this || self::Hole === $this;
    }
}
