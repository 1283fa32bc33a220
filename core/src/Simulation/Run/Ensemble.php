<?php

declare(strict_types=1);

namespace Olvek\Core\Simulation\Run;

use Olvek\Core\Basis\Unit\Estimate;
use Olvek\Core\Nature\Bed\BedZone;
use Olvek\Core\Nature\Bed\Layer;
use Olvek\Core\Nature\Bed\Material;
use Olvek\Core\Nature\Bed\Mix;
use Olvek\Core\Planning\Plan\Clump;
use Olvek\Core\Planning\Plan\Plan;

/**
 * The same plan in many tanks whose uncertain numbers differ: a Latin hypercube over every ranged parameter of the run, over questions of
 * form as strata, over what is
 * uncertain of the plan's own plants and soils, and over what its keeper measured or did by eye. The same plan, size and member always
 * give the same tank.
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
        return $this->drawn(fn (string $dimension): float => $this->place($dimension, $n));
    }

    /**
     * A tank whose uncertain numbers stand where they are put.
     *
     * @param \Closure(string): float $place share of tanks (0–1) in which a dimension's number is lower
     *
     * @return array{Plan, Parameters}
     */
    public function at(\Closure $place): array
    {
        return $this->drawn($place);
    }

    /**
     * The likely tank but for one number.
     *
     * @param string $dimension one of dimensions()
     * @param float  $share     share of tanks (0–1) in which that number is lower
     *
     * @return array{Plan, Parameters}
     */
    public function only(string $dimension, float $share): array
    {
        return $this->drawn(static fn (string $other): float => $other === $dimension ? $share : 0.5);
    }

    /** @return list<string> all that is varied, by name: "parameter …", "structure …", "input …", or a kind or material and what of it */
    public function dimensions(): array
    {
        $names = [];
        $this->drawn(static function (string $dimension) use (&$names): float {
            $names[$dimension] = true;

            return 0.5;
        });

        return array_keys($names);
    }

    /**
     * @param \Closure(string): float $place where (0–1) the tank stands along a dimension
     *
     * @return array{Plan, Parameters}
     */
    private function drawn(\Closure $place): array
    {
        $parameters = new Parameters();
        $likely = $parameters->values();
        $values = [];
        foreach (Parameters::ranges() as $name => $range) {
            $values[$name] = self::quantile($likely[$name], $range->low, $range->high, $place("parameter $name"));
        }
        $vary = static fn (string $dimension, Estimate $estimate): Estimate => Estimate::of(
            self::quantile($estimate->value, $estimate->low, $estimate->high, $place($dimension)),
            $estimate->provenance,
        );

        $otherwise = array_map(
            static fn (string $question): bool => $place("structure $question") > 1 - Structure::OTHERWISE,
            array_combine(array_keys(Structure::questions()), array_keys(Structure::questions())),
        );

        return [
            UncertainInputs::varied(self::grown($this->plan, $vary), $vary),
            $parameters->with($values)->structured(new Structure(...$otherwise)),
        ];
    }

    /** @param \Closure(string, Estimate): Estimate $vary */
    private static function grown(Plan $plan, \Closure $vary): Plan
    {
        $clumps = array_map(static function (Clump $clump) use ($vary): Clump {
            $kind = $clump->kind;

            return $clump->withKind($kind->with(
                $vary("$kind->id growth", $kind->growth),
                $vary("$kind->id light", $kind->halfLight),
                $vary("$kind->id melt", $kind->melt),
                $vary("$kind->id densest", $kind->densest),
                $vary("$kind->id piece", $kind->dryPerPiece),
                $vary("$kind->id roots", $kind->rootShare),
            ));
        }, $plan->clumps);
        $bed = $plan->bed;

        $zones = array_map(
            static fn (BedZone $zone): BedZone => null === $zone->soilKind ? $zone : $zone->withSoil(self::material(
                $zone->soilKind,
                $vary,
            )),
            $bed->zones,
        );
        $base = self::layer($bed->base, $vary);
        $soil = self::layer($bed->soil, $vary);

        return $plan->withContents($clumps, $bed->withContents($soil, self::layer($bed->leaves, $vary), $base, $zones));
    }

    /** @param \Closure(string, Estimate): Estimate $vary */
    private static function layer(?Layer $layer, \Closure $vary): ?Layer
    {
        if (null === $layer) {
            return null;
        }
        $parts = array_map(static fn (array $part): array => [self::material($part[0], $vary), $part[1]], $layer->mix->parts);

        return new Layer(new Mix($parts), $layer->front, $layer->back);
    }

    /** @param \Closure(string, Estimate): Estimate $vary */
    private static function material(Material $m, \Closure $vary): Material
    {
        return $m->with(
            $vary("$m->id flush", $m->flushNitrogen),
            $vary("$m->id slow", $m->slowNitrogen),
            $vary("$m->id quick", $m->quickCarbon),
            $vary("$m->id old", $m->slowCarbon),
            $vary("$m->id hold", $m->retardation),
            $vary("$m->id phosphorus", $m->phosphorus),
            $vary("$m->id potassium", $m->potassium),
            $vary("$m->id iron", $m->iron),
        );
    }

    /** Where (0–1) a member stands along one dimension, by its name. */
    public function place(string $dimension, int $n): float
    {
        return $this->places($dimension)[$n];
    }

    /** @return list<float> where (0–1) each member stands along one dimension: in the middle of a stratum of its own */
    public function places(string $dimension): array
    {
        $strata = range(0, $this->members - 1);
        $strata = (new \Random\Randomizer(new \Random\Engine\Xoshiro256StarStar(self::SEED + crc32($dimension))))->shuffleArray($strata);

        return array_map(fn (int $stratum): float => ($stratum + 0.5) / $this->members, array_values($strata));
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
