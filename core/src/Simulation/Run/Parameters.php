<?php

declare(strict_types=1);

namespace Olvek\Core\Simulation\Run;

use Olvek\Core\Basis\Unit\Provenance;

/**
 * The run's numbers, each with unit, provenance and likely range, in one place so that an ensemble can vary them.
 * Rates hold at 25 °C. A number without a range is published and is not varied.
 */
final readonly class Parameters
{
    /**
     * @param float $plantGrowth          factor on each kind's own greatest growth, over and above what the kinds' own ranges say
     * @param float $leafNitrogenLeast mg N/g at which growth stops; M, the subsistence quota of Droop (1973)
     * @param float $leafNitrogenFull mg N/g from which growth is full; near P Gerloff & Krombholz (1966), Limnol. Oceanogr. 11: critical 13
     * @param float $leafNitrogenMost     mg N/g at which uptake stops
     * @param float $leafNitrogenPlanted  mg N/g of plants as sold
     * @param float $leafCarbon           mg C/g dry
     * @param float $leafPhosphorus mg P/g that leaves are built with; near P Gerloff & Krombholz (1966): critical 1.3
     * @param float $leafPotassium mg K/g, likewise; near P Gerloff & Krombholz (1966): critical 8
     * @param float $leafIron mg Fe/g, likewise
     * @param float $reservePhosphorus mg P/g that plants as sold hold over that, and lay by where they can
     * @param float $reservePotassium mg K/g, likewise
     * @param float $reserveIron mg Fe/g, likewise
     * @param float $reserveRefill d⁻¹ at which an empty reserve fills where there is plenty
     * @param float $leafUptake times its greatest growth that a hungry plant can take nitrogen up at
     * @param float $carbonHalf mg CO2/L of half fixation in full light for a plant that grows 0.15 d⁻¹; in proportion to growth; M
     *     Black, Maberly & Spence (1981), New Phytol. 89
     * @param float $carbonHalfBicarbonate mg CO2/L, the same for those that use bicarbonate
     * @param float $bicarbonateShare share of full fixation that bicarbonate alone can carry; M Maberly & Spence (1983), J. Ecol. 71
     * @param float $carbonCompensation mg CO2/L at which those that do not use it stop
     * @param float $lightCompensation    share of its half-light that a leaf needs to fix anything; Van, Haller & Bowes (1976), Plant
     *     Physiol. 58: 15–55 of 100–200 µmol/m²/s
     * @param float $plantRespiration     share of a kind's greatest growth that it breathes away, day and night
     * @param float $plantMortality       share of a kind's greatest growth that it sheds as old leaves
     * @param float $leafArea m² of leaf per g dry
     * @param float $attenuation m⁻¹ at which clear tank water takes light; M Kirk (2011): 0.5 is a pond
     * @param float $roomLight µmol/m²/s at the rim of a tank in a lived-in room, for twelve hours
     * @param float $algaeGrowth          d⁻¹, film on glass and leaves
     * @param float $algaeHalfLight       µmol/m²/s
     * @param float $algaeHalfNitrogen    mg N/L
     * @param float $algaeMortality       d⁻¹, with being grazed by what lives unseen
     * @param float $algaeRespiration     d⁻¹
     * @param float $algaeDensest         g dry per m² of lit surface at which growth stops
     * @param float $driftGrowth          d⁻¹, green water
     * @param float $driftHalfLight       µmol/m²/s
     * @param float $driftMortality       d⁻¹, sinking, clumping and unseen grazers in a still, planted tank
     * @param float $diatomGrowth         d⁻¹
     * @param float $diatomHalfLight      µmol/m²/s: diatoms make do with little
     * @param float $diatomSilicon        mg Si per g dry
     * @param float $ammoniaOxidiserRate mg N per mg VSS and day: 0.9 d⁻¹ / yield 0.22 of a keen guild
     * @param float $ammoniaOxidiserYield mg VSS per mg N; P Henze and others (2000), Activated Sludge Models
     * @param float $halfAmmonia          mg N/L at which ammonia oxidisers run at half speed: far below the 0.3–1 of sewage works,
     *     since archaea and
     *                                    comammox with a keen appetite do the work in aquaria; M Sauder and others (2011), PLoS ONE 6, and
     *                                    Kits and others (2017), Nature 549
     * @param float $halfNitrite mg N/L, the same for nitrite; M Nowka, Daims & Spieck (2015), Appl. Environ. Microbiol. 81: Nitrospira
     *     9–27 µmol/L
     * @param float $nitriteOxidiserRate  mg N per mg VSS and day: 0.9 d⁻¹ / yield 0.06
     * @param float $nitriteOxidiserYield mg VSS per mg N
     * @param float $nitrifierDecay       d⁻¹; M Henze and others (2000), Activated Sludge Models: 0.05–0.15 at 20 °C
     * @param float $nitrifierDormancy    decay of an idle colony against that of a busy one: cells go dormant, so that a film that is fed
     *     little lives on, but does not stay ready for many times its usual load
     * @param float $surfaceRate mg N per m² of surface and day of a mature film; M 0.2–1.0 g for trickling media, low end in still water
     * @param float $comammox share of the first step that a guild used to little ammonia carries through to nitrate; M Daims and others
     *     (2015), Nature 528 (that it is)
     * @param float $inoculum             factor on the share of a mature film on day 0
     * @param float $nitriteInoculum      factor on the share of it that turns nitrite on: the second kind is slower to settle
     * @param float $leafFilm             share of a mature film that plants bring in on their leaves
     * @param float $soilFilm             share of a mature film that live soil brings along, most of it shut in under the cap
     * @param float $flushFactor          factor on the soil's flush nitrogen, over and above the material's own range
     * @param float $flushRate            d⁻¹
     * @param float $soilDenitrification  d⁻¹ at which nitrate of a flooded soil is denitrified; Reddy & Patrick (1984), CRC Crit. Rev.
     *     Environ. Control 13
     * @param float $tabRate              d⁻¹ at which tabs and meal pressed into the bed come apart
     * @param float $readyRate d⁻¹ of the nitrogen that microbes free within a year; P Stanford & Smith (1972), Soil Sci. Soc. Am. J.
     *     36: 0.054 a week at 35 °C
     * @param float $readyShare share of the soil’s nitrogen that is such, times 1 − C:N/27; P Stanford & Smith (1972): mean 18 %
     * @param float $slowRate d⁻¹ of the soil’s old nitrogen
     * @param float $quickCarbonRate      d⁻¹
     * @param float $slowCarbonRate       d⁻¹
     * @param float $aerobicShare         share of soil carbon whose decay draws oxygen from the water
     * @param float $debtShare share of what rots without oxygen that the bed pays for later: iron, sulphide and methane burn
     * @param float $bubbleShare          share of soil carbon that leaves as gas bubbles
     * @param float $tanninShare          share of soil carbon that goes into the water as tannin
     * @param float $tanninDecay          d⁻¹ at which tannin bleaches and is eaten
     * @param float $limeRate             d⁻¹ at which bare calcite would dissolve in water that holds none, seen through the cap
     * @param float $denitrification m/d times nitrate times floor, where plenty rots: R/(1 + R), R in g C/m²/d
     * @param float $mulmDecay d⁻¹ of fallen leaves; M Enríquez, Duarte & Sand-Jensen (1993), Oecologia 94: freshwater plants 0.01–0.04
     * @param float $droppingDecay d⁻¹ of droppings
     * @param float $scrapDecay d⁻¹ of left food and the dead
     * @param float $reaeration           m/d through a surface that fish and rising warm water stir: between what is told of
     *     still water (0.3–0.6) and of rippled water (1–2), and fitted there to dawn oxygen of usual tanks
     * @param float $animalBasal share of its body that an unfed fish of half a gram burns a day
     * @param float $animalBreath mg O2 per g and hour of a resting fish of 30 g at 25 °C, mass to the −0.2; P Clarke & Johnston (1999),
     *     J. Anim. Ecol. 68
     * @param float $grazing              g dry algae or mulm a g of grazer can take a day
     * @param float $evaporation          factor on the pool formula
     * @param Structure $structure        how questions of form are answered
     */
    public function __construct(
        #[Range(0.75, 1.25, Provenance::Judgement)] public float $plantGrowth = 1.0,
        #[Range(4.0, 9.0, Provenance::Memory)] public float $leafNitrogenLeast = 6.0,
        #[Range(12.0, 18.0, Provenance::Memory)] public float $leafNitrogenFull = 15.0,
        #[Range(40.0, 55.0, Provenance::Memory)] public float $leafNitrogenMost = 45.0,
        #[Range(25.0, 42.0, Provenance::Memory)] public float $leafNitrogenPlanted = 32.0,
        #[Range(370.0, 430.0, Provenance::Memory)] public float $leafCarbon = 380.0,
        #[Range(1.0, 2.5, Provenance::Memory)] public float $leafPhosphorus = 1.5,
        #[Range(6.0, 15.0, Provenance::Memory)] public float $leafPotassium = 9.0,
        #[Range(0.05, 0.2, Provenance::Memory)] public float $leafIron = 0.08,
        #[Range(0.5, 4.0, Provenance::Memory)] public float $reservePhosphorus = 2.0,
        #[Range(4.0, 25.0, Provenance::Memory)] public float $reservePotassium = 12.0,
        #[Range(0.05, 0.4, Provenance::Memory)] public float $reserveIron = 0.15,
        #[Range(0.1, 0.5, Provenance::Judgement)] public float $reserveRefill = 0.2,
        #[Range(2.0, 4.0, Provenance::Memory)] public float $leafUptake = 2.5,
        #[Range(0.3, 2.0, Provenance::Memory)] public float $carbonHalf = 0.4,
        #[Range(0.15, 0.8, Provenance::Memory)] public float $carbonHalfBicarbonate = 0.2,
        #[Range(0.2, 0.6, Provenance::Memory)] public float $bicarbonateShare = 0.5,
        #[Range(0.02, 0.1, Provenance::Memory)] public float $carbonCompensation = 0.03,
        #[Range(0.0, 0.3, Provenance::Memory)] public float $lightCompensation = 0.12,
        #[Range(0.06, 0.2, Provenance::Memory)] public float $plantRespiration = 0.1,
        #[Range(0.02, 0.06, Provenance::Judgement)] public float $plantMortality = 0.03,
        #[Range(0.03, 0.08, Provenance::Memory)] public float $leafArea = 0.045,
        #[Range(0.15, 0.6, Provenance::Memory)] public float $attenuation = 0.3,
        #[Range(10.0, 60.0, Provenance::Judgement)] public float $roomLight = 30.0,
        #[Range(0.6, 1.2, Provenance::Memory)] public float $algaeGrowth = 0.8,
        #[Range(15.0, 40.0, Provenance::Memory)] public float $algaeHalfLight = 25.0,
        #[Range(0.005, 0.05, Provenance::Memory)] public float $algaeHalfNitrogen = 0.01,
        #[Range(0.08, 0.2, Provenance::Judgement)] public float $algaeMortality = 0.145,
        #[Range(0.02, 0.08, Provenance::Memory)] public float $algaeRespiration = 0.04,
        #[Range(3.0, 10.0, Provenance::Judgement)] public float $algaeDensest = 6.0,
        #[Range(0.8, 1.5, Provenance::Memory)] public float $driftGrowth = 1.1,
        #[Range(40.0, 100.0, Provenance::Memory)] public float $driftHalfLight = 60.0,
        #[Range(0.2, 0.6, Provenance::Judgement)] public float $driftMortality = 0.45,
        #[Range(0.4, 1.0, Provenance::Memory)] public float $diatomGrowth = 0.75,
        #[Range(5.0, 20.0, Provenance::Memory)] public float $diatomHalfLight = 10.0,
        #[Range(80.0, 250.0, Provenance::Memory)] public float $diatomSilicon = 150.0,
        #[Range(2.5, 7.0, Provenance::Memory)] public float $ammoniaOxidiserRate = 4.5,
        #[Range(0.1, 0.26, Provenance::Memory)] public float $ammoniaOxidiserYield = 0.18,
        #[Range(0.005, 0.1, Provenance::Memory)] public float $halfAmmonia = 0.015,
        #[Range(0.05, 0.4, Provenance::Memory)] public float $halfNitrite = 0.13,
        #[Range(7.0, 17.0, Provenance::Memory)] public float $nitriteOxidiserRate = 11.0,
        #[Range(0.04, 0.08, Provenance::Memory)] public float $nitriteOxidiserYield = 0.06,
        #[Range(0.05, 0.17, Provenance::Memory)] public float $nitrifierDecay = 0.1,
        #[Range(0.15, 1.0, Provenance::Judgement)] public float $nitrifierDormancy = 0.5,
        #[Range(50.0, 1000.0, Provenance::Memory)] public float $surfaceRate = 200.0,
        #[Range(0.2, 0.9, Provenance::Judgement)] public float $comammox = 0.8,
        #[Range(0.3, 3.0, Provenance::Judgement)] public float $inoculum = 1.0,
        #[Range(0.1, 1.0, Provenance::Judgement)] public float $nitriteInoculum = 0.5,
        #[Range(0.001, 0.05, Provenance::Judgement)] public float $leafFilm = 0.01,
        #[Range(0.0003, 0.01, Provenance::Judgement)] public float $soilFilm = 0.001,
        #[Range(0.7, 1.4, Provenance::Judgement)] public float $flushFactor = 1.0,
        #[Range(0.03, 0.08, Provenance::Judgement)] public float $flushRate = 0.05,
        #[Range(0.005, 0.03, Provenance::Judgement)] public float $tabRate = 0.01,
        #[Range(0.05, 0.4, Provenance::Memory)] public float $soilDenitrification = 0.15,
        #[Range(0.002, 0.006, Provenance::Published)] public float $readyRate = 0.004,
        #[Range(0.05, 0.4, Provenance::Published)] public float $readyShare = 0.17,
        #[Range(5e-5, 0.0003, Provenance::Memory)] public float $slowRate = 0.0001,
        #[Range(0.01, 0.04, Provenance::Judgement)] public float $quickCarbonRate = 0.02,
        #[Range(0.0002, 0.0008, Provenance::Judgement)] public float $slowCarbonRate = 0.0003,
        #[Range(0.1, 0.5, Provenance::Judgement)] public float $aerobicShare = 0.3,
        #[Range(0.0, 1.0, Provenance::Judgement)] public float $debtShare = 0.4,
        #[Range(0.1, 0.4, Provenance::Judgement)] public float $bubbleShare = 0.2,
        #[Range(0.01, 0.08, Provenance::Judgement)] public float $tanninShare = 0.03,
        #[Range(0.02, 0.1, Provenance::Judgement)] public float $tanninDecay = 0.05,
        #[Range(0.0002, 0.002, Provenance::Judgement)] public float $limeRate = 0.0007,
        #[Range(0.005, 0.05, Provenance::Memory)] public float $denitrification = 0.015,
        #[Range(0.01, 0.06, Provenance::Memory)] public float $mulmDecay = 0.03,
        #[Range(0.05, 0.2, Provenance::Memory)] public float $droppingDecay = 0.1,
        #[Range(0.1, 0.5, Provenance::Memory)] public float $scrapDecay = 0.25,
        #[Range(0.5, 1.6, Provenance::Memory)] public float $reaeration = 1.0,
        #[Range(0.006, 0.02, Provenance::Judgement)] public float $animalBasal = 0.013,
        #[Range(0.09, 0.18, Provenance::Published)] public float $animalBreath = 0.13,
        #[Range(0.02, 0.06, Provenance::Judgement)] public float $grazing = 0.035,
        #[Range(0.5, 1.5, Provenance::Judgement)] public float $evaporation = 1.0,
        public Structure $structure = new Structure(),
    ) {
    }

    /** @return array<string, Range> range by name, of those that have one */
    public static function ranges(): array
    {
        $ranges = [];
        foreach ((new \ReflectionMethod(self::class, '__construct'))->getParameters() as $parameter) {
            foreach ($parameter->getAttributes(Range::class) as $attribute) {
                $ranges[$parameter->name] = $attribute->newInstance();
            }
        }

        return $ranges;
    }

    /** What a number is, with its unit, as its description says up to the first stop. */
    public static function meaning(string $name): string
    {
        $told = (string) (new \ReflectionMethod(self::class, '__construct'))->getDocComment();
        $words = 1 === preg_match('/@param float \$'.preg_quote($name, '/').'\s+([^;:*]+)/', $told, $match) ? trim($match[1]) : '';

        return '' === $words ? $name : $words;
    }

    /** @return array<string, float> by name */
    public function values(): array
    {
        /** @var array<string, float> $values */
        $values = array_diff_key(get_object_vars($this), ['structure' => 0]);

        return $values;
    }

    /** The same numbers with questions of form answered as told. */
    public function structured(Structure $structure): self
    {
        /** @phpstan-ignore argument.type (the names are those of the constructor) */
        return new self(...[...get_object_vars($this), 'structure' => $structure]);
    }

    /** @param array<string, float> $values new values by name */
    public function with(array $values): self
    {
        /** @phpstan-ignore argument.type (the names are those of the constructor) */
        return new self(...[...get_object_vars($this), ...$values]);
    }
}
