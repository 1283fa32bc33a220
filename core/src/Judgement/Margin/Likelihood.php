<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin;

use Olvek\Core\Judgement\Margin\Harm\Harm;
use Olvek\Core\Judgement\Margin\Harm\HarmId;

/**
 * How likely each harm is right after a change, before many tanks have been run anew: as likely as it was, unless one run comes to it that
 * did not before, or is spared that was not.
 *
 * Moving those shares by how far the gauges moved was tried, and was right less often (bench/sureness.php).
 */
final class Likelihood
{
    /** Share that a harm has at least where one run now comes to it, and has at most where one run is now spared. J. */
    private const LIKELY = 0.5;
    private const UNLIKELY = 0.35;
    /** Tanks in which shares are told. */
    private const TANKS = 1000;

    /**
     * @param Uncertainty $counted of the plan before
     * @param list<Harm>  $before  of one run of it
     * @param list<Harm>  $now     of one run after the change
     *
     * @return Uncertainty of harms alone, not counted
     */
    public static function after(Uncertainty $counted, array $before, array $now): Uncertainty
    {
        $spreads = [];
        foreach (HarmId::cases() as $id) {
            $name = Band::HARM.$id->value;
            $spread = $counted->spreads[$name] ?? null;
            if (null === $spread) {
                continue;
            }
            $share = 1 - $spread->holds / $spread->of;
            $fails = self::fails($id, $now);
            if ($fails !== self::fails($id, $before)) {
                $share = $fails ? max(self::LIKELY, $share) : min(self::UNLIKELY, $share);
            }
            $spreads[$name] = new Spread($spread->low, $spread->high, (int) round(self::TANKS * (1 - $share)), self::TANKS);
        }

        return new Uncertainty($spreads, 0, self::TANKS, false);
    }

    /** @param list<Harm> $harms */
    private static function fails(HarmId $id, array $harms): bool
    {
        return [] !== array_filter($harms, static fn (Harm $h): bool => $h->id === $id && $h->amount >= $id->weight()->fails);
    }
}
