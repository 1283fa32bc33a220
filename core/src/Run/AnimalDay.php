<?php

declare(strict_types=1);

namespace Olvek\Core\Run;

use Olvek\Core\Animal\Feed;
use Olvek\Core\Water\Oxygen;

/**
 * Animals on a day: swimmers eat first, the bottom what they leave; shrimp and snails crop algae and mulm, small fish the life in it; all
 * excrete, breathe and burn a little of themselves.
 *
 * Excretion of ammonia follows the published share of protein. Carbon that is eaten and neither kept nor passed goes to a common store
 * that is breathed: as fast as size and warmth ask, or half of it a day where more was eaten.
 *
 * @internal
 */
final readonly class AnimalDay
{
    /** g C per g dry food. M (0.40–0.50). */
    private const FOOD_CARBON = 450.0;
    /** mg K per g dry food. M (5–10). */
    private const FOOD_POTASSIUM = 8.0;
    /** g dry food that a g of animal can eat a day at 25 °C. J (0.03–0.06). */
    private const APPETITE = 0.04;
    /** Share of the food that swimmers can catch before it has sunk. J (0.6–0.95). */
    private const CAUGHT = 0.85;
    /** Times an adult's mass at which an animal eats no more, and span over which its appetite fades. J. */
    private const FAT = 1.5;
    private const FATTENING = 0.4;
    /** Share of what passes through a grazer that it keeps, and excretes as ammonia. J. */
    private const GRAZED_KEPT = 0.25;
    private const GRAZED_EXCRETED = 0.4;
    /** Share of the rotting mulm's carbon that becomes small life, prey for fish. J (0.05–0.2). */
    private const PREY = 0.1;
    /**
     * Condition (share of an adult's mass) below which an animal spares itself, and the least that it then burns against usual. M: Brett &
     * Groves (1979), Fish Physiology 8.
     */
    private const SPARES_FROM = 0.8;
    private const SPARED = 0.4;
    /** Times a resting fish's breath that one going about its day takes. M (1.5–2). */
    private const ROUTINE = 1.7;
    /** Per °C. P: Clarke & Johnston (1999): Q10 1.83. */
    private const WARMTH = 1.062;
    /** Share of what was eaten and not yet breathed that is breathed in a day at least. J. */
    private const DIGESTED = 0.5;

    public function __construct(private RunConstants $facts)
    {
    }

    /**
     * @param float $food    g dry given
     * @param float $protein share (0–1) of it
     */
    public function run(State $s, Day $day, MassBalance $books, float $food, float $protein, ?FlowRecorder $tally = null): void
    {
        $facts = $this->facts;
        if ($food > 0) {
            self::feed($s, $day, $facts, $books, $food, $protein);
        }
        $tally?->mark('feeding', $s, $day, from: 'food');
        if (array_sum($s->animals) <= 0 && $s->fat <= 0) {
            return;
        }
        self::graze($s, $day, $facts);
        $tally?->mark('grazing', $s, $day);
        self::burn($s, $day, $facts);
        $tally?->mark('excretion', $s, $day);
    }

    private static function feed(State $s, Day $day, RunConstants $facts, MassBalance $books, float $food, float $protein): void
    {
        $swimmers = $others = [];
        $byFirst = $byThen = 0.0;
        foreach ($facts->groups as $i => $group) {
            // A fat animal leaves its food.
            $hunger = max(0.0, min(1.0, (self::FAT - self::condition($s, $group, $i)) / self::FATTENING));
            $appetite = self::APPETITE * $day->theta * $s->animals[$i] * $hunger * $group->eats;
            if ($group->swims) {
                $byFirst += $swimmers[$i] = $appetite;
            } else {
                $byThen += $others[$i] = $appetite;
            }
        }
        $gram = new Feed(1.0, $protein);
        $given = self::food($facts, $gram, $food);
        $books->in($given);
        $day->food += $given->nitrogen;
        $first = min(self::CAUGHT * $food, $byFirst);
        $then = min($food - $first, $byThen);
        // Swimmers pick up what the bottom leaves.
        $first += min($food - $first - $then, $byFirst - $first);
        self::eat($s, $day, $swimmers, $byFirst, $first, $gram, self::food($facts, $gram, $first));
        self::eat($s, $day, $others, $byThen, $then, $gram, self::food($facts, $gram, $then));
        $s->scraps->add(self::food($facts, $gram, $food - $first - $then));
    }

    /** What so many g of food hold, of which one is given. */
    private static function food(RunConstants $facts, Feed $gram, float $grams): Matter
    {
        $feed = $facts->plan->feed;

        return new Matter(
            $grams * self::FOOD_CARBON,
            $grams * $gram->nitrogen(),
            $grams * $feed->phosphorus,
            $grams * self::FOOD_POTASSIUM,
            $grams * $feed->iron,
        );
    }

    /**
     * @param array<int, float> $appetites g dry by group
     * @param float             $all       their sum
     * @param Feed              $gram      of what is eaten
     */
    private static function eat(State $s, Day $day, array $appetites, float $all, float $grams, Feed $gram, Matter $held): void
    {
        if ($grams <= 0.0 || $all <= 0.0) {
            return;
        }
        $grown = self::grown($held, $grams * $gram->kept() / max(1e-12, $held->nitrogen), 0.5, 1.0);
        $each = $grown / $all;
        foreach ($appetites as $i => $appetite) {
            $s->animals[$i] += $each * $appetite;
        }
        $ammonia = $grams * $gram->ammonia();
        $day->ammoniaIn += $ammonia;
        $kept = Matter::animal($grown);
        $passed = 0.2 * $held->carbon;
        $s->fat += $held->carbon - $passed - $kept->carbon;
        // Of phosphorus, potassium and iron not kept, half is dissolved and half falls. J.
        $phosphorus = ($held->phosphorus - $kept->phosphorus) / 2;
        $potassium = ($held->potassium - $kept->potassium) / 2;
        $iron = ($held->iron - $kept->iron) / 2;
        $s->phosphorus += $phosphorus;
        $s->potassium += $potassium;
        $s->iron += $iron;
        $s->droppings->add(new Matter($passed, $held->nitrogen - $ammonia - $kept->nitrogen, $phosphorus, $potassium, $iron));
    }

    /** g of animal that a meal builds at most, by shares of nitrogen, carbon and the rest that can be kept. */
    private static function grown(Matter $meal, float $nitrogen, float $carbon, float $rest): float
    {
        return max(
            0.0,
            min(
                ($nitrogen * $meal->nitrogen) / MassBalance::ANIMAL_NITROGEN,
                ($carbon * $meal->carbon) / MassBalance::ANIMAL_CARBON,
                ($rest * $meal->phosphorus) / MassBalance::ANIMAL_PHOSPHORUS,
                ($rest * $meal->potassium) / MassBalance::ANIMAL_POTASSIUM,
                ($rest * $meal->iron) / MassBalance::ANIMAL_IRON,
            ),
        );
    }

    /**
     * Grazers take film and diatoms first, mulm for what appetite is left; what swims in the open filters green water; small fish hunt the
     * life in the mulm.
     */
    private static function graze(State $s, Day $day, RunConstants $facts): void
    {
        $p = $facts->parameters;
        $sitting = $drifting = $hunting = 0.0;
        foreach ($facts->groups as $i => $group) {
            $grams = $s->animals[$i];
            if ($group->filters) {
                $drifting += $group->grazes * $grams;
            } else {
                $sitting += $group->grazes * $grams;
            }
            $hunting += $group->fish ? $grams : 0.0;
        }
        $each = $p->grazing * $day->theta;
        $bySitters = $byFilterers = $byHunters = 0.0;
        // Harder to find the less there is: half speed at 0.2 g of film per m², at 1 mg of green water per L, at 2 g C of mulm per m². J.
        $film = $day->algaeMean[Alga::Film->value] + $day->algaeMean[Alga::Diatom->value];
        $eaten = self::taken($each * $sitting, $film, 0.2 * $facts->litSurface);
        if ($eaten > 0.0) {
            foreach ([Alga::Film->value, Alga::Diatom->value] as $i) {
                $grams = min(0.9 * $s->algae[$i], ($eaten * $day->algaeMean[$i]) / $film);
                $bySitters += self::grazed($s, $day, AlgaeDay::matter($s, $p, $i, $grams));
            }
        }
        $green = Alga::Drift->value;
        $filtered = min(0.9 * $s->algae[$green], self::taken($each * $drifting, $day->algaeMean[$green], 0.001 * $s->volume));
        if ($filtered > 0.0) {
            $byFilterers = self::grazed($s, $day, AlgaeDay::matter($s, $p, $green, $filtered));
        }
        $all = $s->scraps->carbon + $s->droppings->carbon + $s->litter->carbon;
        if ($all > 0.0) {
            $half = ((2.0 * 1000) / $p->leafCarbon) * $facts->floor;
            $left = max(0.0, $each * $sitting - $eaten);
            $taken = (self::taken($left, $all / $p->leafCarbon, $half) * $p->leafCarbon) / $all;
            $hunted = (self::taken(self::PREY * $each * $hunting, $all / $p->leafCarbon, $half) * $p->leafCarbon) / $all;
            foreach ([$s->scraps, $s->droppings, $s->litter] as $store) {
                if ($taken > 0.0) {
                    $bySitters += self::grazed($s, $day, $store->take($taken));
                }
                if ($hunted > 0.0) {
                    $byHunters += self::grazed($s, $day, $store->take($hunted));
                }
            }
        }
        self::shareOut($s, $facts, [$sitting, $bySitters], [$drifting, $byFilterers], [$hunting, $byHunters]);
    }

    /**
     * Grazers grow by their appetites.
     *
     * @param array{float, float} $sitters   g of them by what each grazes, and g by which they grew
     * @param array{float, float} $filterers the same
     * @param array{float, float} $hunters   g of them, and g by which they grew
     */
    private static function shareOut(State $s, RunConstants $facts, array $sitters, array $filterers, array $hunters): void
    {
        $perSitter = $sitters[0] > 0.0 ? $sitters[1] / $sitters[0] : 0.0;
        $perFilterer = $filterers[0] > 0.0 ? $filterers[1] / $filterers[0] : 0.0;
        $perHunter = $hunters[0] > 0.0 ? $hunters[1] / $hunters[0] : 0.0;
        $animals = $s->animals;
        foreach ($facts->groups as $i => $group) {
            $animals[$i] *= 1 + ($group->filters ? $perFilterer : $perSitter) * $group->grazes + ($group->fish ? $perHunter : 0.0);
        }
        $s->animals = $animals;
    }

    /** g that grazers get of what there is: never more than half of it in a day. */
    private static function taken(float $appetite, float $there, float $half): float
    {
        return $there > 0 ? min(0.5 * $there, ($appetite * $there) / ($half + $there)) : 0.0;
    }

    /** g that grazers grow by a meal; what they neither keep, breathe nor excrete falls as droppings. */
    private static function grazed(State $s, Day $day, Matter $meal): float
    {
        if ($meal->carbon <= 0) {
            return 0.0;
        }
        $grown = self::grown($meal, self::GRAZED_KEPT, 0.4, 0.5);
        $excreted = self::GRAZED_EXCRETED * $meal->nitrogen;
        $day->ammoniaIn += $excreted;
        $kept = $grown * MassBalance::ANIMAL_CARBON;
        $breathed = 0.7 * $meal->carbon - $kept;
        self::breathe($day, $breathed);
        $droppings = $s->droppings;
        $droppings->carbon += $meal->carbon - $kept - $breathed;
        $droppings->nitrogen += $meal->nitrogen - $grown * MassBalance::ANIMAL_NITROGEN - $excreted;
        $droppings->phosphorus += $meal->phosphorus - $grown * MassBalance::ANIMAL_PHOSPHORUS;
        $droppings->potassium += $meal->potassium - $grown * MassBalance::ANIMAL_POTASSIUM;
        $droppings->iron += $meal->iron - $grown * MassBalance::ANIMAL_IRON;

        return $grown;
    }

    /** What rest and swimming cost: carbon that was eaten, and a little of the body itself, less of it the leaner. */
    private static function burn(State $s, Day $day, RunConstants $facts): void
    {
        $warmth = self::WARMTH ** ($day->celsius - 25);
        $needs = $burnt = 0.0;
        $breath = ((self::ROUTINE * $facts->parameters->animalBreath * 24) / Oxygen::PER_CARBON) * $warmth;
        $basal = $facts->parameters->animalBasal * $warmth;
        $animals = $s->animals;
        foreach ($facts->groups as $i => $group) {
            $grams = $animals[$i];
            if ($grams <= 0) {
                continue;
            }
            $spared = max(self::SPARED, min(1.0, self::condition($s, $group, $i) / self::SPARES_FROM));
            $needs += $breath * $group->breathes * $grams;
            $lost = (1 - exp(-$basal * $spared * $group->burns)) * $grams;
            $animals[$i] = $grams - $lost;
            $burnt += $lost;
        }
        $s->animals = $animals;
        $body = Matter::animal($burnt);
        $day->ammoniaIn += $body->nitrogen;
        $s->phosphorus += $body->phosphorus;
        $s->potassium += $body->potassium;
        $s->iron += $body->iron;
        $fat = min($s->fat, max(self::DIGESTED * $s->fat, $needs - $body->carbon));
        $s->fat -= $fat;
        self::breathe($day, $body->carbon + $fat);
    }

    /** Mean mass of a group's animals against an adult's. */
    private static function condition(State $s, GroupConstants $group, int $i): float
    {
        return $s->heads[$i] > 1e-9 ? $s->animals[$i] / ($s->heads[$i] * $group->grams) : 1.0;
    }

    private static function breathe(Day $day, float $carbon): void
    {
        $day->carbonIn += $carbon;
        $day->oxygenOut += $carbon * Oxygen::PER_CARBON;
    }
}
