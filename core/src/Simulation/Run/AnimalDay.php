<?php

declare(strict_types=1);

namespace Olvek\Core\Simulation\Run;

use Olvek\Core\Nature\Animal\Feed;
use Olvek\Core\Nature\Water\Oxygen;

/**
 * Animals on a day: swimmers eat first, then fish of the bottom, then shrimp and snails; these crop algae and mulm, fish hunt in it; all
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
    /**
     * Share of the food that swimmers can catch before it has sunk, while somebody waits below. J (0.4–0.8); C: who keeps bottom feeders
     * gives them food that sinks.
     */
    private const CAUGHT = 0.6;
    /** Times an adult's mass at which an animal eats no more, and span over which its appetite fades. J. */
    private const FAT = 1.5;
    private const FATTENING = 0.4;
    /** Share of a meal's carbon that can become animal. J. */
    private const FED_CARBON = 0.5;
    /** Shares of what a grazer eats that it keeps, of nitrogen, of carbon and of the rest, and of nitrogen that it excretes. J. */
    private const GRAZED_KEPT = 0.25;
    private const GRAZED_CARBON = 0.4;
    private const GRAZED_REST = 0.5;
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
        $swimmers = $sifters = $others = [];
        $bySwimmers = $bySifters = $byOthers = 0.0;
        [$heads, $animals] = [$s->heads, $s->animals];
        foreach ($facts->groups as $i => $group) {
            // A fat animal leaves its food.
            $hunger = (self::FAT - self::condition($animals[$i], $heads[$i], $group->grams)) / self::FATTENING;
            $hunger = $hunger < 1.0 ? ($hunger > 0.0 ? $hunger : 0.0) : 1.0;
            $appetite = self::APPETITE * $day->theta * $animals[$i] * $hunger * $group->eats;
            if ($group->swims) {
                $bySwimmers += $swimmers[$i] = $appetite;
            } elseif ($group->fish) {
                $bySifters += $sifters[$i] = $appetite;
            } else {
                $byOthers += $others[$i] = $appetite;
            }
        }
        $gram = self::gram($facts, $protein);
        $books->in($gram->times($food));
        $day->food += $food * $gram->nitrogen;
        $first = min(self::CAUGHT * $food, $bySwimmers);
        // Fish of the bottom are quicker than shrimp and snails.
        $then = min($food - $first, $bySifters);
        $last = min($food - $first - $then, $byOthers);
        // Swimmers pick up what the bottom leaves.
        $first += min($food - $first - $then - $last, $bySwimmers - $first);
        self::eat($s, $day, $swimmers, $bySwimmers, $first, $gram);
        self::eat($s, $day, $sifters, $bySifters, $then, $gram);
        self::eat($s, $day, $others, $byOthers, $last, $gram);
        $s->scraps->add($gram, $food - $first - $then - $last);
    }

    /** What a g of the food holds. */
    private static function gram(RunConstants $facts, float $protein): Matter
    {
        $feed = $facts->plan->feed;
        $nitrogen = (new Feed(1.0, $protein))->nitrogen();

        return new Matter(self::FOOD_CARBON, $nitrogen, $feed->phosphorus, self::FOOD_POTASSIUM, $feed->iron);
    }

    /**
     * @param array<int, float> $appetites g dry by group
     * @param float             $all       their sum
     * @param Matter            $gram      what one of it holds
     */
    private static function eat(State $s, Day $day, array $appetites, float $all, float $grams, Matter $gram): void
    {
        if ($grams <= 0.0 || $all <= 0.0) {
            return;
        }
        $carbon = $grams * $gram->carbon;
        $nitrogen = $grams * $gram->nitrogen;
        $phosphorus = $grams * $gram->phosphorus;
        $potassium = $grams * $gram->potassium;
        $iron = $grams * $gram->iron;
        $grown = self::grown($nitrogen * Feed::KEPT_SHARE, self::FED_CARBON * $carbon, $phosphorus, $potassium, $iron);
        $each = $grown / $all;
        $animals = $s->animals;
        foreach ($appetites as $i => $appetite) {
            $animals[$i] += $each * $appetite;
        }
        $s->animals = $animals;
        $ammonia = $nitrogen * Feed::AMMONIA_SHARE;
        $day->ammoniaIn += $ammonia;
        $passed = 0.2 * $carbon;
        $s->fat += $carbon - $passed - $grown * MassBalance::ANIMAL_CARBON;
        // Of phosphorus, potassium and iron not kept, half is dissolved and half falls. J.
        $phosphorus = ($phosphorus - $grown * MassBalance::ANIMAL_PHOSPHORUS) / 2;
        $potassium = ($potassium - $grown * MassBalance::ANIMAL_POTASSIUM) / 2;
        $iron = ($iron - $grown * MassBalance::ANIMAL_IRON) / 2;
        $s->phosphorus += $phosphorus;
        $s->potassium += $potassium;
        $s->iron += $iron;
        $droppings = $s->droppings;
        $droppings->carbon += $passed;
        $droppings->nitrogen += $nitrogen - $ammonia - $grown * MassBalance::ANIMAL_NITROGEN;
        $droppings->phosphorus += $phosphorus;
        $droppings->potassium += $potassium;
        $droppings->iron += $iron;
    }

    /** g of animal that is built at most of what of a meal can be kept, mg of each. */
    private static function grown(float $nitrogen, float $carbon, float $phosphorus, float $potassium, float $iron): float
    {
        $grown = $nitrogen / MassBalance::ANIMAL_NITROGEN;
        $by = $carbon / MassBalance::ANIMAL_CARBON;
        $grown = $by < $grown ? $by : $grown;
        $by = $phosphorus / MassBalance::ANIMAL_PHOSPHORUS;
        $grown = $by < $grown ? $by : $grown;
        $by = $potassium / MassBalance::ANIMAL_POTASSIUM;
        $grown = $by < $grown ? $by : $grown;
        $by = $iron / MassBalance::ANIMAL_IRON;
        $grown = $by < $grown ? $by : $grown;

        return $grown > 0.0 ? $grown : 0.0;
    }

    /**
     * Grazers take film and diatoms first, mulm for what appetite is left; what swims in the open filters green water; small fish hunt the
     * life in the mulm.
     */
    private static function graze(State $s, Day $day, RunConstants $facts): void
    {
        $p = $facts->parameters;
        $sitting = $drifting = $hunting = 0.0;
        $animals = $s->animals;
        foreach ($facts->groups as $i => $group) {
            $grams = $animals[$i];
            if ($group->filters) {
                $drifting += $group->grazes * $grams;
            } else {
                $sitting += $group->grazes * $grams;
            }
            $hunting += $group->hunts * $grams;
        }
        $each = $p->grazing * $day->theta;
        $bySitters = $byFilterers = $byHunters = 0.0;
        // Harder to find the less there is: half speed at 0.2 g of film per m², at 1 mg of green water per L, at 2 g C of mulm per m². J.
        $film = $day->algaeMean[Alga::Film->value] + $day->algaeMean[Alga::Diatom->value];
        $eaten = self::taken($each * $sitting, $film, 0.2 * $facts->litSurface);
        if ($eaten > 0.0) {
            foreach ([Alga::Film->value, Alga::Diatom->value] as $i) {
                $grams = min(0.9 * $s->algae[$i], ($eaten * $day->algaeMean[$i]) / $film);
                $bySitters += self::grazedAlga($s, $day, $p, $i, $grams);
            }
        }
        $green = Alga::Drift->value;
        $filtered = min(0.9 * $s->algae[$green], self::taken($each * $drifting, $day->algaeMean[$green], 0.001 * $s->volume));
        if ($filtered > 0.0) {
            $byFilterers = self::grazedAlga($s, $day, $p, $green, $filtered);
        }
        $all = $s->scraps->carbon + $s->droppings->carbon + $s->litter->carbon;
        if ($all > 0.0) {
            $half = ((2.0 * 1000) / $p->leafCarbon) * $facts->floor;
            $left = max(0.0, $each * $sitting - $eaten);
            $taken = (self::taken($left, $all / $p->leafCarbon, $half) * $p->leafCarbon) / $all;
            $hunted = (self::taken(self::PREY * $each * $hunting, $all / $p->leafCarbon, $half) * $p->leafCarbon) / $all;
            foreach ([$s->scraps, $s->droppings, $s->litter] as $store) {
                if ($taken > 0.0) {
                    $bySitters += self::cropped($s, $day, $store, $taken);
                }
                if ($hunted > 0.0) {
                    $byHunters += self::cropped($s, $day, $store, $hunted);
                }
            }
        }
        self::shareOut(
            $s,
            $facts,
            $sitting > 0.0 ? $bySitters / $sitting : 0.0,
            $drifting > 0.0 ? $byFilterers / $drifting : 0.0,
            $hunting > 0.0 ? $byHunters / $hunting : 0.0,
        );
    }

    /**
     * Grazers grow by their appetites.
     *
     * @param float $perSitter   share of itself by which each grew, by what it grazes
     * @param float $perFilterer the same
     * @param float $perHunter   the same, of small fish
     */
    private static function shareOut(State $s, RunConstants $facts, float $perSitter, float $perFilterer, float $perHunter): void
    {
        $animals = $s->animals;
        foreach ($facts->groups as $i => $group) {
            $animals[$i] *= 1 + ($group->filters ? $perFilterer : $perSitter) * $group->grazes + $group->hunts * $perHunter;
        }
        $s->animals = $animals;
    }

    /** g that grazers get of what there is: never more than half of it in a day. */
    private static function taken(float $appetite, float $there, float $half): float
    {
        if ($there <= 0) {
            return 0.0;
        }
        $taken = ($appetite * $there) / ($half + $there);

        return $taken < 0.5 * $there ? $taken : 0.5 * $there;
    }

    /** g that grazers grow by a share of what lies there. No matter is made for it: that is what a day's grazing would mostly be. */
    private static function cropped(State $s, Day $day, Matter $store, float $share): float
    {
        $carbon = $share * $store->carbon;
        $nitrogen = $share * $store->nitrogen;
        $phosphorus = $share * $store->phosphorus;
        $potassium = $share * $store->potassium;
        $iron = $share * $store->iron;
        $store->carbon -= $carbon;
        $store->nitrogen -= $nitrogen;
        $store->phosphorus -= $phosphorus;
        $store->potassium -= $potassium;
        $store->iron -= $iron;

        return self::grazed($s, $day, $carbon, $nitrogen, $phosphorus, $potassium, $iron);
    }

    /** g that grazers grow by so many g dry of an alga. */
    private static function grazedAlga(State $s, Day $day, Parameters $p, int $alga, float $grams): float
    {
        return self::grazed(
            $s,
            $day,
            $grams * $p->leafCarbon,
            AlgaeDay::take($s, $alga, $grams),
            $grams * $p->leafPhosphorus,
            $grams * $p->leafPotassium,
            $grams * $p->leafIron,
        );
    }

    /** g that grazers grow by a meal (mg of each); what they neither keep, breathe nor excrete falls as droppings. */
    private static function grazed(
        State $s,
        Day $day,
        float $carbon,
        float $nitrogen,
        float $phosphorus,
        float $potassium,
        float $iron,
    ): float {
        if ($carbon <= 0) {
            return 0.0;
        }
        $grown = self::grown(
            self::GRAZED_KEPT * $nitrogen,
            self::GRAZED_CARBON * $carbon,
            self::GRAZED_REST * $phosphorus,
            self::GRAZED_REST * $potassium,
            self::GRAZED_REST * $iron,
        );
        $excreted = self::GRAZED_EXCRETED * $nitrogen;
        $day->ammoniaIn += $excreted;
        $kept = $grown * MassBalance::ANIMAL_CARBON;
        $breathed = 0.7 * $carbon - $kept;
        self::breathe($day, $breathed);
        $droppings = $s->droppings;
        $droppings->carbon += $carbon - $kept - $breathed;
        $droppings->nitrogen += $nitrogen - $grown * MassBalance::ANIMAL_NITROGEN - $excreted;
        $droppings->phosphorus += $phosphorus - $grown * MassBalance::ANIMAL_PHOSPHORUS;
        $droppings->potassium += $potassium - $grown * MassBalance::ANIMAL_POTASSIUM;
        $droppings->iron += $iron - $grown * MassBalance::ANIMAL_IRON;

        return $grown;
    }

    /** What rest and swimming cost: carbon that was eaten, and a little of the body itself, less of it the leaner. */
    private static function burn(State $s, Day $day, RunConstants $facts): void
    {
        $warmth = self::WARMTH ** ($day->celsius - 25);
        $needs = $burnt = 0.0;
        $breath = ((self::ROUTINE * $facts->parameters->animalBreath * 24) / Oxygen::PER_CARBON) * $warmth;
        $basal = $facts->parameters->animalBasal * $warmth;
        [$heads, $animals] = [$s->heads, $s->animals];
        foreach ($facts->groups as $i => $group) {
            $grams = $animals[$i];
            if ($grams <= 0) {
                continue;
            }
            $spared = self::condition($grams, $heads[$i], $group->grams) / self::SPARES_FROM;
            $spared = $spared < 1.0 ? ($spared > self::SPARED ? $spared : self::SPARED) : 1.0;
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

    /** Mean mass of animals against an adult's. */
    private static function condition(float $grams, float $heads, float $adult): float
    {
        return $heads > 1e-9 ? $grams / ($heads * $adult) : 1.0;
    }

    private static function breathe(Day $day, float $carbon): void
    {
        $day->carbonIn += $carbon;
        $day->oxygenOut += $carbon * Oxygen::PER_CARBON;
    }
}
