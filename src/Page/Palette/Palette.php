<?php

declare(strict_types=1);

namespace Olvek\Page\Palette;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Basis\Unit\Words;
use Olvek\Core\Judgement\Margin\MarginId;
use Olvek\Core\Judgement\Suitability\AnimalSuit;
use Olvek\Core\Judgement\Suitability\PlantSuit;
use Olvek\Core\Nature\Animal\AnimalKind;
use Olvek\Core\Nature\Animal\AnimalShape;
use Olvek\Core\Nature\Bed\Material;
use Olvek\Core\Nature\Bed\MaterialRole;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Nature\Hardscape\HardscapeKind;
use Olvek\Core\Nature\Light\LampKind;
use Olvek\Core\Nature\Plant\PlantKind;
use Olvek\Core\Nature\Plant\PlantRole;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\UsualAmount;
use Olvek\Service\Drawing\CataloguePicture;
use Olvek\Service\Judging\Outcome;

/** The catalogue as pictures, by role, for one tank: what would live there, how much of it is usual, and what is on hand first. */
final readonly class Palette
{
    public function __construct(private Catalogue $catalogue)
    {
    }

    /**
     * @param array<string, int> $stock  pieces on hand, by kind
     * @param string             $search that names must hold
     * @param bool               $fitting only what would live there
     *
     * @return array<string, list<Card>> by role
     */
    public function of(
        ListName $list,
        Plan $plan,
        Outcome $outcome,
        UnitSystem $units,
        array $stock = [],
        string $search = '',
        bool $fitting = false,
    ): array {
        $groups = match ($list) {
            ListName::Plants => $this->plants($plan, $outcome, $units, $stock),
            ListName::Animals => $this->animals($plan, $outcome, $units),
            ListName::Hardscape => $this->hardscape($plan, $units),
            ListName::Lamps => [
                'lamp' => array_map(static fn (LampKind $l): Card => self::lamp($l, $plan), array_values($this->catalogue->lamps)),
            ],
            ListName::Soils => $this->materials(MaterialRole::Soil, 'bed.soil.material', $plan),
            ListName::Caps => $this->materials(MaterialRole::Cap, 'bed.cap.material', $plan),
        };
        $wanted = mb_strtolower(trim($search));
        $shown = static fn (Card $c): bool => (
            '' === $wanted || str_contains(mb_strtolower($c->names), $wanted)
        ) && (!$fitting || $c->fits());

        return array_filter(array_map(static fn (array $cards): array => array_values(array_filter($cards, $shown)), $groups));
    }

    /**
     * @param array<string, int> $stock
     *
     * @return array<string, list<Card>>
     */
    private function plants(Plan $plan, Outcome $outcome, UnitSystem $units, array $stock): array
    {
        $suit = new PlantSuit($plan, $outcome->offer);
        $groups = ['on hand' => [], ...array_fill_keys(array_map(static fn (PlantRole $r): string => $r->words(), PlantRole::cases()), [])];
        foreach ($this->catalogue->plants as $kind) {
            $has = $stock[$kind->id] ?? 0;
            $suits = $suit->of($kind);
            $amount = $has > 0 ? min($has, 2 * $suits->amount) : $suits->amount;
            $groups[$has > 0 ? 'on hand' : $kind->role->words()][] = new Card(
                $kind->id,
                $kind->common,
                $kind->scientific,
                "$kind->common $kind->scientific $kind->synonyms {$kind->role->words()}",
                self::plantWords($kind, $suits->light, $units),
                CataloguePicture::plant($kind),
                "plants.add.$kind->id",
                $amount.($has > 0 ? ' on hand' : ''),
                Words::plural($amount, $kind->piece),
                $suits,
                $has,
            );
        }

        return array_map(self::sorted(...), $groups);
    }

    private static function plantWords(PlantKind $kind, ?float $light, UnitSystem $units): string
    {
        return \sprintf(
            '%sGrows to %s. %s',
            null === $light ? '' : \sprintf('%s %% of its best growth here. ', Decimal::trimmed(100 * min(1.0, $light), 0)),
            $units->show(Dimension::Length, $kind->height->value, 0),
            $kind->remarks,
        );
    }

    /** @return array<string, list<Card>> */
    private function animals(Plan $plan, Outcome $outcome, UnitSystem $units): array
    {
        $suit = new AnimalSuit($plan, $outcome->offer, $outcome->margin(MarginId::Stock), $units);
        $groups = array_fill_keys(array_map(static fn (AnimalShape $f): string => $f->value, AnimalShape::cases()), []);
        foreach ($this->catalogue->animals as $kind) {
            $suits = $suit->of($kind);
            $amount = 0 === $suits->most ? $suits->amount : min($suits->amount, $suits->most ?? $suits->amount);
            $groups[$kind->shape->value][] = new Card(
                $kind->id,
                $kind->common,
                $kind->scientific,
                "$kind->common $kind->scientific $kind->synonyms {$kind->shape->value}",
                self::animalWords($kind, $suits->most, $units),
                CataloguePicture::animal($kind),
                "animals.add.$kind->id",
                (string) $amount,
                '',
                $suits,
            );
        }

        return array_map(self::sorted(...), $groups);
    }

    private static function animalWords(AnimalKind $kind, ?int $most, UnitSystem $units): string
    {
        return \sprintf(
            '%sFrom %s, %s or more. %s',
            null === $most || 0 === $most ? '' : "This tank carries some $most. ",
            $units->show(Dimension::Volume, $kind->leastTank->value, 0),
            Decimal::trimmed($kind->group->value, 0),
            $kind->remarks,
        );
    }

    /** @return array<string, list<Card>> */
    private function hardscape(Plan $plan, UnitSystem $units): array
    {
        $groups = ['stone' => [], 'wood' => []];
        $litres = UsualAmount::hardscape($plan);
        foreach ($this->catalogue->hardscape as $kind) {
            $groups[$kind->wood ? 'wood' : 'stone'][] = new Card(
                $kind->id,
                $kind->name,
                $units->show(Dimension::Mass, 1000 * $litres * $kind->density->value),
                $kind->name,
                self::stoneWords($kind),
                CataloguePicture::piece($kind),
                "hardscape.add.$kind->id",
                $units->show(Dimension::Volume, $litres, 2),
                '',
            );
        }

        return $groups;
    }

    private static function stoneWords(HardscapeKind $kind): string
    {
        return trim(
            ($kind->lime->value > 0.2 ? 'Raises hardness. ' : '').
                ($kind->floats() ? 'Floats until it is soaked or fixed. ' : '').
                ($kind->tannin->value > 2.5 ? 'Tints the water. ' : '').
                $kind->remarks,
        );
    }

    private static function lamp(LampKind $kind, Plan $plan): Card
    {
        return new Card(
            $kind->id,
            $kind->name,
            Decimal::trimmed($kind->lumensPerWatt->value, 0).' lm/W',
            $kind->name,
            \sprintf('%s %% of its light lands. %s', Decimal::trimmed(100 * $kind->landing->value, 0), $kind->remarks),
            CataloguePicture::lamp(),
            'light.kind',
            $kind->id,
            '',
            chosen: $plan->lamp->kind === $kind,
        );
    }

    /** @return array<string, list<Card>> */
    private function materials(MaterialRole $role, string $place, Plan $plan): array
    {
        $layer = MaterialRole::Soil === $role ? $plan->bed->soil : $plan->bed->cap;
        $chosen = null === $layer ? [] : array_map(static fn (array $part): string => $part[0]->id, $layer->mix->parts);
        $of = array_filter($this->catalogue->materials, static fn (Material $m): bool => $m->role === $role);

        return [
            $role->value => array_values(array_map(
                static fn (Material $m): Card => new Card(
                    $m->id,
                    $m->name,
                    \sprintf('%s kg/L', Decimal::trimmed($m->density->value, 1)),
                    $m->name,
                    MaterialRole::Soil === $role
                        ? trim(
                            \sprintf(
                                '%s nitrogen at once, %s. %s',
                                self::much($m->flushNitrogen->value, 60, 220),
                                self::iron($m),
                                $m->remarks,
                            ),
                        )
                        : trim(\sprintf('Grains of %s mm. %s', Decimal::trimmed($m->grain->value, 1), $m->remarks)),
                    CataloguePicture::material($m),
                    $place,
                    $m->id,
                    '',
                    chosen: [$m->id] === $chosen,
                ),
                $of,
            )),
        ];
    }

    private static function much(float $value, float $little, float $plenty): string
    {
        return $value < $little ? 'Little' : ($value > $plenty ? 'Much' : 'Some');
    }

    private static function iron(Material $m): string
    {
        return Words::small(self::much($m->iron->value, 100, 400)).' iron';
    }

    /**
     * @param list<Card> $cards
     *
     * @return list<Card> what would live here first, then by name
     */
    private static function sorted(array $cards): array
    {
        usort($cards, static fn (Card $a, Card $b): int => [
            $a->suits?->state->rank(),
            $a->name,
        ] <=> [$b->suits?->state->rank(), $b->name]);

        return $cards;
    }
}
