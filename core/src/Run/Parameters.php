<?php

declare(strict_types=1);

namespace Olvek\Core\Run;

use Olvek\Core\Unit\Provenance;

/**
 * The run's numbers, each with unit, provenance and likely range, in one place so that an ensemble can vary them.
 * Rates hold at 25 °C. A number without a range is published and is not varied.
 */
final readonly class Parameters
{
    /**
     * @param float $plantGrowth          factor on each kind's own greatest growth, over and above what the kinds' own ranges say
     * @param float $leafNitrogenLeast    mg N/g at which growth stops; P Gerloff & Krombholz (1966), Limnol. Oceanogr. 11
     * @param float $leafNitrogenMost     mg N/g at which uptake stops
     * @param float $leafNitrogenPlanted  mg N/g of plants as sold
     * @param float $leafCarbon           mg C/g dry
     * @param float $leafPhosphorus       mg P/g that growth is built with: between the critical 1.3 (P Gerloff & Krombholz 1966) and the usual 3–4 (M Duarte 1992)
     * @param float $leafPotassium        mg K/g, likewise between critical and usual
     * @param float $leafIron             mg Fe/g, likewise
     * @param float $plantRespiration     share of a kind's greatest growth that it breathes away, day and night
     * @param float $plantMortality       share of a kind's greatest growth that it sheds as old leaves
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
     * @param float $ammoniaOxidiserRate  mg N per mg VSS and day: 0.9 d⁻¹ / yield 0.15
     * @param float $ammoniaOxidiserYield mg VSS per mg N; P Henze and others (2000), Activated Sludge Models
     * @param float $halfAmmonia          mg N/L at which ammonia oxidisers run at half speed: far below the 0.3–1 of sewage works, since archaea and
     *                                    comammox with a keen appetite do the work in aquaria; M Sauder and others (2011), PLoS ONE 6, and Kits and others (2017), Nature 549
     * @param float $halfNitrite          mg N/L, the same for nitrite
     * @param float $nitriteOxidiserRate  mg N per mg VSS and day: 0.9 d⁻¹ / yield 0.06
     * @param float $nitriteOxidiserYield mg VSS per mg N
     * @param float $nitrifierDecay       d⁻¹
     * @param float $inoculum             factor on the share of a mature film on day 0
     * @param float $nitriteInoculum      factor on the share of it that turns nitrite on: the second kind is slower to settle
     * @param float $leafFilm             share of a mature film that plants bring in on their leaves
     * @param float $soilFilm             share of a mature film that live soil brings along, most of it shut in under the cap
     * @param float $flushFactor          factor on the soil's flush nitrogen, over and above the material's own range
     * @param float $flushRate            d⁻¹
     * @param float $slowRate             d⁻¹
     * @param float $quickCarbonRate      d⁻¹
     * @param float $slowCarbonRate       d⁻¹
     * @param float $aerobicShare         share of soil carbon whose decay draws oxygen from the water
     * @param float $bubbleShare          share of soil carbon that leaves as gas bubbles
     * @param float $tanninShare          share of soil carbon that goes into the water as tannin
     * @param float $tanninDecay          d⁻¹ at which tannin bleaches and is eaten
     * @param float $limeRate             d⁻¹ at which bare calcite would dissolve in water that holds none, seen through the cap
     * @param float $denitrification      m/d times nitrate times floor
     * @param float $mulmDecay            d⁻¹
     * @param float $reaeration           m/d through a surface that nothing ripples but fish and warm water rising: still water 0.3–0.6, rippled 1–2
     * @param float $animalBasal          share of body mass burnt a day
     * @param float $grazing              g dry algae or mulm a g of grazer can take a day
     * @param float $evaporation          factor on the pool formula
     */
    public function __construct(
        #[Range(0.75, 1.25, Provenance::Judgement)]
        public float $plantGrowth = 1.0,
        public float $leafNitrogenLeast = 13.0,
        #[Range(40.0, 55.0, Provenance::Memory)]
        public float $leafNitrogenMost = 45.0,
        #[Range(20.0, 30.0, Provenance::Memory)]
        public float $leafNitrogenPlanted = 25.0,
        #[Range(370.0, 430.0, Provenance::Memory)]
        public float $leafCarbon = 400.0,
        #[Range(1.3, 3.5, Provenance::Memory)]
        public float $leafPhosphorus = 2.0,
        #[Range(8.0, 30.0, Provenance::Memory)]
        public float $leafPotassium = 15.0,
        #[Range(0.06, 0.3, Provenance::Memory)]
        public float $leafIron = 0.1,
        #[Range(0.05, 0.15, Provenance::Memory)]
        public float $plantRespiration = 0.09,
        #[Range(0.02, 0.06, Provenance::Judgement)]
        public float $plantMortality = 0.03,
        #[Range(0.6, 1.2, Provenance::Memory)]
        public float $algaeGrowth = 0.8,
        #[Range(15.0, 40.0, Provenance::Memory)]
        public float $algaeHalfLight = 25.0,
        #[Range(0.01, 0.05, Provenance::Memory)]
        public float $algaeHalfNitrogen = 0.02,
        #[Range(0.05, 0.15, Provenance::Judgement)]
        public float $algaeMortality = 0.1,
        #[Range(0.02, 0.08, Provenance::Memory)]
        public float $algaeRespiration = 0.04,
        #[Range(3.0, 10.0, Provenance::Judgement)]
        public float $algaeDensest = 6.0,
        #[Range(0.8, 1.5, Provenance::Memory)]
        public float $driftGrowth = 1.1,
        #[Range(40.0, 100.0, Provenance::Memory)]
        public float $driftHalfLight = 60.0,
        #[Range(0.2, 0.6, Provenance::Judgement)]
        public float $driftMortality = 0.4,
        #[Range(0.4, 1.0, Provenance::Memory)]
        public float $diatomGrowth = 0.6,
        #[Range(5.0, 20.0, Provenance::Memory)]
        public float $diatomHalfLight = 10.0,
        #[Range(80.0, 250.0, Provenance::Memory)]
        public float $diatomSilicon = 150.0,
        #[Range(5.0, 7.0, Provenance::Memory)]
        public float $ammoniaOxidiserRate = 6.0,
        #[Range(0.1, 0.24, Provenance::Memory)]
        public float $ammoniaOxidiserYield = 0.15,
        #[Range(0.001, 0.3, Provenance::Memory)]
        public float $halfAmmonia = 0.03,
        #[Range(0.05, 0.9, Provenance::Memory)]
        public float $halfNitrite = 0.3,
        #[Range(12.0, 17.0, Provenance::Memory)]
        public float $nitriteOxidiserRate = 15.0,
        #[Range(0.04, 0.08, Provenance::Memory)]
        public float $nitriteOxidiserYield = 0.06,
        #[Range(0.03, 0.1, Provenance::Memory)]
        public float $nitrifierDecay = 0.05,
        #[Range(0.3, 3.0, Provenance::Judgement)]
        public float $inoculum = 1.0,
        #[Range(0.3, 2.0, Provenance::Judgement)]
        public float $nitriteInoculum = 1.0,
        #[Range(0.001, 0.05, Provenance::Judgement)]
        public float $leafFilm = 0.01,
        #[Range(0.0003, 0.01, Provenance::Judgement)]
        public float $soilFilm = 0.001,
        #[Range(0.7, 1.4, Provenance::Judgement)]
        public float $flushFactor = 1.0,
        #[Range(0.03, 0.08, Provenance::Judgement)]
        public float $flushRate = 0.05,
        #[Range(0.0004, 0.0015, Provenance::Judgement)]
        public float $slowRate = 0.0008,
        #[Range(0.01, 0.04, Provenance::Judgement)]
        public float $quickCarbonRate = 0.02,
        #[Range(0.0002, 0.0008, Provenance::Judgement)]
        public float $slowCarbonRate = 0.0003,
        #[Range(0.1, 0.5, Provenance::Judgement)]
        public float $aerobicShare = 0.3,
        #[Range(0.1, 0.4, Provenance::Judgement)]
        public float $bubbleShare = 0.25,
        #[Range(0.01, 0.08, Provenance::Judgement)]
        public float $tanninShare = 0.03,
        #[Range(0.02, 0.1, Provenance::Judgement)]
        public float $tanninDecay = 0.05,
        #[Range(0.0002, 0.002, Provenance::Judgement)]
        public float $limeRate = 0.0007,
        #[Range(0.005, 0.02, Provenance::Memory)]
        public float $denitrification = 0.01,
        #[Range(0.01, 0.06, Provenance::Memory)]
        public float $mulmDecay = 0.03,
        #[Range(0.4, 1.2, Provenance::Memory)]
        public float $reaeration = 0.7,
        #[Range(0.006, 0.015, Provenance::Judgement)]
        public float $animalBasal = 0.01,
        #[Range(0.01, 0.04, Provenance::Judgement)]
        public float $grazing = 0.02,
        #[Range(0.5, 1.5, Provenance::Judgement)]
        public float $evaporation = 1.0,
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

    /** @return array<string, float> by name */
    public function values(): array
    {
        /** @var array<string, float> $values */
        $values = get_object_vars($this);

        return $values;
    }

    /** @param array<string, float> $values new values by name */
    public function with(array $values): self
    {
        /** @phpstan-ignore argument.type (the names are those of the constructor) */
        return new self(...[...get_object_vars($this), ...$values]);
    }
}
