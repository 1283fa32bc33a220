<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Bed;

use Olvek\Core\Nature\Vessel\Vessel;

/**
 * What a bed holds of nitrogen, how much of it goes into the water at filling, and what stands in the way of the rest: sorption in the
 * soil, and
 * diffusion through the cap. How it then goes, day by day, is Run\BedDay's and Run\LeachDay's affair.
 */
final readonly class Release
{
    /** m²/d, NH4⁺ in free water at 25 °C. P: Li & Gregory (1974), Geochim. Cosmochim. Acta 38, 703–714. */
    public const DIFFUSION = 1.7e-4;
    /**
     * How it changes with warmth: (9.50 + 0.413 T) 10⁻⁶ cm²/s. M: Boudreau (1997), Diagenetic Models and Their Implementation, table 4.8.
     */
    private const DIFFUSION_AT_ZERO = 9.5;
    private const DIFFUSION_PER_DEGREE = 0.413;
    /**
     * g C per g N from which microbes keep what they free. P form: Stanford & Smith (1972) and the stoichiometry of microbes at C:N 8 and
     * an efficiency of 0.3; M.
     */
    private const LEAN = 27.0;
    /** Share of the soluble flush that goes straight to the water at filling under a sound cap. J (0.005–0.1). */
    private const FILLING_SHARE_SOUND = 0.01;
    private const FILLING_SHARE_TYPICAL = 0.03;
    private const FILLING_SHARE_BARE = 0.06;
    /** m below which a cap hardly holds anything back, C. */
    private const THIN_CAP = 0.01;
    /** m: soil without any cap still lies under a still water film. J. */
    private const FILM = 0.003;
    /** Day from which a factor on diffusion applies: gas, planting and settling stir the cap. J. */
    private const STIRRING = [[0.0, 21.0, 6.0], [21.0, 60.0, 3.0], [60.0, \INF, 1.5]];

    private float $flush;
    private float $nitrate;
    private float $pores;
    private float $slow;
    private float $conductance;
    private float $holdUp;

    /** @var list<array{Mix, float}> */
    private array $contents;

    public function __construct(private Bed $bed, Vessel $vessel)
    {
        $contents = $this->contents = $bed->contents($vessel);
        $this->nitrate = self::held($contents, static fn (Mix $m): float => $m->nitratePerLitre());
        $this->flush = self::held($contents, static fn (Mix $m): float => $m->flushNitrogenPerLitre()) - $this->nitrate;
        $this->pores = [] === $contents ? 1.0 : max(1e-9, self::held($contents, static fn (Mix $m): float => $m->porosity()));
        $this->slow = self::held($contents, static fn (Mix $m): float => $m->slowNitrogenPerLitre());
        // Litres of pore water that would hold as much ammonium as the soil and its pores do at the same pore concentration.
        $this->holdUp =
            [] === $contents ? 1.0 : max(1e-9, self::held($contents, static fn (Mix $m): float => $m->porosity() * $m->retardation()));
        $conductance = 0.0;
        foreach ($bed->covers($vessel) as [$share, $depth, $cap]) {
            $porosity = $cap?->porosity() ?? 0.9;
            $conductance += $share * (($porosity * self::DIFFUSION) / self::tortuosity($porosity) / max($depth, self::FILM));
        }
        $this->conductance = $conductance * $bed->face($vessel) * 1000;
    }

    /**
     * θ², dimensionless. P: Boudreau (1996), The diffusive tortuosity of fine-grained unlithified sediments, Geochim. Cosmochim. Acta 60,
     * 3139–3142.
     */
    public static function tortuosity(float $porosity): float
    {
        return 1 - log($porosity ** 2);
    }

    /** How fast ammonium diffuses at a temperature, against 25 °C. */
    public static function diffusionAgainst25(float $celsius): float
    {
        return (self::DIFFUSION_AT_ZERO + self::DIFFUSION_PER_DEGREE * ($celsius > 0.0 ? $celsius : 0.0)) /
            (self::DIFFUSION_AT_ZERO + self::DIFFUSION_PER_DEGREE * 25.0);
    }

    /** Litres of pore water that would hold what the bed holds at the same concentration. */
    public function holdUp(): float
    {
        return $this->holdUp;
    }

    /** L of water in the soil's own pores. */
    public function pores(): float
    {
        return $this->pores;
    }

    /** mg N of nitrate in the bed before filling. */
    public function nitrate(): float
    {
        return $this->nitrate;
    }

    /** mg N that is soluble in the bed before filling, nitrate apart, and that rots out over years. */
    public function flushNitrogen(): float
    {
        return $this->flush;
    }

    public function slowNitrogen(): float
    {
        return $this->slow;
    }

    /**
     * mg N of it that microbes free within a year or so: a share of all, the less the leaner in nitrogen the matter is, where that counts.
     */
    public function readyNitrogen(float $share, bool $byLeanness = true): float
    {
        $ready = static function (Mix $mix) use ($byLeanness): float {
            $sum = 0.0;
            foreach ($mix->shares as [$m, $part]) {
                $ratio =
                    $m->slowNitrogen->value > 0
                        ? (1000 * ($m->slowCarbon->value + $m->quickCarbon->value)) / $m->slowNitrogen->value
                        : self::LEAN;
                $sum += $part * $m->density->value * $m->slowNitrogen->value * ($byLeanness ? max(0.0, 1 - $ratio / self::LEAN) : 1.0);
            }

            return $sum;
        };

        return $share * self::held($this->contents, $ready);
    }

    /** L/d that the cap lets through per unit of stirring. */
    public function conductance(): float
    {
        return $this->conductance;
    }

    /** Factor on diffusion through the cap on a day: gas, planting and settling stir it. */
    public static function stirring(float $day): float
    {
        foreach (self::STIRRING as [$from, $to, $factor]) {
            if ($day >= $from && $day < $to) {
                return $factor;
            }
        }

        return 1.0;
    }

    /** mg N that enters the water as ammonia at filling. */
    public function atFilling(): float
    {
        return $this->flush * $this->fillingShare();
    }

    /** mg N that enters it as nitrate. */
    public function nitrateAtFilling(): float
    {
        return $this->nitrate * $this->fillingShare();
    }

    private function fillingShare(): float
    {
        $soil = ($this->bed->soil?->meanDepth() ?? 0.0) + ($this->bed->leaves?->meanDepth() ?? 0.0);
        $cap = $this->bed->cap?->meanDepth() ?? 0.0;

        return match (true) {
            $cap < self::THIN_CAP => self::FILLING_SHARE_BARE,
            $cap >= 2 * $soil => self::FILLING_SHARE_SOUND,
            default => self::FILLING_SHARE_TYPICAL,
        };
    }

    /**
     * @param list<array{Mix, float}> $contents
     * @param \Closure(Mix): float    $perLitre
     */
    private static function held(array $contents, \Closure $perLitre): float
    {
        return array_sum(array_map(static fn (array $c): float => $c[1] * $perLitre($c[0]), $contents));
    }
}
