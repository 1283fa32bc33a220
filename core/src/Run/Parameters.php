<?php

declare(strict_types=1);

namespace Olvek\Core\Run;

/**
 * The run's numbers, each with unit, provenance and likely range (low..high), in one place so that an ensemble can vary them.
 * Rates hold at 25 °C.
 */
final readonly class Parameters
{
    /**
     * @param float $plantGrowth          factor on each kind's own greatest growth; 1, J 0.6..1.4
     * @param float $leafNitrogenLeast    mg N/g at which growth stops; P Gerloff & Krombholz (1966), Limnol. Oceanogr. 11
     * @param float $leafNitrogenMost     mg N/g at which uptake stops; M 40..55
     * @param float $leafNitrogenPlanted  mg N/g of plants as sold; M 20..30
     * @param float $leafCarbon           mg C/g dry; M 370..430
     * @param float $leafPhosphorus       mg P/g that growth is built with: between the critical 1.3 (P Gerloff & Krombholz 1966) and the usual 3–4 (M Duarte 1992)
     * @param float $leafPotassium        mg K/g, likewise between critical and usual; M 8..30
     * @param float $leafIron             mg Fe/g, likewise; M 0.06..0.3
     * @param float $plantRespiration     share of a kind's greatest growth that it breathes away, day and night; M 0.05..0.15
     * @param float $plantMortality       share of a kind's greatest growth that it sheds as old leaves; J 0.02..0.06
     * @param float $algaeGrowth          d⁻¹; M 0.6..1.2
     * @param float $algaeHalfLight       µmol/m²/s; M 15..40
     * @param float $algaeHalfNitrogen    mg N/L; M 0.01..0.05
     * @param float $algaeMortality       d⁻¹, with being grazed by what lives unseen; J 0.05..0.15
     * @param float $algaeRespiration     d⁻¹; M 0.02..0.08
     * @param float $algaeDensest         g dry per m² of lit surface at which growth stops; J 3..10
     * @param float $ammoniaOxidiserRate  mg N per mg VSS and day: 0.9 d⁻¹ / yield 0.15; M 5..7
     * @param float $ammoniaOxidiserYield mg VSS per mg N; P Henze and others (2000), Activated Sludge Models; M 0.1..0.24
     * @param float $halfAmmonia          mg N/L at which ammonia oxidisers run at half speed: far below the 0.3–1 of sewage works, since archaea and
     *                                    comammox with a keen appetite do the work in aquaria; M Sauder and others (2011), PLoS ONE 6, and Kits and others (2017), Nature 549: 0.001..0.3
     * @param float $halfNitrite          mg N/L, the same for nitrite; M 0.05..0.9
     * @param float $nitriteOxidiserRate  mg N per mg VSS and day: 0.9 d⁻¹ / yield 0.06; M 12..17
     * @param float $nitriteOxidiserYield mg VSS per mg N; M 0.04..0.08
     * @param float $nitrifierDecay       d⁻¹; M 0.03..0.1
     * @param float $inoculum             factor on the share of a mature film on day 0; 1, J 0.3..3
     * @param float $leafFilm             share of a mature film that plants bring in on their leaves; J 0.001..0.05
     * @param float $soilFilm             share of a mature film that live soil brings along, most of it shut in under the cap; J 0.0003..0.01
     * @param float $flushFactor          factor on the soil's flush nitrogen; 1, J 0.4..2.5
     * @param float $flushRate            d⁻¹; J 0.03..0.08
     * @param float $slowRate             d⁻¹; J 0.0004..0.0015
     * @param float $quickCarbonRate      d⁻¹; J 0.01..0.04
     * @param float $slowCarbonRate       d⁻¹; J 0.0003..0.001
     * @param float $aerobicShare         share of soil carbon whose decay draws oxygen from the water; J 0.1..0.5
     * @param float $bubbleShare          share of soil carbon that leaves as gas bubbles; J 0.1..0.4
     * @param float $denitrification      m/d times nitrate times floor; M 0.005..0.02
     * @param float $mulmDecay            d⁻¹; M 0.01..0.06
     * @param float $reaeration           m/d through a still surface; M 0.3..0.6
     * @param float $animalBasal          share of body mass burnt a day; J 0.006..0.015
     * @param float $grazing              g dry algae a g of grazer can take a day; J 0.01..0.04
     * @param float $evaporation          factor on the pool formula; 1, J 0.5..1.5
     */
    public function __construct(
        public float $plantGrowth = 1.0,
        public float $leafNitrogenLeast = 13.0,
        public float $leafNitrogenMost = 45.0,
        public float $leafNitrogenPlanted = 25.0,
        public float $leafCarbon = 400.0,
        public float $leafPhosphorus = 2.0,
        public float $leafPotassium = 15.0,
        public float $leafIron = 0.1,
        public float $plantRespiration = 0.09,
        public float $plantMortality = 0.03,
        public float $algaeGrowth = 0.8,
        public float $algaeHalfLight = 25.0,
        public float $algaeHalfNitrogen = 0.02,
        public float $algaeMortality = 0.1,
        public float $algaeRespiration = 0.04,
        public float $algaeDensest = 6.0,
        public float $ammoniaOxidiserRate = 6.0,
        public float $ammoniaOxidiserYield = 0.15,
        public float $halfAmmonia = 0.03,
        public float $halfNitrite = 0.3,
        public float $nitriteOxidiserRate = 15.0,
        public float $nitriteOxidiserYield = 0.06,
        public float $nitrifierDecay = 0.05,
        public float $inoculum = 1.0,
        public float $leafFilm = 0.01,
        public float $soilFilm = 0.001,
        public float $flushFactor = 1.0,
        public float $flushRate = 0.05,
        public float $slowRate = 0.0008,
        public float $quickCarbonRate = 0.02,
        public float $slowCarbonRate = 0.0003,
        public float $aerobicShare = 0.3,
        public float $bubbleShare = 0.25,
        public float $denitrification = 0.01,
        public float $mulmDecay = 0.03,
        public float $reaeration = 0.5,
        public float $animalBasal = 0.01,
        public float $grazing = 0.02,
        public float $evaporation = 1.0,
    ) {
    }
}
