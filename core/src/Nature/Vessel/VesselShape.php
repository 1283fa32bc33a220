<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Vessel;

/** The shapes that Olvek knows, and how each is made from what a tape measure reads. */
enum VesselShape: string
{
    case GlassBox = 'glass-box';
    case BowFront = 'bow-front';
    case Hexagon = 'hexagon';
    case Cylinder = 'cylinder';
    case Bowl = 'bowl';
    case TiltedFlask = 'tilted-flask';
    case JarLying = 'jar-lying';
    case Barrel = 'barrel';
    case Tub = 'tub';
    case Pool = 'pool';

    public function words(): string
    {
        return match ($this) {
            self::GlassBox => 'glass box',
            self::BowFront => 'glass box with a bowed front',
            self::Hexagon => 'six-sided glass tank',
            self::Cylinder => 'cylinder, a tall vase',
            self::Bowl => 'bowl, a cut sphere',
            self::TiltedFlask => 'round flask at a tilt',
            self::JarLying => 'jar lying on its side',
            self::Barrel => 'half-barrel',
            self::Tub => 'tub, wider at the top',
            self::Pool => 'oval pool',
        };
    }

    /** True where it stands on the ground and has no glass. */
    public function isOutdoor(): bool
    {
        return match ($this) {
            self::Barrel, self::Tub, self::Pool => true,
            default => false,
        };
    }

    /** What its keepers must know before they begin; empty where nothing. All C. */
    public function caution(): string
    {
        return match ($this) {
            self::GlassBox, self::BowFront, self::Hexagon => '',
            self::Cylinder => 'A vase is made for flowers: thick glass only, a foam sheet under it, never near the rim.',
            self::Bowl,
            self::TiltedFlask => 'Bowls and flasks are not made as tanks: a foam sheet or a ring under them, no knocks, and out of the '
                .'sun.',
            self::JarLying => 'A jar is not made as a tank: wedge it so that it cannot roll, and never set a closed one in direct sun.',
            self::Barrel, self::Tub, self::Pool => 'A small child can drown in centimetres of water: fence it or lay a grid over it.',
        };
    }

    /** @return list<string> names of what is measured, outside, in m */
    public function measures(): array
    {
        return match ($this) {
            self::GlassBox => ['length', 'width', 'height', 'glass'],
            self::BowFront => ['length', 'width', 'bow', 'height', 'glass'],
            self::Hexagon => ['width', 'height', 'glass'],
            self::Cylinder => ['diameter', 'height', 'glass'],
            self::Bowl => ['diameter', 'height', 'mouth', 'glass'],
            self::TiltedFlask => ['diameter', 'lip', 'glass'],
            self::JarLying => ['diameter', 'length', 'glass'],
            self::Barrel, self::Tub => ['diameter', 'foot', 'height', 'wall'],
            self::Pool => ['length', 'width', 'height', 'wall'],
        };
    }

    /** @param array<string, float> $m a value for each of measures() */
    public function make(array $m): Vessel
    {
        return match ($this) {
            self::GlassBox => new GlassBox($m['length'], $m['width'], $m['height'], $m['glass']),
            self::BowFront => new BowFront($m['length'], $m['width'], $m['bow'], $m['height'], $m['glass']),
            self::Hexagon => new Hexagon($m['width'], $m['height'], $m['glass']),
            self::Cylinder => new Cylinder($m['diameter'], $m['height'], $m['glass']),
            self::Bowl => new Bowl($m['diameter'], $m['height'], $m['mouth'], $m['glass']),
            self::TiltedFlask => new TiltedFlask($m['diameter'], $m['lip'], $m['glass']),
            self::JarLying => new JarLying($m['diameter'], $m['length'], $m['glass']),
            self::Barrel => new Barrel($m['diameter'], $m['foot'], $m['height'], $m['wall']),
            self::Tub => new Tub($m['diameter'], $m['foot'], $m['height'], $m['wall']),
            self::Pool => new Pool($m['length'], $m['width'], $m['height'], $m['wall']),
        };
    }

    /**
     * Measures of a vessel of this shape that is about as long, wide and high as another.
     *
     * @return array<string, float>
     */
    public function sizedLike(Vessel $other): array
    {
        $length = $other->outerLength();
        $width = $other->outerWidth();
        $height = $other->outerHeight();
        $side = min($length, $width);
        $pane = min(0.03, $other->measures()['glass'] ?? 0.006);

        return match ($this) {
            self::GlassBox => ['length' => $other->isRound() ? $side : $length, 'width' => $side, 'height' => $height, 'glass' => $pane],
            self::BowFront => ['length' => $length, 'width' => 0.8 * $side, 'bow' => 0.2 * $side, 'height' => $height, 'glass' => $pane],
            self::Hexagon => ['width' => $side, 'height' => $height, 'glass' => $pane],
            self::Cylinder => ['diameter' => $side, 'height' => $height, 'glass' => $pane],
            self::Bowl => ['diameter' => $side, 'height' => round(0.85 * $side, 3), 'mouth' => round(0.6 * $side, 3), 'glass' => $pane],
            self::TiltedFlask => ['diameter' => $side, 'lip' => round(0.8 * $side, 3), 'glass' => $pane],
            self::JarLying => ['diameter' => min($side, $height), 'length' => max($length, $height), 'glass' => $pane],
            self::Barrel, self::Tub => ['diameter' => $side, 'foot' => round(0.85 * $side, 3), 'height' => $height, 'wall' => 0.02],
            self::Pool => ['length' => $length, 'width' => $width, 'height' => $height, 'wall' => 0.005],
        };
    }
}
