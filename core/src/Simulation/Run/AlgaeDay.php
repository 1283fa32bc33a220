<?php

declare(strict_types=1);

namespace Olvek\Core\Simulation\Run;

use Olvek\Core\Nature\Water\Oxygen;

/**
 * Algae on a day: film, green water and diatoms; fast, with a keen appetite, held by light, room, silicate and being eaten.
 *
 * μ = μmax·fT·I/(K_I+I)·min(h,18)/12·(Q−6)/(15−6)·room·(what plants leave) − respiration − mortality.
 *
 * @internal
 */
final class AlgaeDay
{
    /** Most of the water's phosphorus, potassium, iron or silicon that a day's growth may draw: at a rate of 0.8 d⁻¹. J. */
    private const DRAWABLE = 0.55;
    /** g dry below which nothing dies. J. */
    private const DEAD = 1e-4;
    /** g dry of each alga per m² below which spores keep it. J. */
    private const SPORES = [1e-3, 1e-4, 3e-4];
    /** mg dry/L of green water at which it shades itself to a stop. M (30–100). */
    private const GREENEST = 60.0;
    /** Share of its death by unseen grazers and decay that an alga meets in a new tank, and days until it meets all. J. */
    private const UNSEEN_AT_FIRST = 0.25;
    private const UNSEEN_DAYS = 42.0;
    /** Uptake of nitrogen against what greatest growth of a full cell needs. J (1.5–4). */
    private const UPTAKE = 2.0;
    /** mg Si/L at which diatoms grow at half speed. M (0.02–0.2). */
    private const HALF_SILICON = 0.1;

    /** @var array<int, float> today's potential growth, g dry a day, before CO2 */
    private array $potential = [0.0, 0.0, 0.0];
    /** @var array<int, float> mg N each could take in a light hour */
    private array $appetite = [0.0, 0.0, 0.0];

    /** Share (0–1) of their appetite that they met with the day before. */
    private float $met = 0.5;
    private readonly DayMean $foreseen;
    private readonly DayMean $foreseenNitrogen;
    /** @var array<int, float> mg N, mean of the day */
    private array $meanNitrogen = [];
    /** @var array<int, float> g dry, mean of the day */
    public array $mean = [];

    /** @var array<int, float> d⁻¹ of each */
    private readonly array $growth;
    /** @var array<int, float> */
    private readonly array $mortality;
    /** @var array<int, float> µmol/m²/s */
    private readonly array $halfLight;

    public function __construct(private readonly RunConstants $facts)
    {
        $p = $facts->parameters;
        $this->foreseen = new DayMean();
        $this->foreseenNitrogen = new DayMean();
        $this->growth = array_map(static fn (Alga $alga): float => $alga->growth($p), Alga::cases());
        $this->mortality = array_map(static fn (Alga $alga): float => $alga->mortality($p), Alga::cases());
        $this->halfLight = array_map(static fn (Alga $alga): float => $alga->halfLight($p), Alga::cases());
    }

    /** Takes the day's masses as they stand before anything eats, breathes or grows; spores come first. */
    public function dawn(State $s, MassBalance $books): void
    {
        $this->seed($s, $books);
        $this->mean = $this->foreseen->means($s->algae);
        $this->meanNitrogen = $this->foreseenNitrogen->means($s->algaeNitrogen);
    }

    /** Lays out what they could fix and take up. */
    public function prepare(State $s, Day $day): void
    {
        $p = $this->facts->parameters;
        $span = $p->leafNitrogenMost - $p->leafNitrogenLeast;
        $length = min($day->lightHours, 18.0) / 12;
        $whole = array_sum($s->algae);
        // What the plants leave of phosphorus, potassium and iron; a tenth is always within reach. J.
        // Through the day the water holds about the mean of what it began and ends with.
        $phosphorus = max(0.0, ($day->phosphorusAtDawn + $s->phosphorus - $day->phosphorusDrawn) / 2);
        $rest = min(
            1.0,
            (0.5 * $phosphorus) / max(1e-9, $whole * $p->leafPhosphorus),
            (0.5 * MulmDay::ironMean($s, $day->ironAtDawn, $day->ironDrawn)) / max(1e-9, $whole * $p->leafIron),
            (0.5 * $s->potassium) / max(1e-9, $whole * $p->leafPotassium),
        );
        [$drift, $diatom] = [Alga::Drift->value, Alga::Diatom->value];
        $means = $this->mean;
        $full = $p->leafNitrogenFull - $p->leafNitrogenLeast;
        $silicon = $s->silicon / $s->volume;
        // Film and diatoms share what is lit; green water shades itself.
        $bare = 1 - ($s->algae[Alga::Film->value] + $s->algae[$diatom]) / ($p->algaeDensest * $this->facts->litSurface);
        $open = 1 - (1000 * $s->algae[$drift]) / $s->volume / self::GREENEST;
        $fixes = $appetites = 0.0;
        $potential = $appetite = [];
        foreach ($this->growth as $i => $growth) {
            $mean = $means[$i];
            $quota = $mean > 0 ? $this->meanNitrogen[$i] / $mean : $p->leafNitrogenPlanted;
            $fed = ($quota - $p->leafNitrogenLeast) / $full;
            $fed = $fed < 1.0 ? ($fed > 0.0 ? $fed : 0.0) : 1.0;
            $light = $drift === $i ? $day->driftLight : $day->algaeLight;
            $room = $drift === $i ? $open : $bare;
            $lit = ($growth * $day->theta * $light) / ($this->halfLight[$i] + $light);
            $rate = $room > 0.0 ? $lit * $length * $fed * $room * $rest : 0.0;
            if ($diatom === $i) {
                $rate *= $silicon / (self::HALF_SILICON + $silicon);
            }
            $grows = $potential[] = ($rate < 2.0 ? $rate : 2.0) * $mean;
            // They fill up within a day: hunger fades as fast as what they met with yesterday lets them, exactly.
            $fills = (self::UPTAKE * $growth * $day->theta * $p->leafNitrogenMost) / $span;
            $fading = $fills * $this->met;
            $holds = $s->algae[$i] > 0 ? $s->algaeNitrogen[$i] / $s->algae[$i] : $p->leafNitrogenPlanted;
            $hungry = $p->leafNitrogenMost > $holds ? $p->leafNitrogenMost - $holds : 0.0;
            $appetites += $appetite[] =
                ($fills * $mean * $hungry * ($fading > 1e-6 ? (1 - exp(-$fading)) / $fading : 1.0)) / 24;
            $fixes += ($grows * $p->leafCarbon) / max(1e-9, $day->lightHours);
        }
        $this->potential = $potential;
        $this->appetite = $appetite;
        $day->algaeAppetite = $appetites;
        $day->fixAlgae = $fixes;
    }

    /** Books what the day brought. */
    public function settle(State $s, Day $day, float $age): void
    {
        $p = $this->facts->parameters;
        // Plants drew first; algae grow on no more than is left, and diatoms on no more than there is silicate for.
        $grown = [];
        foreach ($this->potential as $i => $grams) {
            $grown[$i] = $grams * $day->algaeShare;
        }
        $fixed = array_sum($grown);
        $grown[Alga::Diatom->value] = min($grown[Alga::Diatom->value], (self::DRAWABLE * $s->silicon) / $p->diatomSilicon);
        $sum = array_sum($grown);
        $most = max(
            0.0,
            min(
                (self::DRAWABLE * $s->phosphorus) / $p->leafPhosphorus,
                (self::DRAWABLE * $s->potassium) / $p->leafPotassium,
                (self::DRAWABLE * $s->iron) / $p->leafIron,
            ),
        );
        $share = $sum > $most ? $most / $sum : 1.0;
        // Carbon that was fixed beyond that is given off again.
        $s->carbon += ($fixed - $sum * $share) * $p->leafCarbon;
        $this->met = $day->algaeAppetite > 0 ? min(1.0, $day->algaeNitrogen / $day->algaeAppetite / 24) : 0.0;
        $s->phosphorus -= $sum * $share * $p->leafPhosphorus;
        $s->potassium -= $sum * $share * $p->leafPotassium;
        $s->iron -= $sum * $share * $p->leafIron;
        $s->silicon -= $grown[Alga::Diatom->value] * $share * $p->diatomSilicon;
        // Those that eat and kill algae unseen come after them.
        $eaten = $day->theta * (self::UNSEEN_AT_FIRST + (1 - self::UNSEEN_AT_FIRST) * min(1.0, $age / self::UNSEEN_DAYS));
        $met = $day->algaeAppetite > 0 ? $day->algaeNitrogen / $day->algaeAppetite : 0.0;
        [$held, $nitrogen, $means, $appetite] = [$s->algae, $s->algaeNitrogen, $this->mean, $this->appetite];
        $died = $diedNitrogen = 0.0;
        foreach ($this->mortality as $i => $mortality) {
            $holds = $nitrogen[$i] + $met * $appetite[$i];
            $there = $held[$i] + $grown[$i] * $share;
            $alive = $means[$i] - self::DEAD;
            $lost = $alive > 0.0 ? $mortality * $eaten * $alive : 0.0;
            $lost = $lost < 0.9 * $there ? $lost : 0.9 * $there;
            $lostNitrogen = $there > 0 ? ($holds * $lost) / $there : 0.0;
            $held[$i] = $there - $lost;
            $nitrogen[$i] = $holds - $lostNitrogen;
            $died += $lost;
            $diedNitrogen += $lostNitrogen;
        }
        $s->algae = $held;
        $s->algaeNitrogen = $nitrogen;
        $litter = $s->litter;
        $litter->carbon += $died * $p->leafCarbon;
        $litter->nitrogen += $diedNitrogen;
        $litter->phosphorus += $died * $p->leafPhosphorus;
        $litter->potassium += $died * $p->leafPotassium;
        $litter->iron += $died * $p->leafIron;
        $this->foreseen->learn($s->algae);
        $this->foreseenNitrogen->learn($s->algaeNitrogen);
    }

    /** Takes g dry of an alga out, with all that is in it; returns the mg N of that. */
    public static function take(State $s, int $alga, float $grams): float
    {
        $nitrogen = $s->algae[$alga] > 0 ? ($s->algaeNitrogen[$alga] * $grams) / $s->algae[$alga] : 0.0;
        $s->algae[$alga] -= $grams;
        $s->algaeNitrogen[$alga] -= $nitrogen;

        return $nitrogen;
    }

    /** Breathing is computed before the hours. */
    public function breathe(State $s, Day $day): void
    {
        $p = $this->facts->parameters;
        [$grams, $nitrogen] = [$s->algae, $s->algaeNitrogen];
        $all = 0.0;
        foreach ($this->mean as $i => $mean) {
            $burnt = $p->algaeRespiration * $day->theta * $mean;
            $half = 0.5 * $grams[$i];
            $burnt = $burnt < $half ? $burnt : $half;
            $left = $grams[$i] -= $burnt;
            $all += $burnt;
            $excess = $nitrogen[$i] - $p->leafNitrogenMost * $left;
            if ($excess > 0) {
                $nitrogen[$i] -= $excess;
                $day->ammoniaIn += $excess;
            }
        }
        $s->algae = $grams;
        $s->algaeNitrogen = $nitrogen;
        $s->phosphorus += $all * $p->leafPhosphorus;
        $s->potassium += $all * $p->leafPotassium;
        $s->iron += $all * $p->leafIron;
        $day->carbonIn += $all * $p->leafCarbon;
        $day->oxygenOut += $all * $p->leafCarbon * Oxygen::PER_CARBON;
    }

    /** Spores come with air, hands and top-up, so that algae never die out. */
    private function seed(State $s, MassBalance $books): void
    {
        $p = $this->facts->parameters;
        foreach (self::SPORES as $i => $spores) {
            $missing = $spores * $this->facts->litSurface - $s->algae[$i];
            if ($missing > 0) {
                $s->algae[$i] += $missing;
                $s->algaeNitrogen[$i] += $missing * $p->leafNitrogenPlanted;
                $books->add(
                    $missing * $p->leafNitrogenPlanted,
                    $missing * $p->leafPhosphorus,
                    $missing * $p->leafPotassium,
                    $missing * $p->leafIron,
                    $missing * $p->leafCarbon,
                );
            }
        }
    }
}
