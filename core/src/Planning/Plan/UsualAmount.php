<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Plan;

use Olvek\Core\Nature\Animal\AnimalKind;
use Olvek\Core\Nature\Animal\AnimalShape;
use Olvek\Core\Nature\Plant\PlantKind;
use Olvek\Core\Nature\Plant\PlantRole;

/** How much of a kind is usual in a tank of this size, where nobody says: so many pieces, heads, or so much food. */
final class UsualAmount
{
    /** Litres of vessel to a snail and to a shrimp that begin a colony. J (C: a handful of snails, ten shrimp). */
    private const TO_A_SNAIL = 12.0;
    private const TO_A_SHRIMP = 5.0;
    /** Shrimp and snails that begin a colony at most: they breed. C. */
    private const COLONY = 20;
    /** Share of the water that a piece of stone or wood fills. J. */
    private const PIECE = 0.02;
    /** Share of its appetite that is fed to what is no fish: the rest it grazes. C (fed now and then); how much, J. */
    private const GRAZERS_SHARE = 0.25;

    public static function pieces(PlantKind $kind, Plan $plan): int
    {
        $share = self::share($kind->role);
        $area = 1e4 * ($kind->role->coversSurface() ? $plan->surface() : $plan->floor());

        return null === $share
            ? max(1, (int) round($plan->vessel->grossVolume() / self::litres($kind->role)))
            : self::onShare($kind, $share, $area);
    }

    /** Pieces that are planted on a share of the floor, or of the surface for what floats; $area of it in cm². */
    public static function onShare(PlantKind $kind, float $share, float $area): int
    {
        return max(1, min(Clump::MOST_PIECES, (int) round(($share * $area) / max(0.1, $kind->spread->value))));
    }

    /** Share of the floor (of the surface, for what floats) that one clump is planted on. C that stems go in by the bunch; how much, J. */
    private static function share(PlantRole $role): ?float
    {
        return match ($role) {
            PlantRole::FastStem, PlantRole::Runner => 0.12,
            PlantRole::SlowStem, PlantRole::FloatingStem, PlantRole::Floater => 0.08,
            PlantRole::Rosette => 0.1,
            PlantRole::Carpet => 0.18,
            PlantRole::Epiphyte, PlantRole::Moss, PlantRole::Lily, PlantRole::Marsh, PlantRole::HousePlant => null,
        };
    }

    /** Litres of vessel to a piece of what is set by the piece. J. */
    private static function litres(PlantRole $role): float
    {
        return match ($role) {
            PlantRole::Epiphyte => 20.0,
            PlantRole::Marsh => 25.0,
            PlantRole::Lily => 60.0,
            default => 30.0,
        };
    }

    /** L of a piece of stone or wood. */
    public static function hardscape(Plan $plan): float
    {
        return round(self::PIECE * $plan->vessel->volumeBelow($plan->waterLine), 2);
    }

    /** Heads: as many as keep each other company, of what breeds so many as begin a colony; no more than have room. */
    public static function heads(AnimalKind $kind, Plan $plan): int
    {
        $litres = $plan->vessel->grossVolume();
        $least = max(1, (int) $kind->group->value);
        $colony = match ($kind->shape) {
            AnimalShape::Snail => $litres / self::TO_A_SNAIL,
            AnimalShape::Shrimp => $litres / self::TO_A_SHRIMP,
            default => 0.0,
        };
        $room = $kind->litresEach->value > 0 ? floor($litres / $kind->litresEach->value) : \INF;

        return (int) max($least, min(self::COLONY, round($colony), $room));
    }

    /**
     * g of dry food a day for all of a tank's animals.
     *
     * @param array<Group> $groups
     */
    public static function feed(array $groups): float
    {
        return round(array_sum(array_map(static fn (Group $g): float => self::food($g->kind, $g->count), $groups)), 4);
    }

    /** g of dry food a day for so many of a kind. */
    public static function food(AnimalKind $kind, int $heads): float
    {
        return $heads * $kind->grams->value * $kind->food->value * (AnimalShape::Fish === $kind->shape ? 1.0 : self::GRAZERS_SHARE);
    }
}
