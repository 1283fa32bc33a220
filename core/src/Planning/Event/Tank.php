<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Event;

use Olvek\Core\Nature\Water\SourceWater;

/**
 * A tank as its keeper meets it: what can be done to it, and what can be seen of it that makes somebody do it. What goes in or out is
 * booked. Clumps and groups are named by their ids in the plan; days count from filling.
 */
interface Tank
{
    /** A share (0–1) of the water goes out, and water of the plan's changes comes in. */
    public function changeWater(float $share): void;

    /** From now on a share (0–1) of the water is changed every so many days; 0 for never. */
    public function changeFromNowOn(int $every, float $share): void;

    /** From now on, evaporation is made up with this water. */
    public function topUpWith(SourceWater $water): void;

    /** Ammonium chloride, mg N/L in the free water. */
    public function doseAmmonium(float $milligramsPerLitre): void;

    /** Liquid fertiliser, mg/L of each in what water there is; nitrogen as nitrate. */
    public function fertilise(float $nitrogen, float $phosphorus, float $potassium, float $iron): void;

    /** From now on so much dry food, g a day. */
    public function feedFromNowOn(float $grams): void;

    /** From now on the lamp is on for so many hours at a share of its strength. */
    public function lightFromNowOn(float $hours, float $strength): void;

    /** The lamp stays off until a day. */
    public function lampOffUntil(int $day): void;

    /** The water is so many °C warmer than planned until a day. */
    public function warmerUntil(int $day, float $degrees): void;

    /** Nobody feeds, tops up, thins or trims until a day. */
    public function aloneUntil(int $day): void;

    /** Dead leaves, g dry. */
    public function layLeaves(float $grams): void;

    /** So many pieces of a clump are planted. */
    public function plant(string $clump, int $pieces): void;

    /** A share (0–1) of a clump is cut and taken out. */
    public function cut(string $clump, float $share): void;

    /** So many animals of a group come; below 0 they are taken out, never more than there are. */
    public function stock(string $group, int $count): void;

    /** There are so many animals of a group, as somebody counted. */
    public function counted(string $group, int $count): void;

    /** A share (0–1) of a group dies and is left in the tank. */
    public function die(string $group, float $share): void;

    /** A share (0–1) of what lies on the bed, melted leaves and left food among it, is taken out. */
    public function removeMulm(float $share): void;

    /** Somebody looked whether algae show. */
    public function sawAlgae(bool $show): void;

    /** Share of the surface that floaters cover; above 1 they lie on one another. */
    public function cover(): float;

    /** g dry of plants under water per m² of floor. */
    public function density(): float;

    /** The greatest mass against what was planted, of all clumps that do not float; 0 without any. */
    public function mostGrown(): float;

    /** Mass of a clump against what was planted of it. */
    public function grown(string $clump): float;

    /** @return list<string> clumps that float */
    public function floaters(): array;

    /** @return list<string> clumps whose leaves are under water */
    public function submerged(): array;

    /** @return list<string> clumps that do not float */
    public function standing(): array;
}
