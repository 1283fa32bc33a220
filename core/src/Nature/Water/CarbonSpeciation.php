<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Water;

use Olvek\Core\Basis\Unit\MolarMass;

/**
 * [H⁺] and dissolved CO2 of water that holds so much inorganic carbon and so much alkalinity, from the whole charge balance at one
 * temperature:
 *
 *     A = D·z + Kw/[H⁺] − [H⁺],   z = ([HCO3⁻] + 2[CO3²⁻]) / D, the mean charge of the carbon
 *
 * with A alkalinity and D inorganic carbon in mol/L. The right side falls steadily with ln [H⁺], so that Newton's steps in it, begun at the
 * last [H⁺] that is known, come home in one or two: the slope of z in ln [H⁺] is minus the variance of that charge. Negative alkalinity
 * (rain,
 * peat) and water whose carbon is drawn down below half its alkalinity are waters like any other.
 *
 * P: constants of Water\Carbonate (Plummer & Busenberg 1982; Harned & Hamer 1933).
 */
final readonly class CarbonSpeciation
{
    /** mg C per mol. */
    private const MOLAR = 12011.0;
    public const CO2_PER_CARBON = MolarMass::CARBON_DIOXIDE / MolarMass::CARBON;
    /** Where nothing is known yet, mol/L. */
    private const NEUTRAL = 1e-7;
    /** A step in ln [H⁺] after which the next would move the pH by some 2e-5 at most, and the longest taken at once. */
    private const SMALL = 0.01;
    private const LONGEST = 2.0;
    /** Steps at most: from neutral to either end of what water can be it takes some twelve. */
    private const MOST = 60;
    /** Keeps water without carbon from dividing by nothing. */
    private const NOTHING = 1e-300;

    private function __construct(public float $k1, public float $k2, public float $kw)
    {
    }

    public static function at(float $celsius): self
    {
        return new self(10 ** Carbonate::logK1($celsius), 10 ** Carbonate::logK2($celsius), 10 ** Carbonate::logKw($celsius));
    }

    /**
     * [H⁺] in mol/L.
     *
     * @param float $carbon     mg C/L, 0 or more
     * @param float $alkalinity meq/L, of either sign
     * @param float $from       mol/L, where the search begins: the nearer, the sooner it ends
     */
    public function hydrogen(float $carbon, float $alkalinity, float $from = self::NEUTRAL): float
    {
        $d = $carbon / self::MOLAR;
        $a = $alkalinity / 1000;
        $k1 = $this->k1;
        $k12 = $k1 * $this->k2;
        $h = $from;
        for ($n = 0; $n < self::MOST; ++$n) {
            $q = $h * $h + $k1 * $h + $k12;
            $one = ($k1 * $h) / $q;
            $two = $k12 / $q;
            $z = $one + 2 * $two;
            $hydroxide = $this->kw / $h;
            $step = ($d * $z + $hydroxide - $h - $a) / ($d * ($one + 4 * $two - $z * $z) + $hydroxide + $h);
            if ($step < self::SMALL && $step > -self::SMALL) {
                // e^x to its third term: what is left out is below 2e-7 of [H⁺].
                return $h * (1 + $step * (1 + $step / 2));
            }
            if ($step > self::LONGEST) {
                $step = self::LONGEST;
            } elseif ($step < -self::LONGEST) {
                $step = -self::LONGEST;
            }
            $h *= exp($step);
        }

        return $h;
    }

    /** mg CO2/L at an [H⁺] that belongs to this carbon. */
    public function carbonDioxide(float $carbon, float $hydrogen): float
    {
        return (self::CO2_PER_CARBON * $carbon * $hydrogen * $hydrogen) /
            ($hydrogen * $hydrogen + $this->k1 * ($hydrogen + $this->k2) + self::NOTHING);
    }

    /**
     * What the water holds at this carbon (mg C/L), and how it answers to more.
     *
     * @param float $hydrogen that belongs to this carbon
     */
    public function respond(float $carbon, float $hydrogen, CarbonResponse $into): void
    {
        $d = $carbon / self::MOLAR;
        $q = $hydrogen * $hydrogen + $this->k1 * ($hydrogen + $this->k2);
        $one = ($this->k1 * $hydrogen) / $q;
        $two = ($this->k1 * $this->k2) / $q;
        $z = $one + 2 * $two;
        // d ln [H⁺] / dD, and of the share that is CO2, whose own slope in ln [H⁺] is the mean charge.
        $move = $z / ($d * ($one + 4 * $two - $z * $z) + $this->kw / $hydrogen + $hydrogen);

        $free = (self::CO2_PER_CARBON * $hydrogen * $hydrogen) / $q;

        $into->carbonDioxide = $free * $carbon;
        $into->slope = $free * (1 + $d * $z * $move);
        $into->hydrogenSlope = ($hydrogen * $move) / self::MOLAR;
        $into->bicarbonate = 1000 * $d * $one;
    }

    public function pH(float $carbon, float $alkalinity): float
    {
        return -log10($this->hydrogen($carbon, $alkalinity));
    }

    /** mg C/L that goes with a CO2 content (mg/L) at a pH. */
    public function inorganicCarbon(float $co2, float $pH): float
    {
        $h = 10 ** -$pH;

        return ($co2 / self::CO2_PER_CARBON) * (1 + $this->k1 / $h + ($this->k1 * $this->k2) / $h ** 2);
    }
}
