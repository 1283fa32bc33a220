<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Solve\Compose;

use Olvek\Core\Judgement\Margin\Harm\Harm;
use Olvek\Core\Judgement\Margin\MarginState;
use Olvek\Core\Judgement\Margin\Uncertainty;

/** What tanks whose uncertain numbers differ make of a composed plan: whether it may be called one, and what stands in its way. */
final readonly class Confirmation
{
    /** Tanks that are run. J: enough to tell a half from three quarters. */
    public const TANKS = 32;
    /** Share of the tanks in which all must hold. J: as the bound from which on a harm that comes to four of ten tanks fails. */
    public const LEAST = 0.6;

    public static function holds(Uncertainty $sureness): bool
    {
        return $sureness->together >= self::LEAST * $sureness->of;
    }

    /**
     * What stands in the way that the likeliest tank did not show.
     *
     * @param list<Harm> $before of the likeliest tank
     * @param list<Harm> $after  of all of them
     *
     * @return list<Unmet>
     */
    public static function unmet(array $before, array $after): array
    {
        $known = array_map(self::name(...), self::failing($before));

        return array_values(array_map(
            Unmet::ofHarm(...),
            array_filter(self::failing($after), static fn (Harm $h): bool => !\in_array(self::name($h), $known, true)),
        ));
    }

    /**
     * @param list<Harm> $harms
     *
     * @return list<Harm>
     */
    private static function failing(array $harms): array
    {
        return array_values(array_filter($harms, static fn (Harm $h): bool => MarginState::Fails === $h->state));
    }

    private static function name(Harm $harm): string
    {
        return "{$harm->id->value} $harm->about";
    }
}
