<?php

declare(strict_types=1);

namespace Olvek\Core\Run;

use Olvek\Core\Bed\Layer;
use Olvek\Core\Bed\Material;
use Olvek\Core\Bed\Mix;
use Olvek\Core\Plan\Plan;
use Olvek\Core\Unit\Estimate;

/**
 * The same plan in many tanks whose uncertain numbers differ: a Latin hypercube over every ranged parameter of the run, and over what
 * is uncertain of the plan's own plants and soils. The same plan, size and member always give the same tank.
 *
 * P: McKay, Beckman & Conover (1979), A comparison of three methods for selecting values of input variables, Technometrics 21.
 */
final readonly class Ensemble
{
    public const MEMBERS = 64;
    /** Fixed, so that two keepers see the same band. */
    private const SEED = 20_260_501;
    /** Ratio of high to low beyond which a range is walked by factors, not by steps. J. */
    private const WIDE = 8.0;

    public function __construct(private Plan $plan, public int $members = self::MEMBERS)
    {
    }

    /**
     * One tank of the ensemble.
     *
     * @param int $n 0 to members − 1
     *
     * @return array{Plan, Parameters}
     */
    public function member(int $n): array
    {
        $parameters = new Parameters();
        $likely = $parameters->values();
        $values = [];
        foreach (Parameters::ranges() as $name => $range) {
            $values[$name] = self::quantile($likely[$name], $range->low, $range->high, $this->place("parameter $name", $n));
        }

        return [$this->planted($n), $parameters->with($values)];
    }

    private function planted(int $n): Plan
    {
        $plan = $this->plan;
        foreach ($plan->clumps as $clump) {
            $kind = $clump->kind;
            $varied = $kind->with($this->vary("$kind->id growth", $kind->growth, $n), $this->vary("$kind->id light", $kind->halfLight, $n),
                $this->vary("$kind->id melt", $kind->melt, $n), $this->vary("$kind->id densest", $kind->densest, $n),
                $this->vary("$kind->id piece", $kind->dryPerPiece, $n), $this->vary("$kind->id roots", $kind->rootShare, $n));
            $plan = $plan->withClump($clump->withKind($varied));
        }
        $bed = $plan->bed;

        return null === $bed->soil && null === $bed->leaves ? $plan : $plan->withBed($bed->withContents($this->layer($bed->soil, $n), $this->layer($bed->leaves, $n)));
    }

    private function layer(?Layer $layer, int $n): ?Layer
    {
        if (null === $layer) {
            return null;
        }
        $parts = array_map(fn (array $part): array => [$this->material($part[0], $n), $part[1]], $layer->mix->parts);

        return new Layer(new Mix($parts), $layer->front, $layer->back);
    }

    private function material(Material $m, int $n): Material
    {
        $vary = fn (string $name, Estimate $estimate): Estimate => $this->vary("$m->id $name", $estimate, $n);

        return $m->with($vary('flush', $m->flushNitrogen), $vary('slow', $m->slowNitrogen), $vary('quick', $m->quickCarbon), $vary('old', $m->slowCarbon),
            $vary('hold', $m->retardation), $vary('phosphorus', $m->phosphorus), $vary('potassium', $m->potassium), $vary('iron', $m->iron));
    }

    private function vary(string $dimension, Estimate $estimate, int $n): Estimate
    {
        return Estimate::of(self::quantile($estimate->value, $estimate->low, $estimate->high, $this->place($dimension, $n)), $estimate->provenance);
    }

    /** Where (0–1) a member stands along one dimension, by its name: each takes the middle of a stratum of its own. */
    public function place(string $dimension, int $n): float
    {
        $strata = range(0, $this->members - 1);
        $strata = (new \Random\Randomizer(new \Random\Engine\Xoshiro256StarStar(self::SEED + crc32($dimension))))->shuffleArray($strata);

        return ($strata[$n] + 0.5) / $this->members;
    }

    /** The value below which a share of tanks lies: half on each side of the likely value, thinning out towards the ends. */
    private static function quantile(float $likely, float $low, float $high, float $share): float
    {
        if ($low > 0 && $high / $low > self::WIDE) {
            return exp(self::quantile(log($likely), log($low), log($high), $share));
        }

        return $share < 0.5
            ? $likely - ($likely - $low) * (1 - sqrt(2 * $share))
            : $likely + ($high - $likely) * (1 - sqrt(2 * (1 - $share)));
    }
}
