<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Hardscape;

use Olvek\Core\Basis\Field\Worded;

/** How a stone, a piece of wood, or a plant on it is held in its place. All C. */
enum Fixing: string implements Worded
{
    case None = 'none';
    case Glue = 'glue';
    case WaddingAndSoda = 'wadding-and-soda';
    case Thread = 'thread';
    case Wedge = 'wedge';
    case Epoxy = 'epoxy';
    case Silicone = 'silicone';
    case Weight = 'weight';

    public function words(): string
    {
        return match ($this) {
            self::None => 'by nothing',
            self::Glue => 'gel superglue',
            self::WaddingAndSoda => 'superglue on wadding, hardened with soda',
            self::Thread => 'thread or fishing line',
            self::Wedge => 'wedged between stones',
            self::Epoxy => 'epoxy putty',
            self::Silicone => 'aquarium silicone',
            self::Weight => 'weighed down with a stone',
        };
    }

    /** Hours until it may be put under load, or under water. C: silicone a day, epoxy some hours, superglue minutes. */
    public function hours(): float
    {
        return match ($this) {
            self::Silicone => 24.0,
            self::Epoxy => 3.0,
            self::Glue => 0.25,
            default => 0.0,
        };
    }

    /** How to see that it holds. */
    public function check(): string
    {
        return match ($this) {
            self::None => 'It stays where it is put.',
            self::Glue => 'Two dry faces, pressed for a minute: a pull with two fingers does not part them.',
            self::WaddingAndSoda => 'The wadding is soaked with glue before the soda goes on, and is hard as stone at once; loose soda is '
                .'blown off.',
            self::Thread => 'Three turns and a knot; it neither cuts in nor slips.',
            self::Wedge => 'It is tight before the water is in; dry wood swells and then sits faster.',
            self::Epoxy => 'The putty is kneaded to one colour and grips both parts.',
            self::Silicone => 'A bead all round, left alone for a day; no smell of vinegar is left.',
            self::Weight => 'Pushed under a finger of water, it stays down.',
        };
    }

    /** What usually goes wrong. */
    public function mistake(): string
    {
        return match ($this) {
            self::None => 'It is trusted to sink by itself.',
            self::Glue => 'Too much glue: it turns white, and does not set where it is thick.',
            self::WaddingAndSoda => 'A heap of soda that is left in: it raises carbonate hardness for weeks.',
            self::Thread => 'Cotton rots before the roots hold.',
            self::Wedge => 'The rhizome is wedged instead of the roots.',
            self::Epoxy => 'It is put in while soft, and clouds the water.',
            self::Silicone => 'It is wetted before it has cured; silicone against mould is poison to animals.',
            self::Weight => 'The stone rolls off when the wood swells.',
        };
    }

    public function caution(): string
    {
        return match ($this) {
            self::Glue => 'Superglue: fresh air, off eyes and skin.',
            self::WaddingAndSoda => 'Superglue and soda give off fumes and heat at once: fresh air, goggles, gloves, no cotton on skin.',
            self::Epoxy => 'Epoxy: gloves, fresh air; wash it off skin at once.',
            self::Silicone => 'Curing silicone gives off vapour for a day or two: fresh air.',
            default => '',
        };
    }
}
