<?php

declare(strict_types=1);

namespace Olvek\Core\Run;

use Olvek\Core\Plant\Growth;
use Olvek\Core\Water\Ammonia;
use Olvek\Core\Water\Calcite;
use Olvek\Core\Water\Carbonate;
use Olvek\Core\Water\CarbonSpeciation;
use Olvek\Core\Water\Nitrification;
use Olvek\Core\Water\Oxygen;

/**
 * The water through the hours of a day: nitrogen chain and the bacteria that drive it, carbon, oxygen, alkalinity. Bacteria's own
 * nitrogen (2 % of what passes) is not booked; a trace always settles from the air and keeps a colony possible.
 *
 * Each hour, nitrogen goes down its chain; every step is implicit in its own sink and hands exactly what it took to the next
 * (after P: Burchard, Deleersnijder & Meister 2003, A high-order conservative Patankar-type discretisation), so nothing turns negative
 * and nothing is lost. Carbon is linearly implicit, half of it or, where a whole step would overshoot, more; the fluxes that move it
 * are the ones that are booked.
 *
 * This is the hot loop: plain local floats, few calls. Everything else may be slow.
 *
 * @internal
 */
final class WaterHours
{
    /** Share of the mature film that is always there. J. */
    private const TRACE = 1e-6;
    /** Decay of an idle colony against that of a busy one: cells go dormant. J (0.1–0.4). */
    private const DORMANT = 0.15;
    /** mg O2/L. M. */
    private const HALF_OXYGEN_AMMONIA = 0.5;
    private const HALF_OXYGEN_NITRITE = 1.0;
    /** g O2 per g N of each step; together 4.57. P: US EPA (1993), Nitrogen Control Manual. */
    private const OXYGEN_PER_AMMONIA = 3.43;
    private const OXYGEN_PER_NITRITE = 1.14;
    /**
     * mg O2 per mg N that leaves set free when they build with nitrate instead of ammonium: what nitrification took, given back
     * (NO3⁻ + 2 H⁺ + H2O → NH4⁺ + 2 O2). P: stoichiometry; Redfield, Ketchum & Richards (1963), 138 O2 to 106 C and 16 N (M).
     */
    public const OXYGEN_PER_NITRATE = self::OXYGEN_PER_AMMONIA + self::OXYGEN_PER_NITRITE;
    /** mg CO2/L of half fixation. M. */
    private const HALF_CO2_FREE = 2.0;
    private const HALF_CO2_BICARBONATE = 0.6;
    private const HALF_CO2_ALGAE = 0.3;
    /** mg O2 per mg C fixed or breathed, one mol for one. */
    public const OXYGEN_PER_CARBON = 31.998 / 12.011;
    private const CO2_PER_CARBON = 44.009 / 12.011;
    private const NITROGEN = 14.007;
    /** mg O2/L at which demand is halved. J. */
    private const HALF_OXYGEN = 0.2;
    /** CO2 leaves a little slower than oxygen. P: Schmidt numbers, Wanninkhof (1992); (530/600)^0.5. */
    private const CO2_TO_OXYGEN = 0.94;

    /** @param \Closure(int, array<string, float>): void|null $record called at the end of each hour with what the water then holds */
    public static function run(State $s, Day $day, Facts $facts, Books $books, int $hourSteps, ?\Closure $record = null): void
    {
        $p = $facts->parameters;
        $v = $s->volume;
        $dt = 1.0 / $hourSteps;
        $steps = 24 * $hourSteps;
        $speciation = CarbonSpeciation::at($day->celsius);
        $k2 = $speciation->k2;
        $h = 10 ** -$s->pH;
        $saturation = Oxygen::saturation($day->celsius);
        $co2Air = Carbonate::co2AtEquilibrium($day->celsius);
        $acid = Nitrification::acidityFactor($s->pH);
        $exchange = $p->reaeration * (1 - 0.5 * $day->cover) * $facts->surface * 1000 / 24 * $dt; // L per step
        $exchangeCarbon = $exchange * self::CO2_TO_OXYGEN / self::CO2_PER_CARBON;
        $ammoniaNoon = $day->ammoniaIn / 24 * $dt;
        $ammoniaStep = $day->ammoniaRise / 24 * $dt / $steps;
        $carbonIn = $day->carbonIn / 24 * $dt;
        $oxygenOut = $day->oxygenOut / 24 * $dt;
        // Nitrifiers: what a mg VSS can oxidise in a step, and how the colony grows and decays with it.
        $eachA = $p->ammoniaOxidiserRate * $day->theta / 24 * $dt;
        $eachN = $p->nitriteOxidiserRate * $day->theta / 24 * $dt;
        $decay = $p->nitrifierDecay * $day->theta / 24 * $dt;
        $mostA = $facts->filmMost;
        $mostN = $mostA * $p->ammoniaOxidiserRate / $p->nitriteOxidiserRate;
        $xa = $s->ammoniaOxidisers;
        $xn = $s->nitriteOxidisers;
        $grewA = $grewN = 0.0;
        // Sealed in, the gases pass to and from a head of air that holds only so much; each step is implicit in it.
        $sealed = $facts->sealed;
        $headspace = $facts->headspace;
        $headO = $headAtFirst = $s->headOxygen;
        $headC = $s->headCarbon;
        $perHeadO = $saturation / Air::OXYGEN;
        $perHeadC = $co2Air / Air::CARBON_DIOXIDE;
        if ($sealed) {
            $exchangeCarbon = $headspace > 0 ? $exchangeCarbon / (1 + $exchange * self::CO2_TO_OXYGEN * $perHeadC / $headspace) : 0.0;
            $exchange = $headspace > 0 ? $exchange / (1 + $exchange * $perHeadO / $headspace) : 0.0;
        }
        $acidity = 10 ** -Ammonia::pKa($day->celsius);
        // Calcite: saturation is so many times hardness × bicarbonate / [H⁺], per litre.
        $hardness = $s->hardness;
        $calcite = Calcite::CALCIUM_SHARE * 17.848e-3 / 100.087 / 1000 * $k2 / 10 ** Carbonate::logCalcite($day->celsius) / ($v * $v);
        $settling = LimeDay::SETTLING / 24 * $dt;
        $settled = 0.0;
        $denit = $p->denitrification * $day->theta * $facts->floor * 1000 / $v / 24 * $dt;
        $halfAmmonia = $p->halfAmmonia;
        $halfNitrite = $p->halfNitrite;
        $halfAlgae = $p->algaeHalfNitrogen;

        $tan = $s->ammonia;
        $no2 = $s->nitrite;
        $no3 = $s->nitrate;
        $dic = $s->carbon;
        $alk = $s->alkalinity;
        $o2 = $s->oxygen;
        $plantN = $algaeN = $den = $gasC = $gasO = $eatenAmmonium = $allFirst = $allSecond = $mostFree = 0.0;
        $gotFree = $gotBicarbonate = $gotAlgae = $potential = 0.0;
        $leastO2 = $o2;
        $mostTan = $tan;
        $mostNo2 = $no2;
        $sumCo2 = 0.0;
        $leastH = \INF;
        $mostH = $sumPH = 0.0;

        // Read once: property reads are what the loop would spend most on.
        $appetite = $day->plantAppetite;
        $algaeAppetite = $day->algaeAppetite;
        $fixFree = $day->fixFree;
        $fixBicarbonate = $day->fixBicarbonate;
        $fixAlgaeMost = $day->fixAlgae;
        $yieldA = $p->ammoniaOxidiserYield;
        $yieldN = $p->nitriteOxidiserYield;
        $lights = $day->lights;
        $busyDecay = (1 - self::DORMANT) * $decay;
        $idleDecay = self::DORMANT * $decay;

        for ($n = 0; $n < $steps; ++$n) {
            $ammoniaIn = $ammoniaNoon + $ammoniaStep * ($n + 0.5 - $steps / 2);
            $lit = $lights[$n];
            $awake = 0.5 + 0.5 * $lit;

            if ($sealed && $headspace > 0) {
                $saturation = $perHeadO * $headO / $headspace;
                $co2Air = $perHeadC * self::CO2_PER_CARBON * $headC / $headspace;
            }

            // Nitrogen down its chain. Appetites are reckoned at the middle of the step, which a first guess finds; the sink is taken
            // half from what was and half from what will be, or more from the latter where a whole step would empty the store.
            $o = $o2 / $v;
            $plant = $appetite * $awake * $dt / $v;
            $alga = $algaeAppetite * $awake * $dt / $v;
            $midA = $xa * (1 + $grewA / 2);
            $film = $eachA * $acid * $midA / $v * $o / (self::HALF_OXYGEN_AMMONIA + $o);
            $c = $tan / $v;
            $sink = $plant / (Growth::HALF_SATURATION_AMMONIUM + $c) + $alga / ($halfAlgae + $c) + $film / ($halfAmmonia + $c);
            $c = ($tan + ($tan + $ammoniaIn) / (1 + $sink)) / 2 / $v;
            $take = $plant / (Growth::HALF_SATURATION_AMMONIUM + $c);
            $takeAlgae = $alga / ($halfAlgae + $c);
            $oxidise = $film / ($halfAmmonia + $c);
            $sink = $take + $takeAlgae + $oxidise;
            $late = $sink > 2.0 ? 1 - 1 / $sink : 0.5;
            $before = $tan;
            $tan = max(0.0, ($tan * (1 - (1 - $late) * $sink) + $ammoniaIn) / (1 + $late * $sink));
            $drawn = $late * $tan + (1 - $late) * $before;
            $taken = $take * $drawn;
            $takenAlgae = $takeAlgae * $drawn;
            $first = $oxidise * $drawn;
            $shy = Growth::AMMONIUM_FIRST / (Growth::AMMONIUM_FIRST + ($tan + $before) / 2 / $v);

            $midN = $xn * (1 + $grewN / 2);
            $film = $eachN * $acid * $midN / $v * $o / (self::HALF_OXYGEN_NITRITE + $o);
            $c = $no2 / $v;
            $c = ($no2 + ($no2 + $first) / (1 + $film / ($halfNitrite + $c))) / 2 / $v;
            $oxidise = $film / ($halfNitrite + $c);
            $late = $oxidise > 2.0 ? 1 - 1 / $oxidise : 0.5;
            $before = $no2;
            $no2 = max(0.0, ($no2 * (1 - (1 - $late) * $oxidise) + $first) / (1 + $late * $oxidise));
            $second = $oxidise * ($late * $no2 + (1 - $late) * $before);

            // Colonies grow by what they oxidised, the slower the fuller their surfaces; idle ones go dormant. Growth over the step
            // is exponential (its series; a step's growth is a few percent), and half of the last step's growth is at work already in this one: the middle of the step counts.
            $grewA = ($yieldA * $first * max(0.0, 1 - $xa / $mostA) - $busyDecay * $first / $eachA) / $midA - $idleDecay;
            $grewN = ($yieldN * $second * max(0.0, 1 - $xn / $mostN) - $busyDecay * $second / $eachN) / $midN - $idleDecay;
            $xa = max(self::TRACE * $mostA, $xa * (1 + $grewA * (1 + $grewA / 2)));
            $xn = max(self::TRACE * $mostN, $xn * (1 + $grewN * (1 + $grewN / 2)));

            $plant *= $shy;
            $alga *= $shy;
            $c = $no3 / $v;
            $sink = $plant / (Growth::HALF_SATURATION_NITRATE + $c) + $alga / ($halfAlgae + $c) + $denit;
            $c = ($no3 + ($no3 + $second) / (1 + $sink)) / 2 / $v;
            $take = $plant / (Growth::HALF_SATURATION_NITRATE + $c);
            $takeAlgae = $alga / ($halfAlgae + $c);
            $sink = $take + $takeAlgae + $denit;
            $late = $sink > 2.0 ? 1 - 1 / $sink : 0.5;
            $before = $no3;
            $no3 = max(0.0, ($no3 * (1 - (1 - $late) * $sink) + $second) / (1 + $late * $sink));
            $drawn = $late * $no3 + (1 - $late) * $before;
            $takenNitrate = $take * $drawn;
            $takenNitrateAlgae = $takeAlgae * $drawn;
            $gone = $denit * $drawn;

            // Charges that these moved: +1 NH4 set free, −1 NH4 taken, −2 NH4 oxidised, +1 NO3 taken or denitrified.
            $alk += ($ammoniaIn - $taken - $takenAlgae - 2 * $first + $takenNitrate + $takenNitrateAlgae + $gone) / self::NITROGEN;

            // Carbon: fixation and gas exchange, linear in the change of CO2 over the step.
            $carbonPerLitre = $dic / $v;
            $h = $speciation->hydrogen($carbonPerLitre, $alk / $v, $h);
            [$co2, $slope, $hSlope] = $speciation->response($carbonPerLitre, $h);
            $slope /= $v;
            $hSlope /= $v;
            $free = $fixFree * $lit * $dt;
            $bicarbonate = $fixBicarbonate * $lit * $dt;
            $fixAlgae = $fixAlgaeMost * $lit * $dt;
            $s1 = $free / (self::HALF_CO2_FREE + $co2);
            $s2 = $bicarbonate / (self::HALF_CO2_BICARBONATE + $co2);
            $s3 = $fixAlgae / (self::HALF_CO2_ALGAE + $co2);
            $g1 = $s1 * self::HALF_CO2_FREE / (self::HALF_CO2_FREE + $co2);
            $g2 = $s2 * self::HALF_CO2_BICARBONATE / (self::HALF_CO2_BICARBONATE + $co2);
            $g3 = $s3 * self::HALF_CO2_ALGAE / (self::HALF_CO2_ALGAE + $co2);
            $stiff = $slope * ($g1 + $g2 + $g3 + $exchangeCarbon);
            $late = $stiff > 2.0 ? 1 - 1 / $stiff : 0.5;
            $move = ($carbonIn - ($s1 + $s2 + $s3) * $co2 - $exchangeCarbon * ($co2 - $co2Air)) / (1 + $late * $stiff);
            // What CO2 is off by at the moment that counts for the step.
            $change = $late * $slope * $move;
            $f1 = max(0.0, $s1 * $co2 + $g1 * $change);
            $f2 = max(0.0, $s2 * $co2 + $g2 * $change);
            $f3 = max(0.0, $s3 * $co2 + $g3 * $change);
            $fixed = $f1 + $f2 + $f3;
            $available = 0.9 * $dic + $carbonIn;
            if ($fixed > $available) {
                $cut = $available / $fixed;
                $f1 *= $cut;
                $f2 *= $cut;
                $f3 *= $cut;
                $fixed = $available;
            }
            $gas = max(-0.09 * $dic, $exchangeCarbon * ($co2Air - $co2 - $change));
            $moved = $carbonIn - $fixed + $gas;
            // [H⁺] at the middle of the step, along its slope.
            $middle = max($h / 2, min(2 * $h, $h + $hSlope * $moved / 2));
            $omega = $calcite * $hardness * max(0.0, $alk) / (1 + 2 * $k2 / $middle) / $middle;
            $dic += $moved;
            if ($omega > LimeDay::SETTLES_FROM) {
                $grams = $settling * (1 - LimeDay::SETTLES_FROM / $omega) * min($alk / LimeDay::ALKALINITY_PER_GRAM, $hardness / LimeDay::HARDNESS_PER_GRAM, $dic / LimeDay::CARBON_PER_GRAM);
                $settled += $grams;
                $dic -= $grams * LimeDay::CARBON_PER_GRAM;
                $alk -= $grams * LimeDay::ALKALINITY_PER_GRAM;
                $hardness -= $grams * LimeDay::HARDNESS_PER_GRAM;
            }
            $headC -= $gas;

            // Oxygen: exact for the step's rates, which would otherwise smear the night's slow fall.
            $made = $fixed * self::OXYGEN_PER_CARBON + ($takenNitrate + $takenNitrateAlgae) * self::OXYGEN_PER_NITRATE;
            $asked = $oxygenOut + self::OXYGEN_PER_AMMONIA * $first + self::OXYGEN_PER_NITRITE * $second;
            $k = $exchange / $v;
            // Demand slackens as oxygen runs out: reckoned at the middle of the step, which a first guess finds.
            $demand = $asked / (self::HALF_OXYGEN * $v + $o2);
            $guess = ($o2 + $made + $k * $saturation * $v) / (1 + $k + $demand);
            $demand = $asked / (self::HALF_OXYGEN * $v + ($o2 + $guess) / 2);
            $pull = $k + $demand;
            $rest = ($made + $k * $saturation * $v) / $pull;
            $mean = $rest + ($o2 - $rest) * (1 - exp(-$pull)) / $pull;
            $o2 += $made + $k * $saturation * $v - $pull * $mean;
            $gasIn = $k * ($saturation * $v - $mean);
            $headO -= $gasIn;
            $gasO += $made - $demand * $mean + $gasIn;

            $eatenAmmonium += $taken + $takenAlgae;
            $allFirst += $first;
            $allSecond += $second;
            $unionised = $tan / $v * $acidity / ($acidity + $h);
            if ($unionised > $mostFree) {
                $mostFree = $unionised;
            }
            $plantN += $taken + $takenNitrate;
            $algaeN += $takenAlgae + $takenNitrateAlgae;
            $den += $gone;
            $gasC += $gas;
            $gotFree += $f1;
            $gotBicarbonate += $f2;
            $gotAlgae += $f3;
            $potential += $lit * $dt;
            $sumCo2 += ($co2 + $change) * $lit;
            $sumPH += $h;
            if ($o2 < $leastO2) {
                $leastO2 = $o2;
            }
            if ($tan > $mostTan) {
                $mostTan = $tan;
            }
            if ($no2 > $mostNo2) {
                $mostNo2 = $no2;
            }
            if ($h < $leastH) {
                $leastH = $h;
            }
            if ($h > $mostH) {
                $mostH = $h;
            }
            if (null !== $record && 0 === ($n + 1) % $hourSteps) {
                $record(intdiv($n, $hourSteps), ['ammonia' => $tan / $v, 'nitrite' => $no2 / $v, 'nitrate' => $no3 / $v, 'oxygen' => $o2 / $v, 'pH' => -log10($h), 'carbonDioxide' => $co2 + $change]);
            }
        }

        if ($sealed) {
            $s->headOxygen = $headO;
            $s->headCarbon = $headC;
            // What passed the surface stayed within: only fixing and burning count.
            $gasC = 0.0;
            $gasO -= $headAtFirst - $headO;
        }
        $s->hardness = $hardness;
        $s->lime += $settled;
        $s->ammonia = $tan;
        $s->ammoniaOxidisers = $xa;
        $s->nitriteOxidisers = $xn;
        $s->nitrite = $no2;
        $s->nitrate = $no3;
        $s->carbon = $dic;
        $s->alkalinity = $alk;
        $s->oxygen = $o2;
        $s->pH = -log10($sumPH / $steps);
        $books->nitrogen -= $den;
        $books->carbon += $gasC;
        $books->oxygen += $gasO;
        $day->plantNitrogen = $plantN;
        $day->algaeNitrogen = $algaeN;
        $day->freeShare = $day->fixFree > 0 && $potential > 0 ? $gotFree / ($day->fixFree * $potential) : 0.0;
        $day->bicarbonateShare = $day->fixBicarbonate > 0 && $potential > 0 ? $gotBicarbonate / ($day->fixBicarbonate * $potential) : 0.0;
        $day->algaeShare = $day->fixAlgae > 0 && $potential > 0 ? $gotAlgae / ($day->fixAlgae * $potential) : 0.0;
        $day->leastOxygen = $leastO2 / $v;
        $day->mostAmmonia = $mostTan / $v;
        $day->mostNitrite = $mostNo2 / $v;
        $day->leastPH = -log10($mostH);
        $day->mostPH = -log10($leastH);
        $day->mostUnionised = $mostFree;
        $day->ammoniumTaken = $eatenAmmonium;
        $day->oxidisedFirst = $allFirst;
        $day->oxidisedSecond = $allSecond;
        $day->denitrified = $den;
        $day->meanCarbonDioxide = $potential > 0 ? $sumCo2 * $dt / $potential : 0.0;
    }
}
