<?php

declare(strict_types=1);

use Olvek\Core\Nature\Catalogue\Catalogue;

/** @return array<string, mixed> a wish as keepers have them, the same for the same number */
function wish(int $n, Catalogue $catalogue): array
{
    $dice = new Random\Randomizer(new Random\Engine\Mt19937(1000 + $n));
    $pick = static fn (array $of): mixed => $of[$dice->getInt(0, count($of) - 1)];
    $vessels = array_values(array_filter(
        $catalogue->vessels,
        static fn ($v): bool => $v->vessel->grossVolume() >= 5 && $v->vessel->grossVolume() <= 300,
    ));
    $vessel = $pick($vessels);
    $litres = $vessel->vessel->grossVolume();
    $animals = array_values(array_filter(
        $catalogue->animals,
        static fn ($a): bool => $a->grams->value >= 0.004 && $a->leastLitres() <= $litres,
    ));
    $wished = [];
    for ($kinds = $dice->getInt(0, 3); $kinds > 0 && [] !== $animals; --$kinds) {
        $kind = $pick($animals);
        $wished[$kind->id] = ['kind' => $kind->id, ...0 === $dice->getInt(0, 2) ? ['count' => $dice->getInt(2, 12)] : []];
    }

    return [
        'format' => 'olvek.wish',
        'version' => 1,
        'vessel' => ['shape' => $vessel->vessel->shape()->value, ...$vessel->vessel->measures()],
        'waterLine' => $vessel->waterLine,
        'water' => ['kind' => $pick(['tap-soft', 'tap-middling', 'tap-hard', 'rain'])],
        'site' => ['temperature' => $dice->getInt(19, 26), 'aspect' => $pick(['none', 'none', 'north', 'east'])],
        'animals' => array_values($wished),
        'cleaners' => 0 === $dice->getInt(0, 1),
    ];
}
