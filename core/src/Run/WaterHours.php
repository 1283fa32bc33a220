<?php

declare(strict_types=1);

namespace Olvek\Core\Run;

use Olvek\Core\Plant\Growth;
use Olvek\Core\Water\Ammonia;
use Olvek\Core\Water\Calcite;
use Olvek\Core\Water\Carbonate;
use Olvek\Core\Water\CarbonSpeciation;
use Olvek\Core\Water\GasExchange;
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
    /** mg CO2/L of half fixation of algae. M (0.05–0.4). */
    private const HALF_CO2_ALGAE = 0.15;
    /** mmol/L of bicarbonate at which those that use it do so at half speed. M: Maberly & Spence (1983), J. Ecol. 71 (0.5–3). */
    private const HALF_BICARBONATE = 1.0;
    /** Times saturation from which oxygen bubbles off, and share of the excess that does in an hour: 0.78 + 0.21 · 2 = 1.2 atm of gas. P: Henry's law; J. */
    private const BUBBLES_FROM = 2.0;
    private const BUBBLING = 0.5;
    /** h⁻¹ at which gas is let in towards what is held. J (0.5–4). */
    private const VALVE = 2.0;
    /** mg N/L of ammonia, mean of a fortnight, at which the guild that goes all the way is half as common. J (0.1–2). */
    private const COMAMMOX_HALF = 0.5;
    private const FORTNIGHT = 14.0;
    /** Atmospheres at which a clip lid lets gas out, and at which it sucks air in. J. */
    private const VENTS = 1.05;
    private const SUCKS = 0.9;
    /** mg O2 per mg C fixed or breathed, one mol for one. */
    public const OXYGEN_PER_CARBON = 31.998 / 12.011;
    public const CO2_PER_CARBON = 44.009 / 12.011;
    private const NITROGEN = 14.007;
    /** mg O2/L at which demand is halved. J. */
    private const HALF_OXYGEN = 0.2;

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
        $site = $facts->plan->site;
        $saturation = Oxygen::saturation($day->celsius, $facts->pressure);
        $co2Air = Carbonate::co2AtEquilibrium($day->celsius, $site->airCarbonDioxide()) * $facts->pressure;
        $acid = Nitrification::acidityFactor($s->pH);
        $velocity = $p->reaeration * $site->movement->exchange() * GasExchange::warmth($day->celsius) * ($site->lid ? GasExchange::UNDER_LID : 1.0);
        $exchange = $velocity * (1 - 0.5 * $day->cover) * $facts->surface * 1000 / 24 * $dt; // L per step
        $helped = GasExchange::CO2_TO_OXYGEN * GasExchange::enhancement($velocity * GasExchange::CO2_TO_OXYGEN, $s->pH, $speciation);
        $exchangeCarbon = $exchange * $helped / self::CO2_PER_CARBON;
        $ammoniaNoon = $day->ammoniaIn / 24 * $dt;
        $ammoniaStep = $day->ammoniaRise / 24 * $dt / $steps;
        $carbonIn = $day->carbonIn / 24 * $dt;
        $oxygenOut = $day->oxygenOut / 24 * $dt;
        // Nitrifiers: what a mg VSS can oxidise in a step, and how the colony grows and decays with it.
        $eachA = $p->ammoniaOxidiserRate * $day->theta / 24 * $dt;
        $eachN = $p->nitriteOxidiserRate * $day->theta / 24 * $dt;
        $decay = $p->nitrifierDecay * $day->theta / 24 * $dt;
        $mostA = $facts->filmPerArea * ($facts->wetted + $day->leafArea);
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
            $exchangeCarbon = $headspace > 0 ? $exchangeCarbon / (1 + $exchange * $helped * $perHeadC / $headspace) : 0.0;
            $exchange = $headspace > 0 ? $exchange / (1 + $exchange * $perHeadO / $headspace) : 0.0;
        }
        $acidity = 10 ** -Ammonia::pKa($day->celsius);
        // Calcite: saturation is so many times hardness × bicarbonate / [H⁺], per litre.
        $hardness = $s->hardness;
        $calcite = Calcite::CALCIUM_SHARE * 17.848e-3 / 100.087 / 1000 * $k2 / 10 ** Carbonate::logCalcite($day->celsius) / ($v * $v);
        $settling = LimeDay::SETTLING / 24 * $dt;
        $settled = 0.0;
        $rotting = $day->rotting / 1000 / $facts->floor;
        $denit = $p->denitrification * $rotting / (1 + $rotting) * $day->theta * $facts->floor * 1000 / $v / 24 * $dt;
        $halfAmmonia = $p->halfAmmonia;
        $halfNitrite = $p->halfNitrite;
        $halfAlgae = $p->algaeHalfNitrogen;

        $tan = $s->ammonia;
        $no2 = $s->nitrite;
        $no3 = $s->nitrate;
        $dic = $s->carbon;
        $alk = $s->alkalinity;
        $o2 = $s->oxygen;
        $plantN = $algaeN = $den = $gasC = $gasO = $eatenAmmonium = $allFirst = $allSecond = $mostFree = $sumTan = 0.0;
        $got1 = $got2 = $got3 = $got4 = $gotB1 = $gotB2 = $gotB3 = $gotB4 = $gotAlgae = $potential = 0.0;
        $leastO2 = $o2;
        $mostTan = $tan;
        $mostNo2 = $no2;
        $sumCo2 = $mostCo2 = $co2Before = $litBefore = 0.0;
        $leastH = \INF;
        $mostH = $sumPH = 0.0;

        // Read once: property reads are what the loop would spend most on.
        $appetite = $day->plantAppetite;
        $algaeAppetite = $day->algaeAppetite;
        [$free1, $free2, $free3, $free4] = $day->fixFree;
        [$bic1, $bic2, $bic3, $bic4] = $day->fixBicarbonate;
        $bicAll = $bic1 + $bic2 + $bic3 + $bic4;
        $most = $p->bicarbonateShare;
        $least = $p->carbonCompensation;
        // Gas from a bottle, while there is light, closes most of the way to what is held each hour.
        $held = $facts->plan->care->gas;
        $through = $p->comammox * self::COMAMMOX_HALF / (self::COMAMMOX_HALF + $s->meanAmmonia);
        $early = 1 - $through;
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

            // Nitrite: bacteria turn it on, the slower the more free ammonia there is; leaves take it as they take nitrate.
            $unionised = $tan / $v * $acidity / ($acidity + $h);
            $plant *= $shy;
            $midN = $xn * (1 + $grewN / 2);
            $film = $eachN * $acid * $midN / $v * $o / (self::HALF_OXYGEN_NITRITE + $o) / (1 + $unionised / Nitrification::HALF_INHIBITION);
            $came = $early * $first;
            $c = $no2 / $v;
            $c = ($no2 + ($no2 + $came) / (1 + $film / ($halfNitrite + $c) + $plant / (Growth::HALF_SATURATION_NITRATE + $c))) / 2 / $v;
            $oxidise = $film / ($halfNitrite + $c);
            $take = $plant / (Growth::HALF_SATURATION_NITRATE + $c);
            $sink = $oxidise + $take;
            $late = $sink > 2.0 ? 1 - 1 / $sink : 0.5;
            $before = $no2;
            $no2 = max(0.0, ($no2 * (1 - (1 - $late) * $sink) + $came) / (1 + $late * $sink));
            $drawn = $late * $no2 + (1 - $late) * $before;
            $second = $oxidise * $drawn;
            $takenNitrite = $take * $drawn;
            $came = $second + $through * $first;

            // Colonies grow by what they oxidised, the slower the fuller their surfaces; idle ones go dormant. Growth over the step
            // is exponential (its series; a step's growth is a few percent), and half of the last step's growth is at work already in this one: the middle of the step counts.
            $grewA = ($yieldA * $first * max(0.0, 1 - $xa / $mostA) - $busyDecay * $first / $eachA) / $midA - $idleDecay;
            $grewN = ($yieldN * $second * max(0.0, 1 - $xn / $mostN) - $busyDecay * $second / $eachN) / $midN - $idleDecay;
            $xa = max(self::TRACE * $mostA, $xa * (1 + $grewA * (1 + $grewA / 2)));
            $xn = max(self::TRACE * $mostN, $xn * (1 + $grewN * (1 + $grewN / 2)));

            $alga *= $shy;
            $c = $no3 / $v;
            $sink = $plant / (Growth::HALF_SATURATION_NITRATE + $c) + $alga / ($halfAlgae + $c) + $denit;
            $c = ($no3 + ($no3 + $came) / (1 + $sink)) / 2 / $v;
            $take = $plant / (Growth::HALF_SATURATION_NITRATE + $c);
            $takeAlgae = $alga / ($halfAlgae + $c);
            $sink = $take + $takeAlgae + $denit;
            $late = $sink > 2.0 ? 1 - 1 / $sink : 0.5;
            $before = $no3;
            $no3 = max(0.0, ($no3 * (1 - (1 - $late) * $sink) + $came) / (1 + $late * $sink));
            $drawn = $late * $no3 + (1 - $late) * $before;
            $takenNitrate = $take * $drawn + $takenNitrite;
            $takenNitrateAlgae = $takeAlgae * $drawn;
            $gone = $denit * $drawn;

            // Charges that these moved: +1 NH4 set free, −1 NH4 taken, −2 NH4 oxidised, +1 NO3 taken or denitrified.
            $alk += ($ammoniaIn - $taken - $takenAlgae - 2 * $first + $takenNitrate + $takenNitrateAlgae + $gone) / self::NITROGEN;

            // Carbon: fixation and gas exchange, linear in the change of CO2 over the step.
            $carbonPerLitre = $dic / $v;
            $h = $speciation->hydrogen($carbonPerLitre, $alk / $v, $h);
            [$co2, $slope, $hSlope, $bicarbonate] = $speciation->response($carbonPerLitre, $h);
            $slope /= $v;
            $hSlope /= $v;
            // What each plant of a node fixes on CO2 alone; those that use bicarbonate add a share of the rest. Below the compensation
            // point nothing is fixed on CO2.
            $lightStep = $lit * $dt;
            $beta = $most * $bicarbonate / (self::HALF_BICARBONATE + $bicarbonate);
            $over = max(0.0, $co2 - $least);
            $u1 = 1 / (CarbonNodes::FIRST + $over);
            $u2 = 1 / (CarbonNodes::SECOND + $over);
            $u3 = 1 / (CarbonNodes::THIRD + $over);
            $u4 = 1 / (CarbonNodes::FOURTH + $over);
            $ua = 1 / (self::HALF_CO2_ALGAE + $co2);
            $w1 = $lightStep * ($free1 + (1 - $beta) * $bic1);
            $w2 = $lightStep * ($free2 + (1 - $beta) * $bic2);
            $w3 = $lightStep * ($free3 + (1 - $beta) * $bic3);
            $w4 = $lightStep * ($free4 + (1 - $beta) * $bic4);
            $wa = $lightStep * $fixAlgaeMost;
            $g1 = CarbonNodes::FIRST * $u1 * $u1;
            $g2 = CarbonNodes::SECOND * $u2 * $u2;
            $g3 = CarbonNodes::THIRD * $u3 * $u3;
            $g4 = CarbonNodes::FOURTH * $u4 * $u4;
            $ga = self::HALF_CO2_ALGAE * $ua * $ua;
            $steady = $lightStep * $beta * $bicAll;
            $valve = $held > 0 && $lit > 0 && $co2 < $held ? self::VALVE * $dt * $v / self::CO2_PER_CARBON : 0.0;
            $stiff = $slope * ($valve + $w1 * $g1 + $w2 * $g2 + $w3 * $g3 + $w4 * $g4 + $wa * $ga + $exchangeCarbon);
            $late = $stiff > 2.0 ? 1 - 1 / $stiff : 0.5;
            $move = ($carbonIn - $steady - ($w1 * $u1 + $w2 * $u2 + $w3 * $u3 + $w4 * $u4) * $over - $wa * $ua * $co2 - $exchangeCarbon * ($co2 - $co2Air) + $valve * ($held - $co2)) / (1 + $late * $stiff);
            // What CO2 is off by at the moment that counts for the step.
            $change = $late * $slope * $move;
            $then = max(0.0, $co2 + $change - $least);
            $x1 = $then / (CarbonNodes::FIRST + $then);
            $x2 = $then / (CarbonNodes::SECOND + $then);
            $x3 = $then / (CarbonNodes::THIRD + $then);
            $x4 = $then / (CarbonNodes::FOURTH + $then);
            $then = max(0.0, $co2 + $change);
            $xAlgae = $then / (self::HALF_CO2_ALGAE + $then);
            $fixed = $w1 * $x1 + $w2 * $x2 + $w3 * $x3 + $w4 * $x4 + $steady + $wa * $xAlgae;
            $available = 0.9 * $dic + $carbonIn;
            if ($fixed > $available) {
                $lightStep *= $available / $fixed;
                $fixed = $available;
            }
            $gas = max(-0.09 * $dic, $exchangeCarbon * ($co2Air - $co2 - $change));
            $bottle = max(0.0, $valve * ($held - $co2 - $change));
            $moved = $carbonIn - $fixed + $gas + $bottle;
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
            $asked = $oxygenOut + self::OXYGEN_PER_AMMONIA * $first + self::OXYGEN_PER_NITRITE * $came;
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
            $over = $o2 - self::BUBBLES_FROM * $saturation * $v;
            if ($over > 0.0 && (!$sealed || $headspace > 0)) {
                $over *= self::BUBBLING * $dt;
                $o2 -= $over;
                $headO += $over;
                $gasIn -= $over;
            }
            $gasO += $made - $demand * $mean + $gasIn;

            $eatenAmmonium += $taken + $takenAlgae;
            $allFirst += $first;
            $allSecond += $came;
            $sumTan += $tan;
            $unionised = $tan / $v * $acidity / ($acidity + $h);
            if ($unionised > $mostFree) {
                $mostFree = $unionised;
            }
            $plantN += $taken + $takenNitrate;
            $algaeN += $takenAlgae + $takenNitrateAlgae;
            $den += $gone;
            $gasC += $gas + $bottle;
            $got1 += $lightStep * $x1;
            $got2 += $lightStep * $x2;
            $got3 += $lightStep * $x3;
            $got4 += $lightStep * $x4;
            $gotB1 += $lightStep * ($beta + (1 - $beta) * $x1);
            $gotB2 += $lightStep * ($beta + (1 - $beta) * $x2);
            $gotB3 += $lightStep * ($beta + (1 - $beta) * $x3);
            $gotB4 += $lightStep * ($beta + (1 - $beta) * $x4);
            $gotAlgae += $lightStep * $xAlgae;
            $potential += $lit * $dt;
            // Its mean over the light hours: it falls and rises by factors, so two thirds geometric, one third straight, from step to step.
            $sumCo2 += (2 * sqrt($co2Before * $co2) + ($co2Before + $co2) / 2) / 3 * $litBefore;
            $co2Before = $co2;
            $litBefore = $lit;
            $sumPH += $h;
            if ($co2 > $mostCo2) {
                $mostCo2 = $co2;
            }
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
                $record(intdiv($n, $hourSteps), ['ammonia' => $tan / $v, 'nitrite' => $no2 / $v, 'nitrate' => $no3 / $v, 'oxygen' => $o2 / $v, 'pH' => -log10($h), 'carbonDioxide' => max(0.0, $co2 + $change)]);
            }
        }

        if ($sealed) {
            // What passed the surface stayed within: only fixing and burning count.
            $gasC = 0.0;
            $gasO -= $headAtFirst - $headO;
            $s->headOxygen = $headO;
            $s->headCarbon = $headC;
            if ($headspace > 0) {
                self::vent($s, $headspace, $books);
            }
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
        $per = $potential > 0 ? 1 / $potential : 0.0;
        $day->freeShare = [$per * $got1, $per * $got2, $per * $got3, $per * $got4];
        $day->bicarbonateShare = [$per * $gotB1, $per * $gotB2, $per * $gotB3, $per * $gotB4];
        $day->algaeShare = $per * $gotAlgae;
        $s->meanAmmonia += ($sumTan / $steps / $v - $s->meanAmmonia) / self::FORTNIGHT;
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
        $day->mostCarbonDioxide = $mostCo2;
        $day->meanCarbonDioxide = $potential > 0 ? $sumCo2 * $dt / $potential : 0.0;
    }

    /** A clip lid lets gas out above one pressure and sucks air in below another; nitrogen stays about as it was. */
    private static function vent(State $s, float $headspace, Books $books): void
    {
        $oxygen = Air::OXYGEN * $headspace;
        $carbon = Air::CARBON * $headspace;
        $pressure = Air::REST + Air::OXYGEN_SHARE * $s->headOxygen / $oxygen + Air::CARBON_SHARE * $s->headCarbon / $carbon;
        if ($pressure > self::VENTS) {
            $out = 1 - self::VENTS / $pressure;
            $books->oxygen -= $out * $s->headOxygen;
            $books->carbon -= $out * $s->headCarbon;
            $s->headOxygen *= 1 - $out;
            $s->headCarbon *= 1 - $out;
        } elseif ($pressure < self::SUCKS) {
            $in = self::SUCKS - $pressure;
            $books->oxygen += $in * $oxygen;
            $books->carbon += $in * $carbon;
            $s->headOxygen += $in * $oxygen;
            $s->headCarbon += $in * $carbon;
        }
    }
}
