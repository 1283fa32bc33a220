<?php

declare(strict_types=1);

namespace Olvek\Service\Editing;

use Olvek\Core\Basis\Field\KindOf;
use Olvek\Core\Nature\Bed\MaterialRole;
use Olvek\Core\Nature\Catalogue\Catalogue;

/** What of the catalogue may be chosen, as lists for a page: label by value, or such lists by their heading. */
final readonly class Options
{
    public function __construct(private Catalogue $catalogue)
    {
    }

    /** @return array<string, string> */
    public function waters(): array
    {
        return array_map(static fn ($w): string => $w->name, $this->catalogue->waters);
    }

    /**
     * @param KindOf $list a field that names a kind of lamp, food or material
     *
     * @return array<string, string>
     */
    public function kinds(KindOf $list): array
    {
        return [
            '' => $list->none,
            ...array_map(
                static fn ($k): string => $k->name,
                match ($list->table) {
                    'lamps' => $this->catalogue->lamps,
                    'foods' => $this->catalogue->foods,
                    'materials' => array_filter(
                        $this->catalogue->materials,
                        static fn ($m): bool => null === $list->only || $m->role->value === $list->only,
                    ),
                    default => throw new \LogicException("$list->table is chosen elsewhere"),
                },
            ),
        ];
    }

    /** @return array<string, string> */
    public function amendments(): array
    {
        return array_map(static fn ($a): string => $a->name, $this->catalogue->amendments);
    }

    /** @return array<string, string> materials, of one role or of all */
    public function materials(?MaterialRole $role): array
    {
        return array_map(
            static fn ($m): string => $m->name,
            array_filter($this->catalogue->materials, static fn ($m): bool => null === $role || $m->role === $role),
        );
    }
}
