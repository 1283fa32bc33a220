<?php

declare(strict_types=1);

namespace Olvek\Core\Run;

use Olvek\Core\Animal\Feed;
use Olvek\Core\Animal\Level;
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
    /** What shrimp and snails burn of themselves against fish. M (0.3–0.6). */
    private const THRIFTY = 0.45;
    /** How much more of the food fish get, being there first. J (2–5). */
    private const QUICK = 3.0;
    /** Times an adult's mass at which an animal eats no more, and span over which its appetite fades. J. */
    private const FAT = 1.8;
    private const FATTENING = 0.4;
    /** Share of what passes through a grazer that it keeps, and excretes as ammonia. J. */
    private const GRAZED_KEPT = 0.25;
    private const GRAZED_EXCRETED = 0.4;

    public static function run(State $s, Day $day, Facts $facts, Books $books, float $food, float $protein, ?Tally $tally = null): void
    {
        $p = $facts->parameters;
        $mass = array_sum($s->animals);
        if ($food > 0) {
            self::feed($s, $day, $facts, $books, $food, $protein);
        }
        $tally?->mark('feeding', $s, $day, from: 'food');
        if ($mass <= 0) {
            return;
        }
        self::graze($s, $day, $facts);
        $tally?->mark('grazing', $s, $day);
        $burnt = 0.0;
        foreach ($facts->plan->groups as $i => $group) {
            $lost = (1 - exp(-$p->animalBasal * (Shape::Fish === $group->kind->shape ? 1.0 : self::THRIFTY) * $day->theta)) * $s->animals[$i];
            $s->animals[$i] -= $lost;
            $burnt += $lost;
        }
        $day->ammoniaIn += $burnt * Books::ANIMAL_NITROGEN;
        self::breathe($day, $burnt * Books::ANIMAL_CARBON);
        $s->phosphorus += $burnt * Books::ANIMAL_PHOSPHORUS;
        $s->potassium += $burnt * Books::ANIMAL_POTASSIUM;
        $s->iron += $burnt * Books::ANIMAL_IRON;
        $tally?->mark('excretion', $s, $day);
    }

    private static function feed(State $s, Day $day, Facts $facts, Books $books, float $food, float $protein): void
    {
        $hungry = [];
        foreach ($facts->plan->groups as $i => $group) {
            // A fat animal leaves its food.
            $condition = $s->heads[$i] > 1e-9 ? $s->animals[$i] / ($s->heads[$i] * $group->kind->grams->value) : 1.0;
            $hungry[$i] = $s->animals[$i] * (Shape::Fish === $group->kind->shape ? self::QUICK : 1.0) * max(0.0, min(1.0, (self::FAT - $condition) / self::FATTENING));
        }
        $mass = array_sum($hungry);
        $nitrogen = (new Feed($food, $protein))->nitrogen();
        $books->add($nitrogen, $food * self::FOOD_PHOSPHORUS, $food * self::FOOD_POTASSIUM, $food * self::FOOD_IRON, $food * self::FOOD_CARBON);
        $eaten = min($food, self::APPETITE * $day->theta * min($mass, array_sum($s->animals)));
        $meal = new Feed($eaten, $protein);
        $grown = min($meal->kept() / Books::ANIMAL_NITROGEN, 0.5 * $eaten * self::FOOD_CARBON / Books::ANIMAL_CARBON, $eaten * self::FOOD_PHOSPHORUS / Books::ANIMAL_PHOSPHORUS, $eaten * self::FOOD_POTASSIUM / Books::ANIMAL_POTASSIUM, $eaten * self::FOOD_IRON / Books::ANIMAL_IRON);
        foreach ($hungry as $i => $grams) {
            $s->animals[$i] += $mass > 0 ? $grown * $grams / $mass : 0.0;
        }
        $day->food += $nitrogen;
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

    /** Grazers take film and diatoms first, mulm for what appetite is left; what swims in the open filters green water. */
    private static function graze(State $s, Day $day, Facts $facts): void
    {
        $p = $facts->parameters;
        $sitting = $drifting = 0.0;
        $weights = [];
        foreach ($facts->plan->groups as $i => $group) {
            $filters = Shape::Fish !== $group->kind->shape && Level::Middle === $group->kind->level;
            $weights[$i] = $group->kind->grazes->value * $s->animals[$i];
            $drifting += $filters ? $weights[$i] : 0.0;
            $sitting += $filters ? 0.0 : $weights[$i];
        }
        $each = $p->grazing * $day->theta;
        // Harder to find the less there is: half speed at 0.2 g of film per m², at 1 mg of green water per L, at 2 g C of mulm per m². J.
        $film = $s->algae[Alga::Film->value] + $s->algae[Alga::Diatom->value];
        $eaten = self::taken($each * $sitting, $film, 0.2 * $facts->litSurface);
        foreach ([Alga::Film->value, Alga::Diatom->value] as $i) {
            self::grazed($s, $day, $facts, $weights, self::cropped($s, $p, $i, $film > 0 ? $eaten * $s->algae[$i] / $film : 0.0));
        }
        $green = Alga::Drift->value;
        self::grazed($s, $day, $facts, $weights, self::cropped($s, $p, $green, self::taken($each * $drifting, $s->algae[$green], 0.001 * $s->volume)));
        $mulm = $s->mulmCarbon / $p->leafCarbon;
        $share = $mulm > 0 ? self::taken(max(0.0, $each * $sitting - $eaten), $mulm, 2.0 * 1000 / $p->leafCarbon * $facts->floor) / $mulm : 0.0;
        if ($share > 0) {
            $meal = new Meal($share * $s->mulmCarbon, $share * $s->mulmNitrogen, $share * $s->mulmPhosphorus, $share * $s->mulmPotassium, $share * $s->mulmIron);
            $s->mulmCarbon -= $meal->carbon;
            $s->mulmNitrogen -= $meal->nitrogen;
            $s->mulmPhosphorus -= $meal->phosphorus;
            $s->mulmPotassium -= $meal->potassium;
            $s->mulmIron -= $meal->iron;
            self::grazed($s, $day, $facts, $weights, $meal);
        }
    }

    /** g that grazers get of what there is: never more than half of it in a day. */
    private static function taken(float $appetite, float $there, float $half): float
    {
        return $there > 0 ? min(0.5 * $there, $appetite * $there / ($half + $there)) : 0.0;
    }

    private static function cropped(State $s, Parameters $p, int $alga, float $grams): Meal
    {
        $nitrogen = $s->algae[$alga] > 0 ? $s->algaeNitrogen[$alga] * $grams / $s->algae[$alga] : 0.0;
        $s->algae[$alga] -= $grams;
        $s->algaeNitrogen[$alga] -= $nitrogen;

        return new Meal($grams * $p->leafCarbon, $nitrogen, $grams * $p->leafPhosphorus, $grams * $p->leafPotassium, $grams * $p->leafIron);
    }

    /** @param array<int, float> $weights what each group takes of it */
    private static function grazed(State $s, Day $day, Facts $facts, array $weights, Meal $meal): void
    {
        $all = array_sum($weights);
        if ($all <= 0 || $meal->carbon <= 0) {
            return;
        }
        $grown = min(self::GRAZED_KEPT * $meal->nitrogen / Books::ANIMAL_NITROGEN, 0.4 * $meal->carbon / Books::ANIMAL_CARBON, 0.5 * $meal->phosphorus / Books::ANIMAL_PHOSPHORUS, 0.5 * $meal->potassium / Books::ANIMAL_POTASSIUM, 0.5 * $meal->iron / Books::ANIMAL_IRON);
        foreach ($weights as $i => $weight) {
            $s->animals[$i] += $grown * $weight / $all;
        }
        $day->ammoniaIn += self::GRAZED_EXCRETED * $meal->nitrogen;
        $s->mulmNitrogen += (1 - self::GRAZED_EXCRETED) * $meal->nitrogen - $grown * Books::ANIMAL_NITROGEN;
        $s->mulmCarbon += 0.3 * $meal->carbon;
        self::breathe($day, 0.7 * $meal->carbon - $grown * Books::ANIMAL_CARBON);
        $s->mulmPhosphorus += $meal->phosphorus - $grown * Books::ANIMAL_PHOSPHORUS;
        $s->mulmPotassium += $meal->potassium - $grown * Books::ANIMAL_POTASSIUM;
        $s->mulmIron += $meal->iron - $grown * Books::ANIMAL_IRON;
    }

    private static function breathe(Day $day, float $carbon): void
    {
        $day->carbonIn += $carbon;
        $day->oxygenOut += $carbon * WaterHours::OXYGEN_PER_CARBON;
    }
}
