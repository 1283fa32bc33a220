<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Plan;

use Olvek\Core\Basis\Field\Fields;
use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Basis\Field\OneOf;
use Olvek\Core\Basis\Field\Section;
use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\Unit;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Nature\Animal\AnimalKind;
use Olvek\Core\Nature\Animal\Feed;
use Olvek\Core\Nature\Animal\Sexes;
use Olvek\Core\Nature\Bed\Bed;
use Olvek\Core\Nature\Bed\Layer;
use Olvek\Core\Nature\Bed\Mix;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Nature\Hardscape\Piece;
use Olvek\Core\Nature\Light\Lamp;
use Olvek\Core\Nature\Plant\Zone;
use Olvek\Core\Nature\Vessel\GlassBox;
use Olvek\Core\Nature\Vessel\Vessel;
use Olvek\Core\Nature\Vessel\VesselMeasure;
use Olvek\Core\Nature\Water\SourceWater;
use Olvek\Core\Planning\Event\Dated;

/**
 * What is to be built. Immutable, and always whole: every way to get one, the constructor and each `with…`,
 * ends in the same rules, so a plan that exists keeps them.
 */
final readonly class Plan
{
    /** Wetted surface of the upper bed grains per floor area. J (2–10). */
    private const GRAIN_SURFACE = 4.0;
    /** Characters. */
    public const LONGEST_NAME = 80;
    /** Last day after filling on which anything can be planned: three years. */
    public const LAST_DAY = Dated::LAST_DAY;
    /** Free water needed above the highest point of the bed, m. */
    public const LEAST_WATER = 0.02;
    /** m. P: NIST Special Publication 811 (2008), exactly. */
    private const INCH = 0.0254;
    /** Share of the tank within which a plant is on a stone, not beside it. J. */
    private const NEAR = 0.15;

    /**
     * @param float       $waterLine m above the inside of the bottom
     * @param list<Clump> $clumps
     * @param list<Group> $groups
     * @param int         $feedFrom  day on which feeding starts
     * @param list<Piece> $pieces    stones and wood
     * @param SourceWater|null $topUp what evaporation is made up with; null for the water it was filled with
     * @param list<PlannedEvent> $events what is planned to happen
     *
     * @throws InvalidPlan when a rule is broken; all broken rules are listed
     */
    public function __construct(
        public string $name,
        #[Section('vessel', VesselMeasure::class)] public Vessel $vessel,
        #[Number('water line', Dimension::Length, 0.0, 5.0, 'm above the inside of the bottom', decimals: 2)] public float $waterLine,
        #[Section('site')] public Site $site,
        #[Section('bed')] public Bed $bed,
        #[Section('light')] public Lamp $lamp,
        #[Section('plants.*', Clump::class)] public array $clumps,
        #[Section('water')] public SourceWater $water,
        #[Section('animals.*', Group::class)] public array $groups,
        #[Section('feeding')] public Feed $feed,
        #[Number('feeding starts on day', Dimension::Count, 0, self::LAST_DAY, 'days after filling', decimals: 0, at: '/feeding.fromDay'),]
        public int $feedFrom,
        #[Section('care')] public Care $care,
        #[OneOf('first bacteria from', 'where the first nitrifying bacteria come from', at: '/start.inoculum')] public Inoculum $inoculum,
        #[Section('hardscape.*', Piece::class)] public array $pieces = [],
        #[Section('topUp')] public ?SourceWater $topUp = null,
        #[Section('preparation')] public Preparation $preparation = new Preparation(),
        public array $events = [],
        #[Section('stand')] public Stand $stand = new Stand(),
        #[Section('equipment')] public Equipment $equipment = new Equipment(),
    ) {
        $problems = Rules::broken($this);
        if ([] !== $problems) {
            throw new InvalidPlan($problems);
        }
    }

    /** A small planted box to begin from: nothing in it is anybody's advice but the trade's usual middle. */
    public static function starting(string $name, Catalogue $catalogue, UnitSystem $units = UnitSystem::Metric): self
    {
        // Whole numbers to whoever measures in inches.
        [$length, $width, $height, $glass, $line, $celsius, $soil, $front, $back] =
            UnitSystem::Us === $units
                ? [
                    24 * self::INCH,
                    12 * self::INCH,
                    14 * self::INCH,
                    self::INCH / 4,
                    13 * self::INCH,
                    Unit::Fahrenheit->toBase(74.0),
                    self::INCH,
                    1.25 * self::INCH,
                    1.5 * self::INCH,
                ]
                : [0.6, 0.3, 0.36, 0.006, 0.33, 23.0, 0.025, 0.03, 0.04];

        return new self(
            $name,
            new GlassBox($length, $width, $height, $glass),
            $line,
            new Site($celsius),
            new Bed(
                new Layer(Mix::pure($catalogue->materials['bagged-topsoil']), $soil, $soil),
                new Layer(Mix::pure($catalogue->materials['coarse-sand']), $front, $back),
            ),
            new Lamp(2000.0, 8.0),
            [],
            new SourceWater(),
            [],
            new Feed(0.0, 0.4),
            0,
            new Care(0.0, 0),
            Inoculum::Nothing,
        );
    }

    public function withName(string $name): self
    {
        return $this->with(['name' => $name]);
    }

    /** @api */
    public function withVessel(Vessel $vessel): self
    {
        return $this->with(['vessel' => $vessel]);
    }

    /** @api */
    public function withWaterLine(float $metres): self
    {
        return $this->with(['waterLine' => $metres]);
    }

    public function withBed(Bed $bed): self
    {
        return $this->with(['bed' => $bed]);
    }

    public function withClump(Clump $clump): self
    {
        return $this->with(['clumps' => self::replaced($this->clumps, $clump)]);
    }

    /**
     * The same plan, planted with other clumps in another bed.
     *
     * @param list<Clump> $clumps
     */
    public function withContents(array $clumps, Bed $bed): self
    {
        return $this->with(['clumps' => $clumps, 'bed' => $bed]);
    }

    /** Without a clump, and without what the plan's days hold for it. */
    public function withoutClump(string $id): self
    {
        return $this->with([
            'clumps' => array_values(array_filter($this->clumps, static fn (Clump $c): bool => $c->id !== $id)),
            'events' => array_values(
                array_filter($this->events, static fn (PlannedEvent $e): bool => 'clump' !== $e->kind->of() || $e->of !== $id),
            ),
        ]);
    }

    /** @param list<Piece> $pieces */
    public function withPieces(array $pieces): self
    {
        return $this->with(['pieces' => $pieces]);
    }

    public function withGroup(Group $group): self
    {
        return $this->with(['groups' => self::replaced($this->groups, $group)]);
    }

    /** Without a group, and without what the plan's days hold for it. */
    public function withoutGroup(string $id): self
    {
        return $this->with([
            'groups' => array_values(array_filter($this->groups, static fn (Group $g): bool => $g->id !== $id)),
            'events' => array_values(
                array_filter($this->events, static fn (PlannedEvent $e): bool => 'group' !== $e->kind->of() || $e->of !== $id),
            ),
        ]);
    }

    /** @param list<PlannedEvent> $events */
    public function withEvents(array $events): self
    {
        return $this->with(['events' => $events]);
    }

    /** The same plan on another site, under another lamp, with other water and food. */
    public function withInputs(Site $site, Lamp $lamp, SourceWater $water, Feed $feed): self
    {
        return $this->with(['site' => $site, 'lamp' => $lamp, 'water' => $water, 'feed' => $feed]);
    }

    /** The same in its real seasons: a tank's year begins on the day on which it was filled, whatever the plan thought. */
    public function filledOn(\DateTimeImmutable $day): self
    {
        return $this->with(['site' => $this->site->filledOnDay((int) $day->format('z') + 1)]);
    }

    public function withEquipment(Equipment $equipment): self
    {
        return $this->with(['equipment' => $equipment]);
    }

    public function withFeed(Feed $feed, int $from): self
    {
        return $this->with(['feed' => $feed, 'feedFrom' => $from]);
    }

    /**
     * Litres of free water: below the water line, above the bed and under its plate, beside stones and wood. Pore water is not counted.
     */
    public function netWater(): float
    {
        return $this->vessel->volumeBelow($this->waterLine) -
            $this->bed->volume($this->vessel) +
            $this->bed->voidVolume($this->vessel) -
            $this->bed->potted() -
            $this->displaced();
    }

    /** Litres of water that stones and wood take the place of. */
    public function displaced(): float
    {
        return array_sum(array_map(fn (Piece $p): float => $p->litres * $this->submerged($p), $this->pieces));
    }

    /** Share (0–1) of a piece that is under water: all of it, unless it is measured and stands out. */
    public function submerged(Piece $piece): float
    {
        return $piece->height > 0
            ? max(0.0, min(1.0, ($this->waterLine - $this->bed->ground($piece->place, $piece->row)) / $piece->height))
            : 1.0;
    }

    /** The stone under which a clump would have to root; null where the ground is free. Only stones that were measured tell. */
    public function stoneOver(Clump $clump): ?Piece
    {
        foreach ($clump->standsOnFloor() ? $this->pieces : [] as $piece) {
            $along = ($piece->place - $clump->place) * $this->vessel->length();
            $across = ($piece->row - $clump->row) * $this->vessel->width();
            if (!$piece->kind->wood && $piece->isMeasured() && $piece->covers($along, $across)) {
                return $piece;
            }
        }

        return null;
    }

    /** Share (0–1) of the surface that floaters may cover: what each kind may, together; all of it where any drifts freely. */
    public function floaterPart(): float
    {
        $parts = array_map(
            static fn (Clump $c): float => $c->mayCover(),
            array_filter($this->clumps, static fn (Clump $c): bool => $c->floats()),
        );

        return [] === $parts ? 1.0 : min(1.0, array_sum($parts));
    }

    /** m² of ground to plant in: the bed's upper face; without a bed, the vessel's bottom. */
    public function floor(): float
    {
        return $this->bed->face($this->vessel);
    }

    /** m² of open water. */
    public function surface(): float
    {
        return $this->vessel->areaAt($this->waterLine);
    }

    /** m of soil under a clump. */
    public function soilUnder(Clump $clump): float
    {
        $soil = $this->bed->soil;
        $zone = $this->bed->zoneAt($clump->place, $clump->row);
        if (null !== $this->stoneOver($clump)) {
            return 0.0;
        }
        if (null !== $zone) {
            return $zone->soil;
        }

        if (null === $soil || $clump->row * $this->vessel->width() < $this->bed->setback) {
            return 0.0;
        }

        return $soil->at($clump->row);
    }

    /** m above the inside bottom that a clump's leaves reach. */
    public function top(Clump $clump): float
    {
        return $clump->hasLeavesInAir()
            ? $this->waterLine + $clump->kind->height->value
            : min($this->waterLine, $this->bed->ground($clump->place, $clump->row) + $clump->raised + $clump->kind->height->value);
    }

    /** The stone or wood that a clump is tied to: the nearest, where its kind grows on such and one stands near; null for none. */
    public function pieceUnder(Clump $clump): ?Piece
    {
        $nearest = null;
        $least = self::NEAR;
        foreach (Zone::Hardscape === $clump->kind->zone ? $this->pieces : [] as $piece) {
            $distance = hypot($piece->place - $clump->place, $piece->row - $clump->row);
            if ($distance < $least) {
                [$nearest, $least] = [$piece, $distance];
            }
        }

        return $nearest;
    }

    /** m² on which bacteria settle: the upper grains of the bed, the wetted walls, stones and wood, the sponge of a filter. */
    public function wettedSurface(): float
    {
        return self::GRAIN_SURFACE * $this->floor() +
            $this->vessel->wallArea($this->bed->meanDepth(), $this->waterLine) +
            array_sum(array_map(static fn (Piece $p): float => $p->surface(), $this->pieces)) +
            $this->equipment->surface();
    }

    /** °C of the water on a day after filling, as season, room and heater have it. */
    public function temperatureOn(int $day): float
    {
        $unheated = $this->site->temperatureOn($day);
        $equipment = $this->equipment;

        return match ($equipment->heating) {
            Heating::None => $unheated,
            Heating::Room => max($unheated, $equipment->target - Site::BELOW_AIR),
            Heating::Tank => max(
                $unheated,
                0.0 === $equipment->watts
                    ? $equipment->target
                    : min($equipment->target, $unheated + $equipment->watts / HeatLoss::perKelvin($this)),
            ),
        };
    }

    /** °C of the air over the water on a day. */
    public function airOn(int $day): float
    {
        return Heating::Room === $this->equipment->heating
            ? max($this->equipment->target, $this->site->airOn($day))
            : $this->site->airOn($day);
    }

    /** °C of the water on the coldest day of the year. */
    public function coldest(): float
    {
        return min(array_map($this->temperatureOn(...), range(0, 364)));
    }

    /** Exchange of gases with the air, times that of still water. */
    public function exchange(): float
    {
        return max($this->site->movement->exchange(), $this->equipment->exchange($this->netWater()));
    }

    /** Share (0–1) of its growth that a clump keeps in the current: only floaters that drift lose any, in a ring they lie calm. C. */
    public function calm(Clump $clump): float
    {
        return $clump->floats() && FloaterKeeping::Ring !== $clump->keeping ? $this->equipment->calm($this->netWater()) : 1.0;
    }

    /** Whether a kind has both sexes, in one group or in several. */
    public function canBreed(AnimalKind $kind): bool
    {
        $sexes = array_map(
            static fn (Group $g): Sexes => $g->sexes,
            array_filter($this->groups, static fn (Group $g): bool => $g->kind->id === $kind->id),
        );

        return [] !== array_filter($sexes, static fn (Sexes $s): bool => $s->breed())
            || (\in_array(Sexes::Males, $sexes, true) && \in_array(Sexes::Females, $sexes, true));
    }

    public function stock(): Stock
    {
        return new Stock($this->groups);
    }

    /** Day on which the first animals come, or null. */
    public function firstAnimals(): ?int
    {
        return $this->stock()->firstDay();
    }

    /** @param array<string, mixed> $changes */
    private function with(array $changes): self
    {
        return Fields::with($this, $changes);
    }

    /**
     * @template T of Clump|Group|Piece
     *
     * @param list<T> $things
     * @param T       $new
     *
     * @return list<T>
     */
    private static function replaced(array $things, Clump|Group|Piece $new): array
    {
        foreach ($things as $index => $thing) {
            if ($thing->id === $new->id) {
                $things[$index] = $new;

                return $things;
            }
        }
        $things[] = $new;

        return $things;
    }
}
