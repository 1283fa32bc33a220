<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Solve\Compose;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Basis\Supply\Source;
use Olvek\Core\Judgement\Margin\MarginState;
use Olvek\Core\Judgement\Suitability\PlantSuit;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Nature\Plant\PlantKind;
use Olvek\Core\Nature\Plant\PlantRole;
use Olvek\Core\Nature\Plant\Removal;
use Olvek\Core\Nature\Plant\Zone;
use Olvek\Core\Planning\Plan\Clump;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\UsualAmount;

/** Plants a bare tank after a taste: kinds that would live there, what is on hand and wanted first. */
final readonly class Planter
{
    /** Day on which kinds that melt easily follow. C: one to two weeks after the rest. */
    private const TENDER_DAY = 10;
    /** Places along the front, one after another, by zone. J: tall at the sides and back, low in front, something in the middle last. */
    private const PLACES = [
        Zone::Back->value => [0.16, 0.84, 0.36, 0.64, 0.5],
        Zone::Middle->value => [0.3, 0.7, 0.14, 0.86, 0.5],
        Zone::Front->value => [0.5, 0.22, 0.78],
        Zone::Surface->value => [0.25, 0.75, 0.5],
        Zone::Edge->value => [0.88, 0.12, 0.5],
        Zone::Hardscape->value => [0.6, 0.45, 0.3],
    ];
    /** Share of the usual amount below which what is on hand is made up with bought pieces. J. */
    private const ENOUGH = 0.7;

    public function __construct(private Catalogue $catalogue, private Wish $wish, private Taste $taste)
    {
    }

    /**
     * @param PlantSuit $suit of the bare tank
     *
     * @return array{Plan, list<Unmet>} what of the plants wanted is not among them, and why
     */
    public function plant(Plan $plan, PlantSuit $suit): array
    {
        $chosen = [];
        foreach ($this->planting($plan) as [$role, $share]) {
            $kind = $this->best($role, $plan, $suit, array_column($chosen, 0));
            if (null !== $kind) {
                $chosen[$kind->id] = [$kind, $share];
            }
        }
        $unmet = [];
        $others = [...$this->wish->wanted, ...array_column($this->wish->onHand, 0)];
        foreach ($others as $kind) {
            if (isset($chosen[$kind->id]) || $this->wish->isUnwanted($kind)) {
                continue;
            }
            $suits = $suit->of($kind);
            if (MarginState::Fails === $suits->state) {
                if ($this->wish->isWanted($kind)) {
                    $unmet[] = new Unmet(
                        Message::text($kind->common),
                        $suits->messages(),
                        self::needed($kind, $suits->light),
                        $kind->id,
                    );
                }
                continue;
            }
            $chosen[$kind->id] = [$kind, 0.0];
        }

        return [$this->set($plan, $chosen), $unmet];
    }

    /** @return list<array{PlantRole, float}> */
    private function planting(Plan $plan): array
    {
        $rigid = [] === $plan->pieces ? [PlantRole::Epiphyte, PlantRole::Moss] : [];
        $out = $plan->site->lid || $plan->site->sealed ? [PlantRole::HousePlant, PlantRole::Marsh] : [];
        // Under the open sky, lilies and marsh plants take the place of what belongs in a room.
        $planting = $plan->site->isOutdoors()
            ? [[PlantRole::Lily, 0.0], [PlantRole::Marsh, 0.0], ...array_values(array_filter(
                $this->taste->planting(),
                static fn (array $p): bool => !\in_array($p[0], [PlantRole::HousePlant, PlantRole::Epiphyte, PlantRole::Lily], true),
            ))]
            : $this->taste->planting();

        return array_values(array_filter($planting, static fn (array $p): bool => !\in_array($p[0], [...$rigid, ...$out], true)));
    }

    /**
     * The kind of a role that suits best.
     *
     * @param list<PlantKind> $taken
     */
    private function best(PlantRole $role, Plan $plan, PlantSuit $suit, array $taken): ?PlantKind
    {
        $favourites = array_flip($this->taste->favourites());
        $best = null;
        foreach ($this->catalogue->plants as $kind) {
            if ($kind->role !== $role || \in_array($kind, $taken, true) || $this->wish->isUnwanted($kind)) {
                continue;
            }
            $suits = $suit->of($kind);
            if (MarginState::Fails === $suits->state) {
                continue;
            }
            $rank = [
                $this->wish->has($kind) > 0 ? 0 : 1,
                $this->wish->isWanted($kind) ? 0 : 1,
                $suits->state->rank(),
                $favourites[$kind->id] ?? 100,
                Removal::Hard === $kind->removal ? 1 : 0,
                $kind->sensitive || $kind->invasive ? 1 : 0,
                $kind->halfLight->value,
                $kind->id,
            ];
            if (null === $best || $rank < $best[0]) {
                $best = [$rank, $kind];
            }
        }

        return $best[1] ?? null;
    }

    /** @param array<string, array{PlantKind, float}> $chosen kinds, and the share of the floor that each shall have; 0 for what is usual */
    private function set(Plan $plan, array $chosen): Plan
    {
        $used = [];
        $n = 0;
        foreach ($chosen as [$kind, $share]) {
            $zone = $kind->zone->value;
            $places = self::PLACES[$zone];
            $place = $places[($used[$zone] ?? 0) % \count($places)];
            $used[$zone] = ($used[$zone] ?? 0) + 1;
            $wanted = self::pieces($kind, $share, $plan);
            $had = min($this->wish->has($kind), 2 * $wanted);
            $lots = $had >= self::ENOUGH * $wanted
                ? [[$had, Source::OnHand]]
                : [...$had > 0 ? [[$had, Source::OnHand]] : [], [$wanted - $had, Source::Shop]];
            foreach ($lots as $i => [$pieces, $source]) {
                ++$n;
                $plan = $plan->withClump($this->clump($plan, "c$n", $kind, $pieces, min(1.0, $place + 0.06 * $i), $source));
            }
        }

        return $plan;
    }

    private function clump(Plan $plan, string $id, PlantKind $kind, int $pieces, float $place, Source $source): Clump
    {
        $vessel = $plan->vessel;
        // Round vessels have no corners to plant in.
        [$along, $across] = $vessel->outline()->nearest($place * $vessel->length(), $kind->zone->row() * $vessel->width());

        return new Clump(
            $id,
            $kind,
            $pieces,
            round(max(0.0, min(1.0, $along / $vessel->length())), 2),
            round(max(0.0, min(1.0, $across / $vessel->width())), 2),
            day: $kind->sensitive ? self::TENDER_DAY : 0,
            source: $source,
        );
    }

    private static function pieces(PlantKind $kind, float $share, Plan $plan): int
    {
        $area = 1e4 * ($kind->role->coversSurface() ? $plan->surface() : $plan->floor());

        return $share > 0 ? UsualAmount::onShare($kind, $share, $area) : UsualAmount::pieces($kind, $plan);
    }

    private static function needed(PlantKind $kind, ?float $light): Message
    {
        return null !== $light && $light < 0.2 ? new Message('needed.light-or-gas') : new Message('needed.conditions');
    }
}
