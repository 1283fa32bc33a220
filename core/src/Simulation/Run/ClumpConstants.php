<?php

declare(strict_types=1);

namespace Olvek\Core\Simulation\Run;

use Olvek\Core\Nature\Plant\Growth;
use Olvek\Core\Nature\Plant\PlantKind;
use Olvek\Core\Nature\Plant\PlantRole;
use Olvek\Core\Nature\Plant\Spread;
use Olvek\Core\Nature\Plant\Warmth;
use Olvek\Core\Planning\Plan\Clump;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\PlantingMethod;

/**
 * What of a clump stays the same through a run, read out of plan and catalogue once.
 *
 * @internal
 */
final readonly class ClumpConstants
{
    /** m of soil under a clump with which its roots find all that they can use. J (0.5–2 cm). */
    private const ENOUGH_SOIL = 0.01;
    /** How much of its growth a plant that lives by its roots loses without soil under it. J (0.3–0.7). */
    private const WANTS_SOIL = 0.5;
    /** d⁻¹ of growth from which a house plant is a vine. J. */
    private const VINE = 0.03;
    /** Share of its phosphorus and iron that a rooted plant takes from the bed. M: Carignan & Kalff (1980), Science 207: nearly all. */
    private const FROM_BED = 0.95;

    public PlantKind $kind;
    public Warmth $warmth;
    public bool $house;
    /** Floats on the surface; stands in the floor. */
    public bool $floats;
    public bool $stands;
    /** Its leaves are in air. */
    public bool $inAir;
    /** Factor on its growth of how well it thrives as it is kept there, of the current, and of the soil that its roots find. */
    public float $seated;
    /** d⁻¹. */
    public float $growth;
    /** µmol/m²/s at which it grows at half speed, and below which it does not. */
    public float $halfLight;
    public float $compensation;
    /** Share (0–1) of its nitrogen, and of its phosphorus and iron, that roots bring once they are down. */
    public float $rootShare;
    public float $fromBed;
    /** Share (0–1) of its leaves that can use bicarbonate. */
    public float $bicarbonate;
    /** mg CO2/L of half fixation in full light. */
    public float $carbonHalf;
    /** g dry per m². */
    public float $densest;
    public int $pieces;
    /** Share (0–1) of the bed's soil within reach of its roots. */
    public float $soilReach;
    /** Days after planting from which, and until which, its roots grow into the bed. */
    public float $rootsFrom;
    public float $rootsTo;
    /** Whether its seat changes while it settles: house plants, and what was set down into the soil. */
    public bool $settles;
    /** Set down into the soil; and though its rhizome must not be. */
    public bool $deep;
    public bool $buried;
    /** Share (0–1) of what melts at all that it melts, by how it was grown. */
    public float $melts;
    /** m² as planted. */
    private float $planted;

    /** @param float $depth m of water */
    public function __construct(Plan $plan, Clump $clump, Parameters $p, float $depth)
    {
        $kind = $this->kind = $clump->kind;
        $this->warmth = new Warmth($kind);
        $this->house = PlantRole::HousePlant === $kind->role;
        $this->floats = $kind->role->coversSurface();
        $this->stands = $clump->standsOnFloor();
        $this->inAir = $clump->hasLeavesInAir();
        $this->growth = $kind->growth->value;
        $this->halfLight = $kind->halfLight->value;
        $this->compensation = $p->lightCompensation * $this->halfLight;
        $this->rootShare = $kind->rootShare->value;
        $this->fromBed = self::FROM_BED * min(1.0, 2 * $kind->rootShare->value);
        $this->bicarbonate = $kind->bicarbonate->value;
        $this->carbonHalf = Growth::carbonHalf($kind, $p->carbonHalf, $p->carbonHalfBicarbonate);
        $this->densest = $kind->densest->value;
        $this->pieces = $clump->pieces;
        $this->soilReach = $clump->seat->hasSoil() ? 1.0 : min(1.0, $plan->soilUnder($clump) / self::ENOUGH_SOIL);
        $soiled = 1 - self::WANTS_SOIL * $this->rootShare * (1 - $this->soilReach);
        $this->seated = $plan->calm($clump) * $clump->emersion->thrives() * $soiled;
        // Roots that must first span the water take so much longer. J: vines some 1 cm a day, trees a third of that.
        [$this->rootsFrom, $this->rootsTo] = match (true) {
            !$this->house => [Growth::ROOTS_FROM, Growth::ROOTS_TO],
            $kind->growth->value >= self::VINE => [60 * $depth, 150 * $depth],
            default => [300 * $depth, 600 * $depth],
        };
        $this->deep = PlantingMethod::Deep === $clump->planting;
        $this->buried = $this->deep && 0.0 === $kind->planting->value;
        $this->settles = $this->house || $this->deep;
        $this->melts = $clump->melts();
        $this->planted = $clump->area();
    }

    /** Share (0–1) of the way that its roots have come, so many days after planting. */
    public function rooted(float $since): float
    {
        if ($since <= $this->rootsFrom) {
            return 0.0;
        }

        return $since < $this->rootsTo ? ($since - $this->rootsFrom) / ($this->rootsTo - $this->rootsFrom) : 1.0;
    }

    /** m² that it covers when it has grown so many times. */
    public function spread(float $growth): float
    {
        return Spread::area($this->planted, $growth);
    }
}
