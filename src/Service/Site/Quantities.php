<?php

declare(strict_types=1);

namespace Olvek\Service\Site;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Basis\Unit\Words;
use Twig\Attribute\AsTwigFilter;
use Twig\Attribute\AsTwigFunction;

/** Quantities as pages print them, in the keeper's units. */
final class Quantities
{
    #[AsTwigFunction('volume')]
    public function volume(float $litres, UnitSystem $units): string
    {
        return $units->show(Dimension::Volume, $litres);
    }

    #[AsTwigFilter('capital')]
    public function capital(string $text): string
    {
        return Words::capital($text);
    }

    #[AsTwigFunction('animals')]
    public function animals(int $count, string $kind): string
    {
        return Words::animals($count, $kind);
    }

    #[AsTwigFunction('plural')]
    public function plural(int|float $count, string $one): string
    {
        return Words::plural($count, $one);
    }

    #[AsTwigFunction('every')]
    public function every(int $days): string
    {
        return Words::every($days);
    }

    /** A share (0–1) in whole percent. */
    #[AsTwigFunction('percent')]
    public function percent(float $share): string
    {
        return Decimal::trimmed(100 * $share, 0)."\u{202F}%";
    }

    /** The bare number, for fields. */
    #[AsTwigFunction('bare_volume')]
    public function bareVolume(float $litres, UnitSystem $units): string
    {
        return Decimal::trimmed($units->volume()->fromBase($litres), 2);
    }

    #[AsTwigFunction('mass')]
    public function mass(float $kilograms, UnitSystem $units, int $decimals = 1): string
    {
        return $units->show(Dimension::Mass, 1000 * $kilograms, $decimals);
    }
}
