<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Solve\Compose;

use Olvek\Core\Nature\Plant\PlantKind;
use Olvek\Core\Planning\Plan\Method;
use Olvek\Core\Planning\Plan\Plan;

/** What a keeper has and dreams of, before there is a plan. */
final readonly class Wish
{
    /** Animals, and plants wanted, unwanted or on hand, that one wish names. */
    public const MOST_KINDS = 30;

    /**
     * @param Plan               $tank      its vessel, place, water and, where it is the keeper's own, its lamp; without plants and animals
     * @param list<WishedAnimal> $animals
     * @param bool               $cleaners  snails and shrimp may be added that nobody named
     * @param Taste|null         $taste     whose plan comes first
     * @param list<PlantKind>        $wanted
     * @param list<PlantKind>        $unwanted
     * @param list<array{PlantKind, int}> $onHand pieces that are there already
     * @param Method|null        $method    null: whatever suits
     * @param bool               $hasVessel the vessel is there already, so it costs nothing
     */
    public function __construct(
        public Plan $tank,
        public LampWish $lamp = LampWish::Suggest,
        public array $animals = [],
        public bool $cleaners = true,
        public ?Taste $taste = null,
        public array $wanted = [],
        public array $unwanted = [],
        public array $onHand = [],
        public ?Method $method = null,
        public bool $hasVessel = false,
    ) {
    }

    /**
     * The same with another lamp, or other animals.
     *
     * @param list<WishedAnimal>|null $animals null for the same
     */
    public function with(?LampWish $lamp = null, ?array $animals = null): self
    {
        /** @phpstan-ignore argument.type (the names and types are those of the constructor) */
        return new self(...[...get_object_vars($this), 'lamp' => $lamp ?? $this->lamp, 'animals' => $animals ?? $this->animals]);
    }

    public function isUnwanted(PlantKind $kind): bool
    {
        return \in_array($kind->id, array_map(static fn (PlantKind $p): string => $p->id, $this->unwanted), true);
    }

    public function isWanted(PlantKind $kind): bool
    {
        return \in_array($kind->id, array_map(static fn (PlantKind $p): string => $p->id, $this->wanted), true);
    }

    /** Pieces of a kind that are there already. */
    public function has(PlantKind $kind): int
    {
        foreach ($this->onHand as [$had, $pieces]) {
            if ($had->id === $kind->id) {
                return $pieces;
            }
        }

        return 0;
    }

    /** @return non-empty-list<Taste> the wished one first */
    public function tastes(): array
    {
        $tastes = Taste::cases();
        usort($tastes, fn (Taste $a, Taste $b): int => ($b === $this->taste) <=> ($a === $this->taste));

        return $tastes;
    }
}
