<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Bed;

use Olvek\Core\Basis\Field\Fields;
use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Basis\Field\Section;
use Olvek\Core\Basis\Field\YesNo;
use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Nature\Vessel\Vessel;

/**
 * What lies on the bottom, from below: a plate with water under it, a lowest layer, soil (with bags of lava in it, and kept back from the
 * front pane where wanted), a layer of leaves, a cap, a top layer. Anything may be missing. Zones of the floor may have soil and cap of
 * their own; some soil may stand in pots.
 */
final readonly class Bed
{
    /** m above its lowest point at which a round bottom counts as floor. J. */
    private const LOWEST_FLOOR = 0.02;

    /**
     * @param list<Dose> $doses   what is mixed into or laid under the soil
     * @param Layer|null $leaves  dead leaves between soil and cap
     * @param float      $plate   m of water under a plate on which all else lies
     * @param float      $core    litres of inert bags that lift the soil from within
     * @param float      $setback m from the front pane in which cap takes the soil's place
     * @param bool       $bagged  soil tied into mesh bags, so that it cannot be stirred up
     * @param Layer|null $base    what lies below the soil: lava, clay, gravel
     * @param Layer|null $dressing what lies on the cap
     * @param float      $plateFrom share of the length from the left at which the plate begins
     * @param float      $plateTo   likewise, at which it ends
     * @param int        $pots      of soil that stand in the water
     * @param float      $potLitres of soil in each
     * @param list<BedZone> $zones     parts of the floor where the bed is another
     */
    public function __construct(
        #[Section('soil', label: 'soil')] public ?Layer $soil,
        #[Section('cap', label: 'cap')] public ?Layer $cap,
        #[Section('doses.*', Dose::class)] public array $doses = [],
        #[Section('leaves', label: 'leaves')] public ?Layer $leaves = null,
        #[Number('gap under the plate', Dimension::Length, 0.0, 0.5, 'm of water under a plate on which the bed lies', decimals: 2),]
        public float $plate = 0.0,
        #[Number('lava bags under the slope', Dimension::Volume, 0.0, 2000.0, 'litres of inert bags within the soil'),]
        public float $core = 0.0,
        #[Number(
            'soil kept back from the front',
            Dimension::Length,
            0.0,
            5.0,
            'm from the front pane in which cap takes the soil’s place',
            decimals: 2,
        ),]
        public float $setback = 0.0,
        #[YesNo('soil in bags', 'tied into mesh bags', 'loose', 'soil tied into mesh bags')] public bool $bagged = false,
        #[Section('base', label: 'lowest layer')] public ?Layer $base = null,
        #[Section('dressing', label: 'top layer')] public ?Layer $dressing = null,
        #[Number('plate from the left', Dimension::Share, 0.0, 1.0, 'where it begins along the front', decimals: 0, when: 'hasPlate')]
        public float $plateFrom = 0.0,
        #[Number('plate to', Dimension::Share, 0.0, 1.0, 'where it ends along the front', decimals: 0, when: 'hasPlate')]
        public float $plateTo = 1.0,
        #[Number('pots of soil', Dimension::Count, 0, 40, 'that stand in the water', decimals: 0)] public int $pots = 0,
        #[Number('soil in each pot', Dimension::Volume, 0.05, 30.0, 'litres of the bed’s soil', decimals: 2, when: 'hasPots')]
        public float $potLitres = 0.3,
        #[Section('/zones.*', BedZone::class, 'zone')] public array $zones = [],
    ) {
    }

    public function hasPlate(): bool
    {
        return $this->plate > 0;
    }

    public function hasPots(): bool
    {
        return $this->pots > 0;
    }

    /**
     * The same bed with other soil, leaves and lowest layer in their places, and in its zones.
     *
     * @param list<BedZone> $zones
     */
    public function withContents(?Layer $soil, ?Layer $leaves, ?Layer $base, array $zones): self
    {
        return Fields::with($this, ['soil' => $soil, 'leaves' => $leaves, 'base' => $base, 'zones' => $zones]);
    }

    /** As far as it is laid when some of its layers are still missing: what a step of building shows. */
    public function upTo(?string $layer): self
    {
        $order = ['plate', 'base', 'soil', 'leaves', 'cap', 'dressing'];
        $laid = \array_slice($order, 0, 1 + (int) array_search($layer, $order, true));
        $missing = array_diff(\array_slice($order, 1), $laid);

        return Fields::with($this, [
            ...array_fill_keys($missing, null),
            'doses' => [],
            ...\in_array('soil', $laid, true) ? [] : ['core' => 0.0, 'pots' => 0],
            ...\in_array('cap', $laid, true) ? [] : ['setback' => 0.0, 'zones' => []],
        ]);
    }

    /** Height of the upper face over the bottom at a pane, m; zones apart. */
    public function depth(Side $side): float
    {
        return $this->capTop($side) + ($this->dressing?->depth($side) ?? 0.0);
    }

    /** Height at a pane on which the soil lies, m. */
    public function underSoil(Side $side): float
    {
        return $this->plate + ($this->base?->depth($side) ?? 0.0);
    }

    /** Height of the soil's upper face at a pane, m. */
    public function soilTop(Side $side): float
    {
        return $this->underSoil($side) + ($this->soil?->depth($side) ?? 0.0);
    }

    /** Height at a pane on which the cap lies, m. */
    public function underCap(Side $side): float
    {
        return $this->soilTop($side) + ($this->leaves?->depth($side) ?? 0.0);
    }

    /** Height of the cap's upper face at a pane, m. */
    public function capTop(Side $side): float
    {
        return $this->underCap($side) + ($this->cap?->depth($side) ?? 0.0);
    }

    /** Height of the upper face at a share (0–1) of the way from front to back, m; zones apart. */
    public function at(float $row): float
    {
        return $this->depth(Side::Front) + ($this->depth(Side::Back) - $this->depth(Side::Front)) * $row;
    }

    public function meanDepth(): float
    {
        return $this->at(0.5);
    }

    /** The zone that holds a place, in shares from the left and the front; null where the bed is as everywhere. */
    public function zoneAt(float $place, float $row): ?BedZone
    {
        foreach ($this->zones as $zone) {
            if ($zone->holds($place, $row)) {
                return $zone;
            }
        }

        return null;
    }

    /** Height at which a zone begins, m: on the plate, as far as that lies under it. */
    public function under(BedZone $zone): float
    {
        return $this->plate * $this->plated($zone);
    }

    /** Height of a zone's upper face, m. */
    public function top(BedZone $zone): float
    {
        return $this->under($zone) + $zone->depth();
    }

    /** Height of the ground at a place, in shares from the left and the front, m: a zone's, else the mean of the bed. */
    public function ground(float $place, float $row): float
    {
        $zone = [] === $this->zones ? null : $this->zoneAt($place, $row);

        return null === $zone ? $this->meanDepth() : $this->top($zone);
    }

    /** Share (0–1) of the floor that a zone covers. */
    public static function share(BedZone $zone, Vessel $vessel): float
    {
        $outline = $vessel->outline();
        $along = $vessel->length();
        $across = $vessel->width();

        return $outline->areaWithin($zone->left * $along, $zone->right * $along, $zone->front * $across, $zone->back * $across) /
            $outline->area();
    }

    /** m² of its upper face; without a bed, of the vessel's bottom, which where it is round is computed a little above its lowest point. */
    public function face(Vessel $vessel): float
    {
        return max(
            $vessel->areaAt(min($this->meanDepth(), $vessel->height())),
            $vessel->areaAt(min(self::LOWEST_FLOOR, $vessel->height() / 2)),
        );
    }

    /** Litres of all that lies below the upper face, water under a plate included; pots apart. */
    public function volume(Vessel $vessel): float
    {
        $litres = $vessel->volumeUnderSlope($this->depth(Side::Front), $this->depth(Side::Back));
        foreach ($this->zones as $zone) {
            $litres += $this->perMetre($zone, $vessel) * ($this->top($zone) - $this->at($zone->row()));
        }

        return max(0.0, $litres);
    }

    /** Litres that stand in pots. */
    public function potted(): float
    {
        return $this->pots * $this->potLitres;
    }

    /** Litres of water under the plate. */
    public function voidVolume(Vessel $vessel): float
    {
        return $this->plate > 0 ? $vessel->volumeBelow($this->plate) * max(0.0, $this->plateTo - $this->plateFrom) : 0.0;
    }

    /** Litres of soil as laid, in layer, zones and pots. */
    public function soilVolume(Vessel $vessel): float
    {
        return self::sum($this->laid($vessel), static fn (Laid $l): bool => MaterialRole::Soil === $l->role
            && !\in_array($l->layer, ['leaves', 'base'], true));
    }

    /** Litres between bottom, plate or lowest layer and the soil's upper face. */
    public function soilRoom(Vessel $vessel): float
    {
        return null === $this->soil ? 0.0 : $this->between($vessel, $this->underSoil(...), $this->soilTop(...));
    }

    /** Litres of leaves as laid. */
    public function leafVolume(Vessel $vessel): float
    {
        return self::sum($this->laid($vessel), static fn (Laid $l): bool => 'leaves' === $l->layer);
    }

    /** Litres of cap as laid: what lies above soil and leaves, before the soil where that is kept back, and in zones. */
    public function capVolume(Vessel $vessel): float
    {
        return self::sum($this->laid($vessel), static fn (Laid $l): bool => MaterialRole::Cap === $l->role
            && !\in_array($l->layer, ['dressing', 'base'], true));
    }

    /**
     * All that is laid, from below; then what each zone has of its own, then pots.
     *
     * @return list<Laid>
     */
    public function laid(Vessel $vessel): array
    {
        $held = $this->heldBack($vessel);
        $onPlate = fn (): float => $this->plate;
        $laid = [];
        foreach (
            [
                ['base', MaterialRole::Soil, $this->base, fn (): float => $this->between($vessel, $onPlate, $this->underSoil(...))],
                ['soil', MaterialRole::Soil, $this->soil, fn (): float => $this->soilRoom($vessel) - $held],
                [
                    'leaves',
                    MaterialRole::Soil,
                    $this->leaves,
                    fn (): float => $this->between($vessel, $this->soilTop(...), $this->underCap(...)),
                ],
                [
                    'cap',
                    MaterialRole::Cap,
                    $this->cap,
                    fn (): float => $this->between($vessel, $this->underCap(...), $this->capTop(...)) + $held,
                ],
                [
                    'dressing',
                    MaterialRole::Cap,
                    $this->dressing,
                    fn (): float => $this->between($vessel, $this->capTop(...), $this->depth(...)),
                ],
            ] as [$name, $role, $layer, $litres]
        ) {
            if (null !== $layer) {
                $less = $this->replaced($layer, $vessel) + ('soil' === $name ? $this->core : 0.0);
                $laid[] = new Laid($name, $role, $layer->mix, max(0.0, $litres() - $less));
            }
        }

        return array_values(array_filter([...$laid, ...$this->zoned($vessel)], static fn (Laid $l): bool => $l->litres > 0));
    }

    /**
     * What of the bed rots and feeds, each with its litres.
     *
     * @return list<array{Mix, float}>
     */
    public function contents(Vessel $vessel): array
    {
        $contents = [];
        foreach ($this->laid($vessel) as $laid) {
            if (MaterialRole::Soil === $laid->role) {
                $contents[] = [$laid->mix, $laid->litres];
            }
        }

        return $contents;
    }

    /**
     * Where soil lies and what covers it: share of the floor, m of cap, and the cap's mix.
     *
     * @return list<array{float, float, Mix|null}>
     */
    public function covers(Vessel $vessel): array
    {
        $rest = 1.0;
        $covers = [];
        foreach ($this->zones as $zone) {
            $share = self::share($zone, $vessel);
            $rest -= $share;
            if ($zone->soil > 0) {
                $covers[] = [$share, $zone->cap, $this->capOf($zone)];
            }
        }
        if ($rest > 1e-9) {
            $covers[] = [$rest, $this->cap?->meanDepth() ?? 0.0, $this->cap?->mix];
        }

        return $covers;
    }

    /** What a layer of Laid is called. */
    public function layerName(string $layer): string
    {
        [$id, $part] = [...explode('.', $layer), ''];
        foreach ($this->zones as $zone) {
            if ($zone->id === $id) {
                return "$part of the ".$zone->purpose->words();
            }
        }

        return match ($layer) {
            'base' => 'lowest layer',
            'dressing' => 'top layer',
            default => $layer,
        };
    }

    /** @return list<Laid> what zones and pots hold */
    private function zoned(Vessel $vessel): array
    {
        $laid = [];
        foreach ($this->zones as $zone) {
            $area = $this->perMetre($zone, $vessel);
            $soil = null === $zone->soilKind ? $this->soil?->mix : Mix::pure($zone->soilKind);
            $cap = $this->capOf($zone);
            if (null !== $soil) {
                $laid[] = new Laid("$zone->id.soil", MaterialRole::Soil, $soil, $area * $zone->soil);
            }
            if (null !== $cap) {
                $laid[] = new Laid("$zone->id.cap", MaterialRole::Cap, $cap, $area * $zone->cap);
            }
        }
        if ($this->pots > 0 && null !== $this->soil) {
            $laid[] = new Laid('pots', MaterialRole::Soil, $this->soil->mix, $this->potted());
        }

        return $laid;
    }

    /** What caps a zone. */
    private function capOf(BedZone $zone): ?Mix
    {
        return null === $zone->capKind ? $this->cap?->mix : Mix::pure($zone->capKind);
    }

    /** Share (0–1) of a zone under which the plate lies. */
    private function plated(BedZone $zone): float
    {
        return max(0.0, min($zone->right, $this->plateTo) - max($zone->left, $this->plateFrom)) / max(1e-9, $zone->right - $zone->left);
    }

    /** Litres in each metre of height over a zone. */
    private function perMetre(BedZone $zone, Vessel $vessel): float
    {
        return 1000 * $this->face($vessel) * self::share($zone, $vessel);
    }

    /** Litres of a layer whose place zones take. */
    private function replaced(Layer $layer, Vessel $vessel): float
    {
        $litres = 0.0;
        foreach ($this->zones as $zone) {
            $litres += $this->perMetre($zone, $vessel) * $layer->at($zone->row());
        }

        return $litres;
    }

    /**
     * Litres between two faces.
     *
     * @param \Closure(Side): float $under
     * @param \Closure(Side): float $over
     */
    private function between(Vessel $vessel, \Closure $under, \Closure $over): float
    {
        $lower = $under(Side::Front) + $under(Side::Back) > 0 ? $vessel->volumeUnderSlope($under(Side::Front), $under(Side::Back)) : 0.0;
        // What lies beside a plate goes down to the bottom, save where a zone does.
        $beside = 0.0;
        if ($this->plate > 0 && $under(Side::Front) === $this->plate) {
            $beside = $vessel->volumeBelow($this->plate) - $this->voidVolume($vessel);
            foreach ($this->zones as $zone) {
                $beside -= $this->perMetre($zone, $vessel) * (1 - $this->plated($zone)) * $this->plate;
            }
        }

        return $vessel->volumeUnderSlope($over(Side::Front), $over(Side::Back)) - $lower + $beside;
    }

    /**
     * @param list<Laid>           $laid
     * @param \Closure(Laid): bool $which
     */
    private static function sum(array $laid, \Closure $which): float
    {
        return array_sum(array_map(static fn (Laid $l): float => $l->litres, array_filter($laid, $which)));
    }

    /** Litres in front of soil that is kept back from the pane. */
    private function heldBack(Vessel $vessel): float
    {
        if (null === $this->soil || $this->setback <= 0 || null === $this->cap) {
            return 0.0;
        }
        $share = min(1.0, $this->setback / $vessel->width());
        $mean = $this->soil->meanDepth();

        return $mean > 0 ? min(1.0, ($share * $this->soil->at($share / 2)) / $mean) * $this->soilRoom($vessel) : 0.0;
    }
}
