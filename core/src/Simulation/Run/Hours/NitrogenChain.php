<?php

declare(strict_types=1);

namespace Olvek\Core\Simulation\Run\Hours;

use Olvek\Core\Basis\Unit\MolarMass;
use Olvek\Core\Nature\Plant\Growth;
use Olvek\Core\Nature\Water\Ammonia;
use Olvek\Core\Simulation\Run\Day;
use Olvek\Core\Simulation\Run\RunConstants;
use Olvek\Core\Simulation\Run\State;

/**
 * Nitrogen down its chain: ammonia to nitrite to nitrate, with leaves, algae and denitrification drawing on the way. Each store is
 * implicit in its own sinks (Theta) and hands exactly what they took to the next, so nothing turns negative and nothing is lost (after P:
 * Burchard, Deleersnijder & Meister 2003, A high-order conservative Patankar-type discretisation). How strongly a sink pulls is taken at
 * the middle of the step, which a first, fully implicit guess finds.
 *
 * @internal
 */
final class NitrogenChain
{
    /** mg N/L of ammonia, mean of a fortnight, at which the guild that goes all the way is half as common. J (0.1–2). */
    private const COMAMMOX_HALF = 0.5;

    /** mg N in the water. */
    public float $ammonia = 0.0;
    public float $nitrite = 0.0;
    public float $nitrate = 0.0;

    /** mg N of the last step: oxidised to nitrite at least, oxidised to nitrate, and taken as nitrite or nitrate by leaves and algae. */
    public float $oxidisedFirst = 0.0;
    public float $oxidisedSecond = 0.0;
    public float $takenOxidised = 0.0;
    /** meq of alkalinity that the last step moved. */
    public float $charge = 0.0;

    /** mg N of the day. */
    public float $plants = 0.0;
    public float $algae = 0.0;
    public float $ammoniumTaken = 0.0;
    public float $allFirst = 0.0;
    public float $allSecond = 0.0;
    public float $denitrified = 0.0;
    public float $sumAmmonia = 0.0;
    /** mg N/L, highest of the day. */
    public float $mostAmmonia = 0.0;
    public float $mostNitrite = 0.0;
    public float $mostUnionised = 0.0;

    private float $litres = 1.0;
    private float $plantAppetite = 0.0;
    private float $algaeAppetite = 0.0;
    private readonly float $halfAmmonia;
    private readonly float $halfNitrite;
    private readonly float $halfAlgae;
    /** Share of what is oxidised that one guild takes all the way. */
    private float $through = 0.0;
    /** Share of the nitrate that an hour denitrifies. */
    private float $denitrifying = 0.0;
    private float $acidity = 0.0;
    /** mg N an hour at noon, and by how much it rises over the day. */
    private float $ammoniaNoon = 0.0;
    private float $ammoniaRise = 0.0;

    public function __construct(private readonly RunConstants $facts, private readonly Colonies $colonies)
    {
        $this->halfAmmonia = $facts->parameters->halfAmmonia;
        $this->halfNitrite = $facts->parameters->halfNitrite;
        $this->halfAlgae = $facts->parameters->algaeHalfNitrogen;
    }

    public function begin(State $s, Day $day, float $litres): void
    {
        $facts = $this->facts;
        $p = $facts->parameters;
        $this->litres = $litres;
        $this->plants = $this->algae = $this->ammoniumTaken = $this->allFirst = $this->allSecond = 0.0;
        $this->denitrified = $this->sumAmmonia = $this->mostUnionised = 0.0;
        $this->ammonia = $s->ammonia;
        $this->nitrite = $s->nitrite;
        $this->nitrate = $s->nitrate;
        $this->mostAmmonia = $s->ammonia;
        $this->mostNitrite = $s->nitrite;
        $this->plantAppetite = $day->plantAppetite / $litres;
        $this->algaeAppetite = $day->algaeAppetite / $litres;
        $this->through = $p->structure->twoGuilds ? 0.0 : ($p->comammox * self::COMAMMOX_HALF) / (self::COMAMMOX_HALF + $s->meanAmmonia);
        $rotting = $day->rotting / 1000 / $facts->floor;
        $this->denitrifying = ((($p->denitrification * $rotting) / (1 + $rotting)) * $day->theta * $facts->floor * 1000) / $litres / 24;
        $this->acidity = 10 ** -Ammonia::pKa($day->celsius);
        $this->ammoniaNoon = $day->ammoniaIn / 24;
        $this->ammoniaRise = $day->ammoniaRise / 24;
    }

    /**
     * @param float $at       share of the day that is over in the middle of the step
     * @param float $hours    of the step
     * @param float $awake    share (0–1) of their daytime appetite that leaves and algae have now
     * @param float $oxygen   mg/L
     * @param float $hydrogen mol/L
     */
    public function step(float $at, float $hours, float $awake, float $oxygen, float $hydrogen): void
    {
        $v = $this->litres;
        $plant = $this->plantAppetite * $awake * $hours;
        $alga = $this->algaeAppetite * $awake * $hours;
        $freed = ($this->ammoniaNoon + $this->ammoniaRise * ($at - 0.5)) * $hours;
        $denitrifying = $this->denitrifying * $hours;
        $through = $this->through;
        $halfAlgae = $this->halfAlgae;

        $in = $freed;
        $film = ($this->colonies->ammoniaAppetite($oxygen) * $hours) / $v;
        $before = $this->ammonia;
        $c = $before / $v;
        $k = $plant / (Growth::HALF_SATURATION_AMMONIUM + $c) + $alga / ($halfAlgae + $c) + $film / ($this->halfAmmonia + $c);
        $c = ($before + ($before + $in) / (1 + $k)) / 2 / $v;
        $byPlants = $plant / (Growth::HALF_SATURATION_AMMONIUM + $c);
        $byAlgae = $alga / ($halfAlgae + $c);
        $byFilm = $film / ($this->halfAmmonia + $c);
        $k = $byPlants + $byAlgae + $byFilm;
        $drawn = Theta::between($before, $in, $k);
        $after = $before + $in - $k * $drawn;
        $ammonia = $this->ammonia = $after > 0.0 ? $after : 0.0;
        $plantAmmonium = $byPlants * $drawn;
        $algaeAmmonium = $byAlgae * $drawn;
        $first = $byFilm * $drawn;
        // Where there is ammonium, leaves leave nitrite and nitrate alone.
        $shy = Growth::AMMONIUM_FIRST / (Growth::AMMONIUM_FIRST + ($ammonia + $before) / 2 / $v);
        $plant *= $shy;
        $alga *= $shy;

        // Nitrite: bacteria turn it on, the slower the more free ammonia there is; leaves take it as they take nitrate.
        $unionised = (($ammonia / $v) * $this->acidity) / ($this->acidity + $hydrogen);
        $film = ($this->colonies->nitriteAppetite($oxygen, $unionised) * $hours) / $v;
        $in = (1 - $through) * $first;
        $before = $this->nitrite;
        $c = $before / $v;
        $k = $film / ($this->halfNitrite + $c) + $plant / (Growth::HALF_SATURATION_NITRATE + $c);
        $c = ($before + ($before + $in) / (1 + $k)) / 2 / $v;
        $byFilm = $film / ($this->halfNitrite + $c);
        $byPlants = $plant / (Growth::HALF_SATURATION_NITRATE + $c);
        $k = $byFilm + $byPlants;
        $drawn = Theta::between($before, $in, $k);
        $after = $before + $in - $k * $drawn;
        $this->nitrite = $after > 0.0 ? $after : 0.0;
        $second = $byFilm * $drawn;
        $plantOxidised = $byPlants * $drawn;
        $this->colonies->grow($first, $second, $hours);

        $in = $second + $through * $first;
        $before = $this->nitrate;
        $c = $before / $v;
        $k = $plant / (Growth::HALF_SATURATION_NITRATE + $c) + $alga / ($halfAlgae + $c) + $denitrifying;
        $c = ($before + ($before + $in) / (1 + $k)) / 2 / $v;
        $byPlants = $plant / (Growth::HALF_SATURATION_NITRATE + $c);
        $byAlgae = $alga / ($halfAlgae + $c);
        $k = $byPlants + $byAlgae + $denitrifying;
        $drawn = Theta::between($before, $in, $k);
        $after = $before + $in - $k * $drawn;
        $this->nitrate = $after > 0.0 ? $after : 0.0;
        $plantOxidised += $byPlants * $drawn;
        $algaeOxidised = $byAlgae * $drawn;
        $gone = $denitrifying * $drawn;

        // Charges: +1 NH4 set free, −1 NH4 taken, −2 NH4 oxidised, +1 NO3 taken or denitrified.
        $takenOxidised = $this->takenOxidised = $plantOxidised + $algaeOxidised;
        $this->charge = ($freed - $plantAmmonium - $algaeAmmonium - 2 * $first + $takenOxidised + $gone) / MolarMass::NITROGEN;
        $this->oxidisedFirst = $first;
        $this->oxidisedSecond = $in;
        $this->plants += $plantAmmonium + $plantOxidised;
        $this->algae += $algaeAmmonium + $algaeOxidised;
        $this->ammoniumTaken += $plantAmmonium + $algaeAmmonium;
        $this->allFirst += $first;
        $this->allSecond += $in;
        $this->denitrified += $gone;
        $this->sumAmmonia += $hours * $ammonia;
    }

    /** @param float $hydrogen mol/L */
    public function observe(float $hydrogen): void
    {
        $free = (($this->ammonia / $this->litres) * $this->acidity) / ($this->acidity + $hydrogen);
        if ($free > $this->mostUnionised) {
            $this->mostUnionised = $free;
        }
        if ($this->ammonia > $this->mostAmmonia) {
            $this->mostAmmonia = $this->ammonia;
        }
        if ($this->nitrite > $this->mostNitrite) {
            $this->mostNitrite = $this->nitrite;
        }
    }

    /** Hands the day's sums on. */
    public function report(State $s, Day $day): void
    {
        $s->ammonia = $this->ammonia;
        $s->nitrite = $this->nitrite;
        $s->nitrate = $this->nitrate;
        $day->plantNitrogen = $this->plants;
        $day->algaeNitrogen = $this->algae;
        $day->ammoniumTaken = $this->ammoniumTaken;
        $day->oxidisedFirst = $this->allFirst;
        $day->oxidisedSecond = $this->allSecond;
        $day->denitrified = $this->denitrified;
        $day->mostAmmonia = $this->mostAmmonia / $this->litres;
        $day->mostNitrite = $this->mostNitrite / $this->litres;
        $day->mostUnionised = $this->mostUnionised;
    }
}
