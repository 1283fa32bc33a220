<?php

declare(strict_types=1);

namespace Olvek\Core\Simulation\Run;

use Olvek\Core\Nature\Water\SourceWater;
use Olvek\Core\Planning\Event\Tank;

/**
 * The tank of a run on one of its days, as events meet it.
 *
 * @internal
 */
final readonly class RunningTank implements Tank
{
    /** mg per g of fallen leaf. M (N 8–15, P 0.5–1.5, K 1–5, Fe 0.05–0.3, C 450–500). */
    private const LEAF_NITROGEN = 10.0;
    private const LEAF_PHOSPHORUS = 0.8;
    private const LEAF_POTASSIUM = 2.0;
    private const LEAF_IRON = 0.15;
    private const LEAF_CARBON = 470.0;

    public function __construct(
        private int $day,
        private State $state,
        private Conditions $conditions,
        private RunConstants $facts,
        private MassBalance $books,
    ) {
    }

    public function changeWater(float $share): void
    {
        WaterKeeping::change($this->state, $this->facts, $this->books, $share, $this->conditions->change);
    }

    public function changeFromNowOn(int $every, float $share): void
    {
        $this->conditions->changeEvery = $every;
        $this->conditions->changeShare = $share;
    }

    public function topUpWith(SourceWater $water): void
    {
        $this->conditions->topUp = SourceContents::of($water, $this->facts->plan->site->temperature);
    }

    public function doseAmmonium(float $milligramsPerLitre): void
    {
        $dose = $milligramsPerLitre * $this->state->volume;
        $this->state->ammonia += $dose;
        $this->books->nitrogen += $dose;
        $this->books->salt(-$dose);
    }

    /** Nitrate comes with potassium for its charge. */
    public function fertilise(float $nitrogen, float $phosphorus, float $potassium, float $iron): void
    {
        $v = $this->state->volume;
        $this->state->nitrate += $nitrogen * $v;
        $this->state->phosphorus += $phosphorus * $v;
        $this->state->potassium += $potassium * $v;
        $this->state->iron += $iron * $v;
        $this->books->fertilised += $nitrogen * $v;
        $this->books->salt($nitrogen * $v);
        $this->books->add($nitrogen * $v, $phosphorus * $v, $potassium * $v, $iron * $v, 0.0);
    }

    public function feedFromNowOn(float $grams): void
    {
        $this->conditions->food = $grams;
    }

    public function lightFromNowOn(float $hours, float $strength): void
    {
        $this->conditions->lightHours = $hours;
        $this->conditions->lightShare = $strength;
    }

    public function lampOffUntil(int $day): void
    {
        $this->conditions->darkUntil = $day;
    }

    public function warmerUntil(int $day, float $degrees): void
    {
        $this->conditions->spell = $degrees;
        $this->conditions->spellUntil = $day;
    }

    public function aloneUntil(int $day): void
    {
        $this->conditions->awayUntil = $day;
    }

    public function layLeaves(float $grams): void
    {
        $leaves = (new Matter(self::LEAF_CARBON, self::LEAF_NITROGEN, self::LEAF_PHOSPHORUS, self::LEAF_POTASSIUM, self::LEAF_IRON))->times(
            $grams,
        );
        $this->state->litter->add($leaves);
        $this->books->in($leaves);
    }

    public function plant(string $clump, int $pieces): void
    {
        $i = $this->facts->clump($clump);
        $grams = $pieces * $this->facts->plan->clumps[$i]->kind->dryPerPiece->value;
        $this->state->plantedOn[$i] = (float) $this->day;
        $this->state->plantedMass[$i] = $grams;
        $this->books->in($this->state->plant($this->facts->parameters, $i, $grams));
    }

    public function cut(string $clump, float $share): void
    {
        $i = $this->facts->clump($clump);
        $grams = $share * $this->state->biomass[$i];
        $this->books->cut($i, $grams, $this->state->leaf($this->facts->parameters, $i, $grams));
    }

    public function stock(string $group, int $count): void
    {
        $i = $this->facts->group($group);
        $grams = max($count * $this->facts->plan->groups[$i]->kind->grams->value, -$this->state->animals[$i]);
        $this->state->animals[$i] += $grams;
        $before = $this->state->heads[$i];
        $this->state->heads[$i] = max(0.0, $before + $grams / $this->facts->plan->groups[$i]->kind->grams->value);
        $this->state->givenAway[$i] += max(0.0, $before - $this->state->heads[$i]);
        $this->books->in(Matter::animal($grams));
    }

    public function counted(string $group, int $count): void
    {
        $i = $this->facts->group($group);
        $heads = $this->state->heads[$i];
        // As heavy as those that the run knew; newcomers as heavy as they are bought.
        $each = $heads > 0.0 ? $this->state->animals[$i] / $heads : $this->facts->plan->groups[$i]->kind->grams->value;
        $grams = $count * $each - $this->state->animals[$i];
        $this->state->animals[$i] += $grams;
        $this->state->heads[$i] = (float) $count;
        $this->books->in(Matter::animal($grams));
    }

    public function die(string $group, float $share): void
    {
        $i = $this->facts->group($group);
        $grams = $share * $this->state->animals[$i];
        $this->state->animals[$i] -= $grams;
        $this->state->heads[$i] *= 1 - $share;
        $this->state->scraps->add(Matter::animal($grams));
    }

    public function removeMulm(float $share): void
    {
        foreach ([$this->state->scraps, $this->state->droppings, $this->state->litter] as $store) {
            $this->books->out($store->take($share));
        }
    }

    public function sawAlgae(bool $show): void
    {
        $this->conditions->algaeSeen = $show;
    }

    public function cover(): float
    {
        $mat = 0.0;
        foreach ($this->facts->mats as $i => $densest) {
            $mat += $this->state->biomass[$i] / $densest;
        }

        return $mat / $this->facts->surface / $this->facts->floaterPart;
    }

    public function density(): float
    {
        $grams = 0.0;
        foreach ($this->facts->plan->clumps as $i => $clump) {
            $grams += $clump->hasLeavesInAir() ? 0.0 : $this->state->biomass[$i];
        }

        return $grams / $this->facts->floor;
    }

    public function mostGrown(): float
    {
        $most = 0.0;
        $planted = $this->state->plantedMass;
        foreach ($this->state->biomass as $i => $grams) {
            if ($planted[$i] > 0 && $grams > $most * $planted[$i] && !isset($this->facts->mats[$i])) {
                $most = $grams / $planted[$i];
            }
        }

        return $most;
    }

    public function grown(string $clump): float
    {
        $i = $this->facts->clump($clump);

        return $this->state->plantedMass[$i] > 0 ? $this->state->biomass[$i] / $this->state->plantedMass[$i] : 0.0;
    }

    public function floaters(): array
    {
        return $this->facts->floaters;
    }

    public function submerged(): array
    {
        return $this->facts->submerged;
    }

    public function standing(): array
    {
        return $this->facts->standing;
    }
}
