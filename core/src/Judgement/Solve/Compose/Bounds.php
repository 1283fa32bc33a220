<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Solve\Compose;

use Olvek\Core\Nature\Plant\PlantKind;
use Olvek\Core\Planning\Change\AddClump;
use Olvek\Core\Planning\Change\AddGroup;
use Olvek\Core\Planning\Change\Change;

/** Which changes a wish leaves free: the vessel, the place and the water are as they are, and nobody is given what they do not want. */
final readonly class Bounds
{
    /** Places of a plan that a wish has settled. */
    private const SETTLED = [
        'name',
        'vessel',
        'site.temperature',
        'site.swing',
        'site.aspect',
        'site.sky',
        'site.sealed',
        'water',
        'stand',
    ];
    /** What changes where one's own water is mixed with rain: it stays one's own. */
    private const MIXED = ['water.gh', 'water.kh', 'water.nitrate'];
    private const LAMP = ['light.lumens', 'light.lamp', 'light.kind', 'light.watts', 'light.height'];

    public function __construct(private Wish $wish)
    {
    }

    /** @param list<Change> $changes */
    public function allow(array $changes): bool
    {
        $outdoors = $this->wish->tank->site->isOutdoors();
        $settled = [
            ...self::SETTLED,
            ...LampWish::Suggest === $this->wish->lamp && !$outdoors ? [] : self::LAMP,
            ...$outdoors ? ['site.lid'] : [],
        ];
        foreach ($changes as $change) {
            $place = $change->place();
            if (\in_array($place, self::MIXED, true)) {
                continue;
            }
            foreach ($settled as $part) {
                if ($place === $part || str_starts_with($place, "$part.")) {
                    return false;
                }
            }
            if ($change instanceof AddClump && $this->isUnwanted($change)) {
                return false;
            }
            if ($change instanceof AddGroup && !$this->wish->cleaners) {
                return false;
            }
        }

        return true;
    }

    private function isUnwanted(AddClump $change): bool
    {
        return \in_array($change->kind, array_map(static fn (PlantKind $p): string => $p->id, $this->wish->unwanted), true);
    }
}
