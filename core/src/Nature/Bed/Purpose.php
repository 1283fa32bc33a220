<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Bed;

use Olvek\Core\Basis\Field\Worded;

/** What a zone of the bed is for. */
enum Purpose: string implements Worded
{
    case Foreground = 'foreground';
    case Rear = 'rear';
    case LeftBank = 'left-bank';
    case RightBank = 'right-bank';
    case Terrace = 'terrace';
    case Raised = 'raised';

    public function words(): string
    {
        return match ($this) {
            self::Foreground => 'open foreground',
            self::Rear => 'planted back',
            self::LeftBank => 'bank on the left',
            self::RightBank => 'bank on the right',
            self::Terrace => 'terrace',
            self::Raised => 'ground raised with gravel',
        };
    }

    /**
     * Where such a zone usually lies. J.
     *
     * @return array{left: float, right: float, front: float, back: float} shares of the floor
     */
    public function place(): array
    {
        [$left, $right, $front, $back] = match ($this) {
            self::Foreground => [0.0, 1.0, 0.0, 0.3],
            self::Rear => [0.0, 1.0, 0.6, 1.0],
            self::LeftBank => [0.0, 0.35, 0.0, 1.0],
            self::RightBank => [0.65, 1.0, 0.0, 1.0],
            self::Terrace => [0.55, 1.0, 0.5, 1.0],
            self::Raised => [0.0, 0.4, 0.6, 1.0],
        };

        return ['left' => $left, 'right' => $right, 'front' => $front, 'back' => $back];
    }

    /**
     * How deep soil and cap usually lie there. J.
     *
     * @return array{float, float} m
     */
    public function depths(): array
    {
        return match ($this) {
            self::Foreground => [0.0, 0.03],
            self::Rear => [0.03, 0.05],
            self::LeftBank, self::RightBank, self::Terrace => [0.04, 0.06],
            self::Raised => [0.0, 0.08],
        };
    }

    /** What usually holds it in its place. C. */
    public function edge(): Edge
    {
        return match ($this) {
            self::Foreground => Edge::StonesAndWadding,
            self::Terrace => Edge::Wall,
            default => Edge::None,
        };
    }
}
