<?php

declare(strict_types=1);

namespace Olvek\Core\Log;

/** What keepers do to a tank and write down. */
enum DeedKind: string
{
    /** Ammonium dosed; amount in mg N/L. */
    case Dose = 'dose';
    /** Water changed; share 0–1. */
    case Change = 'change';
    /** Bottled bacteria poured in. */
    case Bacteria = 'bacteria';
    /** A sponge or gravel of a running tank laid in. */
    case Seed = 'seed';
    /** Animals of a group came; how many. */
    case Stock = 'stock';
    /** Food from now on; g a day, 0 to stop. */
    case Feed = 'feed';
    /** Melting leaves and mulm taken out; share 0–1. */
    case MeltOut = 'melt-out';
    /** Something else that was asked for, in words only. */
    case Task = 'task';

    public function words(): string
    {
        return match ($this) {
            self::Dose => 'ammonia dosed',
            self::Change => 'water changed',
            self::Bacteria => 'bottled bacteria poured in',
            self::Seed => 'sponge or gravel of a running tank laid in',
            self::Stock => 'animals came',
            self::Feed => 'food from now on',
            self::MeltOut => 'melting leaves taken out',
            self::Task => 'done',
        };
    }
}
