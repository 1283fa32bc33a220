<?php

declare(strict_types=1);

namespace Olvek\Core\Run;

use Olvek\Core\Animal\Feed;
use Olvek\Core\Animal\Shape;

/**
 * Animals on a day: they eat food and (shrimp and snails) algae, excrete, breathe, grow, and starve a little.
 *
 * Excretion of ammonia follows the published share of protein; carbon that is neither kept nor passed is breathed.
 *
 * @internal
 */
final class AnimalDay
{
    /** g C per g dry food. M (0.40–0.50). */
    private const FOOD_CARBON = 450.0;
    /** mg per g dry food. M: P 8–15, K 5–10, Fe 0.1–0.4. */
    private const FOOD_PHOSPHORUS = 11.0;
    private const FOOD_POTASSIUM = 8.0;
    private const FOOD_IRON = 0.25;
    /** g dry food that a g of animal can eat a day at 25 °C. J (0.03–0.06). */
    private const APPETITE = 0.04;
    /** Share of what passes through a grazer that it keeps, and excretes as ammonia. J. */
    private const GRAZED_KEPT = 0.25;
    private const GRAZED_EXCRETED = 0.4;

    public static function run(State $s, Day $day, Facts $facts, Books $books, float $food, float $protein): void
    {
        $p = $facts->parameters;
        $mass = array_sum($s->animals);
        if ($food > 0) {
            self::feed($s, $day, $books, $mass, $food, $protein);
        }
        if ($mass <= 0) {
            return;
        }
        self::graze($s, $day, $facts);
        $basal = 1 - exp(-$p->animalBasal * $day->theta);
        $burnt = $basal * array_sum($s->animals);
        foreach ($s->animals as $i => $grams) {
            $s->animals[$i] = $grams * (1 - $basal);
        }
        $day->ammoniaIn += $burnt * Books::ANIMAL_NITROGEN;
        self::breathe($day, $burnt * Books::ANIMAL_CARBON);
        $s->phosphorus += $burnt * Books::ANIMAL_PHOSPHORUS;
        $s->potassium += $burnt * Books::ANIMAL_POTASSIUM;
        $s->iron += $burnt * Books::ANIMAL_IRON;
    }

    private static function feed(State $s, Day $day, Books $books, float $mass, float $food, float $protein): void
    {
        $nitrogen = (new Feed($food, $protein))->nitrogen();
        $books->add($nitrogen, $food * self::FOOD_PHOSPHORUS, $food * self::FOOD_POTASSIUM, $food * self::FOOD_IRON, $food * self::FOOD_CARBON);
        $eaten = min($food, self::APPETITE * $day->theta * $mass);
        $meal = new Feed($eaten, $protein);
        $grown = min($meal->kept() / Books::ANIMAL_NITROGEN, 0.5 * $eaten * self::FOOD_CARBON / Books::ANIMAL_CARBON, $eaten * self::FOOD_PHOSPHORUS / Books::ANIMAL_PHOSPHORUS, $eaten * self::FOOD_POTASSIUM / Books::ANIMAL_POTASSIUM, $eaten * self::FOOD_IRON / Books::ANIMAL_IRON);
        foreach ($s->animals as $i => $grams) {
            $s->animals[$i] += $mass > 0 ? $grown * $grams / $mass : 0.0;
        }
        $day->ammoniaIn += $meal->ammonia();
        // Faeces, whatever was not kept after all, and crumbs.
        $s->mulmNitrogen += $meal->nitrogen() - $meal->ammonia() - $grown * Books::ANIMAL_NITROGEN + $nitrogen - $meal->nitrogen();
        $passed = 0.2 * $eaten * self::FOOD_CARBON;
        $s->mulmCarbon += $passed + ($food - $eaten) * self::FOOD_CARBON;
        self::breathe($day, $eaten * self::FOOD_CARBON - $passed - $grown * Books::ANIMAL_CARBON);
        // Of phosphorus, potassium and iron not kept, half is dissolved and half falls. J.
        $p = $eaten * self::FOOD_PHOSPHORUS - $grown * Books::ANIMAL_PHOSPHORUS;
        $k = $eaten * self::FOOD_POTASSIUM - $grown * Books::ANIMAL_POTASSIUM;
        $fe = $eaten * self::FOOD_IRON - $grown * Books::ANIMAL_IRON;
        $s->phosphorus += $p / 2;
        $s->potassium += $k / 2;
        $s->iron += $fe / 2;
        $s->mulmPhosphorus += $p / 2 + ($food - $eaten) * self::FOOD_PHOSPHORUS;
        $s->mulmPotassium += $k / 2 + ($food - $eaten) * self::FOOD_POTASSIUM;
        $s->mulmIron += $fe / 2 + ($food - $eaten) * self::FOOD_IRON;
    }

    private static function graze(State $s, Day $day, Facts $facts): void
    {
        $p = $facts->parameters;
        $grazers = 0.0;
        foreach ($facts->plan->groups as $i => $group) {
            $grazers += Shape::Fish === $group->kind->shape ? 0.0 : $s->animals[$i];
        }
        if ($grazers <= 0 || $s->algae <= 0) {
            return;
        }
        // Harder to find the less there is: half speed at 0.2 g per m². J.
        $half = 0.2 * $facts->litSurface;
        $eaten = min(0.5 * $s->algae, $p->grazing * $day->theta * $grazers * $s->algae / ($half + $s->algae));
        $nitrogen = $s->algaeNitrogen * $eaten / $s->algae;
        $s->algae -= $eaten;
        $s->algaeNitrogen -= $nitrogen;
        $carbon = $eaten * $p->leafCarbon;
        $grown = min(self::GRAZED_KEPT * $nitrogen / Books::ANIMAL_NITROGEN, 0.4 * $carbon / Books::ANIMAL_CARBON, 0.5 * $eaten * $p->leafPhosphorus / Books::ANIMAL_PHOSPHORUS, 0.5 * $eaten * $p->leafPotassium / Books::ANIMAL_POTASSIUM, 0.5 * $eaten * $p->leafIron / Books::ANIMAL_IRON);
        foreach ($facts->plan->groups as $i => $group) {
            if (Shape::Fish !== $group->kind->shape) {
                $s->animals[$i] += $grown * $s->animals[$i] / $grazers;
            }
        }
        $day->ammoniaIn += self::GRAZED_EXCRETED * $nitrogen;
        $s->mulmNitrogen += (1 - self::GRAZED_EXCRETED) * $nitrogen - $grown * Books::ANIMAL_NITROGEN;
        $s->mulmCarbon += 0.3 * $carbon;
        self::breathe($day, 0.7 * $carbon - $grown * Books::ANIMAL_CARBON);
        $s->mulmPhosphorus += $eaten * $p->leafPhosphorus - $grown * Books::ANIMAL_PHOSPHORUS;
        $s->mulmPotassium += $eaten * $p->leafPotassium - $grown * Books::ANIMAL_POTASSIUM;
        $s->mulmIron += $eaten * $p->leafIron - $grown * Books::ANIMAL_IRON;
    }

    private static function breathe(Day $day, float $carbon): void
    {
        $day->carbonIn += $carbon;
        $day->oxygenOut += $carbon * WaterHours::OXYGEN_PER_CARBON;
    }
}
