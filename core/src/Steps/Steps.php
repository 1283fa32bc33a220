<?php

declare(strict_types=1);

namespace Olvek\Core\Steps;

use Olvek\Core\Bed\Layer;
use Olvek\Core\Bed\Side;
use Olvek\Core\Buying\Sheet;
use Olvek\Core\Plan\Clump;
use Olvek\Core\Plan\Filling;
use Olvek\Core\Plan\Method;
use Olvek\Core\Plan\Plan;
use Olvek\Core\Plan\Quantities;
use Olvek\Core\Plan\Treatment;
use Olvek\Core\Plant\Role;
use Olvek\Core\Unit\Decimal;
use Olvek\Core\Unit\Dimension;
use Olvek\Core\Unit\UnitSystem;

/**
 * The steps by which this plan is built, from the empty vessel to the timer; only those that it needs. All C, common practice; minutes J.
 */
final readonly class Steps
{
    /** The step from which a tank's days are counted. */
    public const FILL = 'fill';
    /** Depth to which a tank is filled before planting, of the water over the bed. C. */
    private const PART_FILL = 0.15;
    /** Minutes a litre of hose water takes to run in gently, and a stem or pot to plant. J. */
    private const PER_LITRE = 0.5;
    private const PER_PIECE = 0.6;

    private function __construct(private Plan $plan, private UnitSystem $units)
    {
    }

    /** @return list<Step> */
    public static function of(Plan $plan, UnitSystem $units): array
    {
        $steps = new self($plan, $units);

        return array_values(
            array_filter([...$steps->ready(), ...$steps->bed(), ...$steps->stones(), ...$steps->planting(), ...$steps->filling()]),
        );
    }

    /** @return list<Step|null> */
    private function ready(): array
    {
        $plan = $this->plan;
        $bed = $plan->bed;
        $wood = array_filter($plan->pieces, static fn ($p): bool => $p->kind->soakDays->value > 0);
        $soak = [] === $wood ? 0.0 : max(array_map(static fn ($p): float => $p->kind->soakDays->value, $wood));
        $soil = $bed->soil;

        return [
            [] === $wood
                ? null
                : new Step(
                    'soak',
                    'Stand wood in water',
                    implode(', ', array_map(static fn ($p): string => $p->kind->name, $wood)).\sprintf('; %d days', (int) $soak),
                    'It sinks or is ready to be tied; it smells of nothing worse than earth.',
                    'Wood that smells bad is used all the same.',
                    'Boiling water scalds; a pot that is closed bursts.',
                    15,
                    24 * $soak,
                ),
            null === $soil
                ? null
                : new Step(
                    'sieve',
                    'Sieve or pick over the soil',
                    $this->litres($bed->soilVolume($plan->vessel) * (1 + Sheet::SETTLES)),
                    'No chips, no roots, no lumps larger than a pea.',
                    'Wood chips float up for weeks.',
                    'Damp it first; wear a mask and gloves, cover cuts.',
                    20,
                ),
            null === $soil || Method::HumusBed !== $plan->preparation->method
                ? null
                : new Step(
                    'mud',
                    'Make mud of the soil and let it stand',
                    'Water until it holds together',
                    'Stirred, it slides off the spoon; nothing floats.',
                    'Dry peat goes in, and floats.',
                    '',
                    20,
                    24,
                ),
            null === $bed->leaves
                ? null
                : new Step(
                    'scald',
                    'Scald the leaves',
                    $this->litres($bed->leafVolume($plan->vessel) * (1 + Sheet::SETTLES)),
                    'They sink and are brown throughout.',
                    'Green leaves are laid in and rot.',
                    'Scalding water: pour away from you.',
                    15,
                    24,
                ),
            null === $bed->cap
                ? null
                : new Step(
                    'rinse',
                    'Rinse sand and gravel',
                    $this->litres($bed->capVolume($plan->vessel) * (1 + Sheet::SPILLS)),
                    'The water runs clear.',
                    'It is rinsed once, and the tank stays cloudy for a week.',
                    'Lift half a bucket at a time.',
                    30,
                ),
            new Step(
                'level',
                $plan->vessel->shape()->isOutdoor() ? 'Level the ground' : 'Level the support and pad the vessel',
                \sprintf('It weighs %s when filled', $this->units->show(Dimension::Mass, 1000 * Quantities::of($plan)->fullMass, 0)),
                'A level shows no tilt either way; nothing rocks; no grain lies under the base.',
                'It is levelled when it is full.',
                'Above about 200 kg, or in doubt, ask a structural professional. Lift it empty, by two.',
                15,
            ),
        ];
    }

    /** @return list<Step|null> */
    private function bed(): array
    {
        $bed = $this->plan->bed;
        $vessel = $this->plan->vessel;
        $doses = array_map(
            static fn ($d): string => \sprintf('%s %s', Decimal::trimmed($d->grams, 1).' g', mb_strtolower($d->amendment->name)),
            $bed->doses,
        );
        $tabs = array_filter($bed->doses, static fn ($d): bool => 'root-tab' === $d->amendment->id);

        return [
            0.0 === $bed->plate
                ? null
                : new Step(
                    'plate',
                    'Set the plate',
                    \sprintf('%s of room under it', $this->length($bed->plate)),
                    'It stands firm; mesh covers every hole.',
                    'Sand trickles through in a month.',
                    '',
                    15,
                    0,
                    'plate',
                ),
            0.0 === $bed->core
                ? null
                : new Step(
                    'core',
                    'Lay the bags of the hill',
                    $this->litres($bed->core).' of lava in mesh',
                    'They lie under the back, none touches the glass.',
                    '',
                    '',
                    10,
                ),
            [] === $doses
                ? null
                : new Step(
                    'doses',
                    'Mix in what feeds the bed',
                    implode(', ', $doses).
                        ([] === $tabs
                            ? ''
                            : \sprintf(
                                '; break tabs into quarters, %d pieces',
                                (int) round(Sheet::TAB_PIECES * array_sum(array_map(static fn ($d): float => $d->grams, $tabs))),
                            )),
                    'Spread evenly, none against the glass.',
                    'Root tabs are forgotten until the cap is on.',
                    'Fine powders: mask.',
                    10,
                ),
            $this->layer(
                'soil',
                'Lay the soil',
                $bed->soil,
                $bed->soilVolume($vessel),
                $bed->setback > 0 ? \sprintf(' Keep it %s from the front pane.', $this->length($bed->setback)) : '',
                $bed->bagged
                    ? 'It is poured loose, though it was to lie in bags.'
                    : 'It is scraped back from the glass where a carpet is to grow.',
            ),
            null === $bed->soil
                ? null
                : new Step(
                    'wet',
                    'Wet the soil and let the air out',
                    'Water to just over it',
                    'No bubbles come when it is pressed with a flat hand.',
                    'Air stays in it, and lifts the cap in a week.',
                    'Gloves: cuts and soil water do not go together.',
                    5,
                    1,
                ),
            $this->layer('leaves', 'Lay the leaves', $bed->leaves, $bed->leafVolume($vessel), '', 'They lie in a wad that gas lifts.'),
            $this->layer(
                'cap',
                null === $bed->soil ? 'Lay the bed' : 'Lay the cap',
                $bed->cap,
                $bed->capVolume($vessel),
                '',
                'It is thinner at the front than the soil under it.',
            ),
        ];
    }

    private function layer(string $id, string $name, ?Layer $layer, float $litres, string $more, string $mistake): ?Step
    {
        return null === $layer
            ? null
            : new Step(
                $id,
                $name,
                \sprintf(
                    '%s of %s',
                    $this->litres($litres),
                    implode(', ', array_map(static fn (array $p): string => mb_strtolower($p[0]->name), $layer->mix->parts)),
                ),
                \sprintf(
                    '%s deep at the front, %s at the back.%s',
                    $this->length($layer->depth(Side::Front)),
                    $this->length($layer->depth(Side::Back)),
                    $more,
                ),
                $mistake,
                '',
                15,
                0,
                $id,
            );
    }

    /** @return list<Step|null> */
    private function stones(): array
    {
        $pieces = $this->plan->pieces;
        $floats = array_filter($pieces, static fn ($p): bool => $p->kind->floats());

        return [
            [] === $pieces
                ? null
                : new Step(
                    'hardscape',
                    'Set stones and wood',
                    implode(
                        '; ',
                        array_map(
                            static fn ($p): string => \sprintf(
                                '%s, %s %% along, %s %% back',
                                $p->kind->name,
                                Decimal::trimmed(100 * $p->place, 0),
                                Decimal::trimmed(100 * $p->row, 0),
                            ),
                            $pieces,
                        ),
                    ),
                    'Nothing rocks; stones stand on the bed’s floor or deep in the cap, not on air.',
                    'A flat stone traps gas under it.',
                    'Stones slip: hands never under them.',
                    20,
                    0,
                    'hardscape',
                ),
            [] === $floats
                ? null
                : new Step(
                    'fix',
                    'Hold down what floats',
                    implode(', ', array_map(static fn ($p): string => $p->kind->name, $floats)),
                    'Pushed under a finger of water, it stays.',
                    'It is trusted to sink by itself.',
                    'Superglue: fresh air, off eyes and skin; an accelerator gives off fumes and heat.',
                    15,
                    0.5,
                ),
        ];
    }

    /** @return list<Step|null> */
    private function planting(): array
    {
        $plan = $this->plan;
        $rooted = array_filter(
            $plan->clumps,
            static fn (Clump $c): bool => 0 === $c->day && !$c->kind->role->coversSurface() && Role::HousePlant !== $c->kind->role,
        );
        if ([] === $rooted) {
            return [];
        }
        usort($rooted, static fn (Clump $a, Clump $b): int => $a->kind->height->value <=> $b->kind->height->value);
        $low = array_filter(
            $rooted,
            static fn (Clump $c): bool => \in_array(
                $c->kind->role,
                [Role::Carpet, Role::Rosette, Role::Runner, Role::Epiphyte, Role::Moss, Role::Marsh],
                true,
            ),
        );
        $tall = array_udiff($rooted, $low, static fn (Clump $a, Clump $b): int => $a->id <=> $b->id);

        return [
            new Step(
                'part-fill',
                'Fill a little',
                \sprintf('%s over the bed', $this->length(self::PART_FILL * ($plan->waterLine - $plan->bed->meanDepth()))),
                'The cap is just under water and still lies as it was laid.',
                '',
                '',
                5,
            ),
            $this->plant('plant-low', 'Plant the low and the slow', $low),
            $this->plant('plant-tall', 'Plant the stems', $tall),
        ];
    }

    /** @param array<Clump> $clumps */
    private function plant(string $id, string $name, array $clumps): ?Step
    {
        if ([] === $clumps) {
            return null;
        }
        $pieces = array_sum(array_map(static fn (Clump $c): int => $c->pieces, $clumps));
        $each = array_map(
            fn (Clump $c): string => \sprintf(
                '%d × %s, %s',
                $c->pieces,
                $c->kind->common,
                0.0 === $c->kind->planting->value ? 'tied on, never buried' : $this->length($c->kind->planting->value).' deep',
            ),
            $clumps,
        );

        return new Step(
            $id,
            $name,
            implode('; ', $each),
            'Roots and stems end in the cap; crowns and rhizomes are free. One kind to a clump.',
            'Stems are pushed down into raw soil, which burns their roots.',
            '',
            max(5, (int) round(self::PER_PIECE * $pieces)),
            0,
            'planted',
        );
    }

    /** @return list<Step|null> */
    private function filling(): array
    {
        $plan = $this->plan;
        $net = $plan->netWater();
        $float = array_filter(
            $plan->clumps,
            static fn (Clump $c): bool => 0 === $c->day
                && ($c->kind->role->coversSurface() || \in_array($c->kind->role, [Role::HousePlant, Role::FloatingStem], true)),
        );
        $how = match ($plan->preparation->filling) {
            Filling::Hose => 'through a thin hose',
            Filling::Pour => 'poured, though a plate would spare the bed',
            default => 'over a plate or bag',
        };
        $treat = Treatment::Unchlorinated === $plan->preparation->treatment ? '' : ' Treat it for chlorine and chloramine first.';

        return [
            new Step(
                self::FILL,
                'Fill slowly',
                \sprintf('%s, %s, to %s over the bottom.%s', $this->litres($net), $how, $this->length($plan->waterLine), $treat),
                'Stones can be seen through it by evening; a haze of sand settles in a day.',
                'It is poured in, and soil comes up through the cap.',
                'Never start a siphon by mouth. Wash hands.',
                max(10, (int) round(self::PER_LITRE * $net)),
                0,
                'full',
            ),
            [] === $float
                ? null
                : new Step(
                    'float',
                    'Lay in floaters and house plants',
                    implode('; ', array_map(static fn (Clump $c): string => \sprintf('%d × %s', $c->pieces, $c->kind->common), $float)),
                    'Leaves are dry above, roots hang free; half of the surface is open.',
                    '',
                    '',
                    5,
                ),
            $plan->lamp->lumens <= 0
                ? null
                : new Step(
                    'lamp',
                    'Hang the lamp and set its timer',
                    \sprintf(
                        '%s over the rim, on at %s for %s h%s, at %s %% of its strength',
                        $this->length($plan->lamp->height),
                        Decimal::trimmed($plan->lamp->programme->on, 2),
                        Decimal::trimmed($plan->lamp->hours, 2),
                        $plan->lamp->programme->allDay > 0
                            ? \sprintf(' (day and night for the first %d days)', $plan->lamp->programme->allDay)
                            : '',
                        Decimal::trimmed(100 * $plan->lamp->programme->startShare, 0),
                    ),
                    'It goes on and off by itself once, watched.',
                    'A new tank lit at full strength from the first day.',
                    'Drip loop in the cable, socket with a residual-current device, unplugged whenever hands go in. Fixed wiring is a '
                        .'licensed electrician’s work.',
                    10,
                ),
            $plan->site->lid ? new Step('lid', 'Cover it', 'Lid', 'No gap wider than a fish.', '', '', 2) : null,
        ];
    }

    private function litres(float $litres): string
    {
        return $this->units->show(Dimension::Volume, $litres);
    }

    private function length(float $metres): string
    {
        return $this->units->show(Dimension::Length, $metres);
    }
}
