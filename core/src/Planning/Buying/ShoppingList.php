<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Buying;

use Olvek\Core\Basis\Supply\Source;
use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Basis\Unit\Words;
use Olvek\Core\Nature\Bed\Edge;
use Olvek\Core\Nature\Hardscape\Fixing;
use Olvek\Core\Nature\Water\Ammonium;
use Olvek\Core\Planning\Plan\Background;
use Olvek\Core\Planning\Plan\Device;
use Olvek\Core\Planning\Plan\FillingMethod;
use Olvek\Core\Planning\Plan\FirstDose;
use Olvek\Core\Planning\Plan\Heating;
use Olvek\Core\Planning\Plan\HeatLoss;
use Olvek\Core\Planning\Plan\Inoculum;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\Quantities;
use Olvek\Core\Planning\Plan\Seat;
use Olvek\Core\Planning\Plan\StartWay;
use Olvek\Core\Planning\Plan\Treatment;

/** Everything that a plan takes, beside the materials of its bed (Sheet): from the vessel to the tweezers. C. */
final readonly class ShoppingList
{
    /** Days for which food and fertiliser are bought at first: a quarter of a year. J. */
    private const DAYS = 91;
    /** Share of the water that a filling takes besides: for rinsing and spilling. J. */
    private const SPARE = 0.1;
    /** L of the smallest vessel for a quarantine. C. */
    public const APART = 10.0;

    private function __construct(private Plan $plan, private UnitSystem $units)
    {
    }

    /** @return list<Want> by aisle */
    public static function of(Plan $plan, UnitSystem $units, Shop $shop = new Shop()): array
    {
        $list = new self($plan, $units);
        $wants = array_filter([
            ...$list->vessel(),
            ...$list->bed(),
            ...$list->hardscape(),
            ...$list->plants(),
            ...$list->animals(),
            ...$list->light(),
            ...$list->equipment(),
            ...$list->water(),
            ...$list->start(),
            ...$list->tools(),
        ]);

        return array_values(array_map(static fn (Want $w): Want => $w->at($shop->costs[$w->id] ?? null), $wants));
    }

    /**
     * What has a price, in all, and how many lines that are bought have none yet.
     *
     * @param list<Want> $wants
     *
     * @return array{float|null, int} null where nothing has one
     */
    public static function total(Sheet $sheet, array $wants): array
    {
        $priced = array_filter($wants, static fn (Want $w): bool => null !== $w->cost);
        $cost = array_sum(array_map(static fn (Want $w): float => (float) $w->cost, $priced)) + ($sheet->cost ?? 0.0);

        return [
            [] === $priced && null === $sheet->cost ? null : $cost,
            $sheet->unpriced + \count(array_filter($wants, static fn (Want $w): bool => $w->bought && null === $w->cost)),
        ];
    }

    /** Litres of water to have ready: what is free, and what the bed's pores drink. */
    public static function waterToPrepare(Plan $plan): float
    {
        $quantities = Quantities::of($plan);

        return $quantities->netWater + $quantities->poreWater;
    }

    /** @return list<Want|null> */
    private function vessel(): array
    {
        $plan = $this->plan;
        $glass = !$plan->vessel->shape()->isOutdoor();
        $length = fn (float $m): string => $this->units->show(Dimension::Length, $m);

        return [
            new Want(
                'vessel',
                Aisle::Vessel,
                \sprintf(
                    '%s, %s%s',
                    mb_strtolower($plan->vessel->shape()->words()),
                    implode(
                        ' × ',
                        array_map($length, [$plan->vessel->outerLength(), $plan->vessel->outerWidth(), $plan->vessel->outerHeight()]),
                    ),
                    $plan->stand->secondHand ? ', second-hand' : '',
                ),
            ),
            $glass ? new Want('kit.foam', Aisle::Vessel, 'foam sheet under the vessel') : null,
            Background::None === $plan->stand->background
                ? null
                : new Want(
                    'kit.background',
                    Aisle::Vessel,
                    \sprintf(
                        '%s, %s × %s',
                        $plan->stand->background->words(),
                        $length($plan->vessel->outerLength()),
                        $length($plan->vessel->outerHeight()),
                    ),
                ),
            $plan->stand->shadeBar
                ? new Want('kit.shade-bar', Aisle::Vessel, 'shade bar for the rim, '.$length($plan->vessel->outerLength()))
                : null,
            $plan->site->lid || $plan->site->sealed
                ? new Want('kit.lid', Aisle::Vessel, $plan->site->sealed ? 'lid that seals' : 'lid')
                : null,
        ];
    }

    /** @return list<Want|null> */
    private function bed(): array
    {
        $bed = $this->plan->bed;
        $edges = array_map(static fn ($z): Edge => $z->edge, $bed->zones);
        $wants = array_map(
            static fn ($d): Want => new Want(
                'dose.'.$d->amendment->id,
                Aisle::Bed,
                Decimal::trimmed($d->grams, 1).' g '.mb_strtolower($d->amendment->name),
            ),
            $bed->doses,
        );

        return [
            ...$wants,
            $bed->core > 0
                ? new Want('kit.core', Aisle::Bed, $this->units->show(Dimension::Volume, $bed->core).' of crushed lava for the bags')
                : null,
            $bed->bagged || $bed->core > 0 ? new Want('kit.mesh', Aisle::Bed, 'fine mesh and ties for the bags') : null,
            $bed->plate > 0
                ? new Want('kit.plate', Aisle::Bed, 'plate with feet of '.$this->units->show(Dimension::Length, $bed->plate).', and mesh')
                : null,
            $bed->pots > 0
                ? new Want(
                    'kit.pots',
                    Aisle::Bed,
                    \sprintf(
                        '%s for %s of soil each',
                        Words::count($bed->pots, 'pot'),
                        $this->units->show(Dimension::Volume, $bed->potLitres),
                    ),
                )
                : null,
            \in_array(Edge::StonesAndWadding, $edges, true)
                ? new Want('kit.wadding', Aisle::Bed, 'filter wadding and small stones for the rim')
                : null,
            \in_array(Edge::Strip, $edges, true) ? new Want('kit.strip', Aisle::Bed, 'strip of glass or plastic between zones') : null,
            \in_array(Edge::Wall, $edges, true) ? new Want('kit.wall', Aisle::Bed, 'flat stones for the terrace’s wall') : null,
        ];
    }

    /** @return list<Want|null> */
    private function hardscape(): array
    {
        $wants = array_map(
            fn ($p): Want => new Want(
                "piece.$p->id",
                Aisle::Hardscape,
                $p->kind->name.', '.$this->units->show(Dimension::Mass, 1000 * $p->mass()).self::from($p->source),
                $p->source->isBought(),
            ),
            $this->plan->pieces,
        );
        $fixings = array_map(static fn ($p): Fixing => $p->fixing, $this->plan->pieces);
        foreach ($this->plan->clumps as $clump) {
            $fixings[] = match ($clump->seat) {
                Seat::Glued => Fixing::Glue,
                Seat::Tied, Seat::Grid => Fixing::Thread,
                default => Fixing::None,
            };
        }
        foreach (array_unique($fixings, \SORT_REGULAR) as $fixing) {
            $buys = $fixing->buys();
            $wants[] = null === $buys ? null : new Want("fixing.$fixing->value", Aisle::Hardscape, $buys);
        }

        return $wants;
    }

    /** @return list<Want|null> */
    private function plants(): array
    {
        $seats = array_map(static fn ($c): Seat => $c->seat, $this->plan->clumps);
        $kept = array_filter($this->plan->clumps, static fn ($c): bool => $c->isKept());

        return [
            ...array_map(
                static fn ($c): Want => new Want(
                    "plant.$c->id",
                    Aisle::Plants,
                    \sprintf(
                        '%d %s of %s, some %d g wet%s%s',
                        $c->pieces,
                        Words::plural($c->pieces, $c->kind->piece),
                        $c->kind->common,
                        (int) round($c->wetMass()),
                        $c->day > 0 ? ", for day $c->day" : '',
                        self::from($c->source),
                    ),
                    $c->source->isBought(),
                ),
                $this->plan->clumps,
            ),
            \in_array(Seat::Grid, $seats, true) ? new Want('kit.grid', Aisle::Plants, 'grid or stick for moss') : null,
            [] !== $kept ? new Want('kit.ring', Aisle::Plants, 'air hose for a ring that keeps floaters') : null,
        ];
    }

    /** @return list<Want|null> */
    private function animals(): array
    {
        $plan = $this->plan;
        $feed = $plan->feed;
        $quarantine = array_filter($plan->groups, static fn ($g): bool => $g->quarantine > 0);

        return [
            ...array_map(
                static fn ($g): Want => new Want(
                    "animal.$g->id",
                    Aisle::Animals,
                    \sprintf('%d × %s%s%s', $g->count, $g->kind->common, $g->day > 0 ? ", for day $g->day" : '', self::from($g->source)),
                    $g->source->isBought(),
                ),
                $plan->groups,
            ),
            $feed->grams > 0
                ? new Want(
                    'food',
                    Aisle::Animals,
                    \sprintf(
                        '%s, %s g for a quarter of a year',
                        null === $feed->food ? 'dry food' : mb_strtolower($feed->food->name),
                        Decimal::trimmed($feed->grams * self::DAYS, 0),
                    ),
                )
                : null,
            [] !== $quarantine
                ? new Want(
                    'kit.quarantine',
                    Aisle::Animals,
                    \sprintf(
                        'vessel for the quarantine: %s or more, a lid, a sponge, a hiding place',
                        $this->units->show(Dimension::Volume, self::APART, 0),
                    ),
                )
                : null,
        ];
    }

    /** @return list<Want|null> */
    private function light(): array
    {
        $lamp = $this->plan->lamp;
        $lit = $lamp->lumens > 0;
        $strength = static fn (float $lumens, float $watts): string => $watts > 0
            ? \sprintf('%s W, some %s lm', Decimal::trimmed($watts, 0), Decimal::trimmed($lumens, 0))
            : Decimal::trimmed($lumens, 0).' lm';

        return [
            $lit
                ? new Want(
                    'kit.lamp',
                    Aisle::Light,
                    (null === $lamp->kind ? 'lamp' : Words::small($lamp->kind->name)).' of '.$strength($lamp->lumens, $lamp->watts),
                )
                : null,
            $lamp->second->burns()
                ? new Want(
                    'kit.second-lamp',
                    Aisle::Light,
                    \sprintf(
                        'second lamp, %s, of %s',
                        null === $lamp->second->kind ? 'white diodes' : Words::small($lamp->second->kind->name),
                        $strength($lamp->second->flux(), $lamp->second->watts),
                    ),
                )
                : null,
            $lamp->programme->night > 0
                ? new Want('kit.night-light', Aisle::Light, 'night light of '.Decimal::trimmed($lamp->programme->night, 0).' lm')
                : null,
            $lit
                ? new Want(
                    'kit.timer',
                    Aisle::Light,
                    $lamp->programme->dawn > 0 ? 'timer that dims, for dawn and dusk' : 'timer for the lamp',
                )
                : null,
            $lit || $this->plan->equipment->isPowered()
                ? new Want('kit.socket', Aisle::Light, 'socket with a residual-current device')
                : null,
        ];
    }

    /** @return list<Want|null> */
    private function equipment(): array
    {
        $plan = $this->plan;
        $equipment = $plan->equipment;
        $celsius = fn (float $c): string => $this->units->show(Dimension::Temperature, $c, 0);
        $cold = $plan->coldest();
        $warm = array_filter($plan->groups, static fn ($g): bool => $g->kind->coolest->value > $cold + 1e-9);
        $unheated = min(array_map($plan->site->temperatureOn(...), range(0, 364)));
        $need = HeatLoss::watts($plan, $equipment->target, $unheated);

        return [
            $equipment->hasHeater()
                ? new Want(
                    'kit.heater',
                    Aisle::Equipment,
                    \sprintf(
                        'heater of %s W, set to %s (the coldest day takes %s W)',
                        Decimal::trimmed($equipment->watts > 0 ? $equipment->watts : HeatLoss::sold($need), 0),
                        $celsius($equipment->target),
                        Decimal::trimmed($need, 0),
                    ),
                )
                : null,
            !$equipment->heats() && [] !== $warm
                ? new Want('kit.heater', Aisle::Equipment, \sprintf('heater: some of the animals want more than %s', $celsius($cold)))
                : null,
            Heating::Room === $equipment->heating
                ? new Want('kit.room', Aisle::Equipment, 'the room is kept at '.$celsius($equipment->target), false)
                : null,
            $plan->site->sealed ? null : new Want('kit.thermometer', Aisle::Equipment, 'thermometer'),
            $equipment->moves()
                ? new Want(
                    'kit.device',
                    Aisle::Equipment,
                    \sprintf(
                        '%s, %s an hour',
                        preg_replace('/^an? /', '', $equipment->device->words()),
                        $this->units->show(Dimension::Volume, $equipment->flow, 0),
                    ),
                )
                : null,
            $equipment->isDrivenByAir() ? new Want('kit.air', Aisle::Equipment, 'air pump, hose and a check valve') : null,
            $equipment->filters() && Device::SpongeFilter !== $equipment->device
                ? new Want('kit.media', Aisle::Equipment, $this->units->show(Dimension::Volume, $equipment->media).' of open filter foam')
                : null,
            $plan->care->gas > 0
                ? new Want(
                    'kit.gas',
                    Aisle::Equipment,
                    \sprintf(
                        'CO₂: bottle, pressure reducer, magnetic valve, check valve and diffuser; some %s g a day, %s bubbles a minute: '
                            .'a kilogram lasts %s months',
                        Decimal::significant(Gas::daily($plan), 2),
                        Decimal::trimmed(Gas::bubbles($plan), 0),
                        Decimal::trimmed(1000 / max(0.1, Gas::daily($plan)) / 30, 0),
                    ),
                )
                : null,
            $plan->care->trickle > 0
                ? new Want(
                    'kit.yeast',
                    Aisle::Equipment,
                    \sprintf(
                        'yeast bottle with hose: %s g of sugar and a pinch of yeast every %d days',
                        Decimal::trimmed(Gas::sugar($plan->care->trickle), 0),
                        Gas::YEAST_DAYS,
                    ),
                )
                : null,
        ];
    }

    /** @return list<Want|null> */
    private function water(): array
    {
        $plan = $this->plan;
        $litres = self::waterToPrepare($plan);
        $salts = Salts::of($plan->care, $plan->netWater(), intdiv(self::DAYS, 7))->grams();
        $show = fn (float $l): string => $this->units->show(Dimension::Volume, $l, 0);

        return [
            new Want(
                'water',
                Aisle::Water,
                \sprintf('%s of water to fill with, and %s to spare', $show($litres), $show(self::SPARE * $litres)),
                false,
            ),
            Treatment::Unchlorinated === $plan->preparation->treatment
                ? null
                : new Want(
                    'kit.treatment',
                    Aisle::Water,
                    \sprintf('water treatment for %s, by its label', $this->units->show(Dimension::Volume, $litres)),
                ),
            null !== $plan->topUp
                ? new Want('kit.top-up', Aisle::Water, 'rain or reverse-osmosis water to top up with: a canister', false)
                : null,
            [] === $salts
                ? null
                : new Want(
                    'fertiliser',
                    Aisle::Water,
                    'fertiliser for a quarter of a year: a ready one, or '.implode(
                        ', ',
                        array_map(
                            static fn (string $name, float $grams): string => Decimal::significant($grams, 2)." g $name",
                            array_keys($salts),
                            $salts,
                        ),
                    ),
                ),
        ];
    }

    /** @return list<Want|null> */
    private function start(): array
    {
        $plan = $this->plan;
        $way = $plan->preparation->way;

        return [
            Inoculum::Bottled === $plan->inoculum ? new Want('kit.bacteria', Aisle::Start, 'bottled bacteria, fresh: by its date') : null,
            \in_array($plan->inoculum, [Inoculum::Sponge, Inoculum::SeasonedBed, Inoculum::Cuttings], true)
                ? new Want('kit.inoculum', Aisle::Start, $plan->inoculum->words().': kept wet on the way', false)
                : null,
            StartWay::Dosing === $way
                ? new Want(
                    'kit.ammonium',
                    Aisle::Start,
                    \sprintf(
                        'ammonium chloride, pure: %s g a dose, for four of them',
                        Decimal::significant(Ammonium::grams(FirstDose::of($plan)->milligrams, $plan->netWater()), 2),
                    ),
                )
                : null,
            $plan->site->sealed ? null : new Want('kit.tests', Aisle::Start, 'tests for ammonia, nitrite, nitrate, pH and hardness'),
        ];
    }

    /** @return list<Want|null> */
    private function tools(): array
    {
        $plan = $this->plan;
        $soil = $plan->bed->soil;

        return [
            null !== $soil && !$soil->mix->isGranular()
                ? new Want('kit.sieve', Aisle::Tools, 'sieve, gloves and a mask for dusty soil')
                : null,
            new Want('kit.bucket', Aisle::Tools, 'two clean buckets'),
            match ($plan->preparation->filling) {
                FillingMethod::Hose => new Want('kit.pour', Aisle::Tools, 'thin hose'),
                FillingMethod::Sink => new Want('kit.pour', Aisle::Tools, 'tub large enough to sink the jar in'),
                default => new Want('kit.pour', Aisle::Tools, 'plate to fill over'),
            },
            new Want('kit.tweezers', Aisle::Tools, 'long tweezers'),
        ];
    }

    /** Where it comes from, where it is not bought. */
    private static function from(Source $source): string
    {
        return $source->isBought() ? '' : ' ('.$source->words().')';
    }
}
