<?php

declare(strict_types=1);

namespace Olvek\Core\Log;

use Olvek\Core\Plan\Group;
use Olvek\Core\Plan\OccasionKind;
use Olvek\Core\Unit\Decimal;
use Olvek\Core\Water\Measure;

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

    /**
     * Least and most that can be written down of it: what a plan's days may hold, and what its rules allow.
     *
     * @return array{float|int, float|int}
     */
    public function bounds(): array
    {
        return match ($this) {
            self::Dose => \array_slice(OccasionKind::Dose->values()['milligramsPerLitre'], 1),
            self::Change => \array_slice(OccasionKind::Change->values()['share'], 1),
            self::Feed => \array_slice(OccasionKind::Feed->values()['grams'], 1),
            self::MeltOut => [0.01, 1.0],
            self::Stock => [1, Group::MOST],
            self::Bacteria, self::Seed, self::Task => [0, 1],
        };
    }

    /**
     * What the logbook says of it.
     *
     * @param Group|null $group that it concerns
     */
    public function line(float $amount, TestKit $kit, ?Group $group = null): string
    {
        return match ($this) {
            self::Stock => \sprintf('%d × %s came', (int) $amount, $group->kind->common ?? 'animals'),
            self::Dose => 'Ammonia dosed, '.$kit->show(Measure::Ammonia, $amount),
            self::Change => \sprintf('%d %% of the water changed', (int) round(100 * $amount)),
            self::Feed => $amount > 0 ? \sprintf('Fed from now on, %s g a day', Decimal::trimmed($amount, 3)) : 'Feeding stopped',
            self::Bacteria => 'Bottled bacteria poured in',
            self::Seed => 'Sponge or gravel of a running tank laid in',
            self::MeltOut => 'Melting leaves taken out',
            self::Task => 'Done',
        };
    }
}
