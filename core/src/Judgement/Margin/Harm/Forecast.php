<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin\Harm;

use Olvek\Core\Basis\Message\Amount;
use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Judgement\Margin\KindWater;
use Olvek\Core\Judgement\Margin\Outlook;
use Olvek\Core\Judgement\Margin\PlantedShare;
use Olvek\Core\Nature\Animal\AnimalShape;
use Olvek\Core\Nature\Plant\PlantRole;
use Olvek\Core\Nature\Water\Measure;
use Olvek\Core\Planning\Plan\Clump;

/**
 * What will be seen in a tank and when, so that nobody is frightened by what is harmless; and what is worth knowing about those that will
 * live in it.
 */
final readonly class Forecast
{
    /** g dry per m² of brown dust that one sees; mg/L of green water that one sees; mg C/L of tannin that one sees. J. */
    private const DUST = 0.3;
    private const GREEN = 3.0;
    private const FILM = 1.5;
    private const TINT = 3.0;
    /** mL of gas a day that one sees rise, and days that count as the start. J. */
    private const GAS = 40.0;
    private const START = 150;
    /** Share of a planted mass from whose melting on it is told; days of melting. C. */
    private const MELTS = 0.08;
    private const MELT = [3, 21];
    /** Share of growth that food allows below which plants look hungry, in how much of the planting, for how many days. J. */
    private const HUNGRY = 0.5;
    private const HUNGRY_SHARE = 0.4;
    private const HUNGRY_DAYS = 21;
    /** mg N/g of a leaf that looks pale: half as much again as growth asks for. J; M Gerloff & Krombholz (1966): growth falls below 13. */
    private const PALE = 18.0;
    /** Days on which something must show to be told. J. */
    private const SPELL = 5;
    /** Day until which the first bloom of bacteria has settled; days in which tips are pale; mg N/L that is lean, for how long. C; J. */
    private const CLOUD = 14;
    private const TIPS = [5, 21];
    private const LEAN = 0.15;
    private const LEAN_DAYS = 4;
    /** mol/m² of sun a day that turns water green, from which day, where less than which share of the floor is planted. C; J. */
    private const SUNNY = 2.0;
    private const SUN_DAY = 7;
    private const HALF = 0.5;
    /** Day by which runners have begun to spread. C. */
    private const RUNNERS = 60;

    private function __construct(private Outlook $outlook)
    {
    }

    /** @return list<Ahead> by day, what holds all along at the end */
    public static function of(Outlook $outlook): array
    {
        $forecast = new self($outlook);
        $ahead = array_values(array_filter([
            $forecast->cycle(),
            $forecast->cloud(),
            $forecast->melt(),
            $forecast->paleTips(),
            $forecast->spell(
                'diatoms',
                self::DUST,
                static fn (Message $when): Ahead => new Ahead(
                    'dust',
                    new Message('ahead.dust', ['when' => $when]),
                    true,
                ),
            ),
            $forecast->greenInSun() ?? $forecast->spell(
                'greenWater',
                self::GREEN,
                static fn (Message $when): Ahead => new Ahead(
                    'green-water',
                    new Message('ahead.green-water', ['when' => $when]),
                    false,
                ),
            ),
            $forecast->spell(
                'algae',
                self::FILM,
                static fn (Message $when): Ahead => new Ahead(
                    'film',
                    new Message('ahead.film', ['when' => $when]),
                    false,
                ),
            ),
            $forecast->spell(
                'tannin',
                self::TINT,
                static fn (Message $when): Ahead => new Ahead(
                    'tint',
                    new Message('ahead.tint', ['when' => $when]),
                    true,
                ),
            ),
            $forecast->gas(),
            $forecast->hunger(),
            ...$forecast->fading(),
            $forecast->runners(),
            ...$forecast->animals(),
        ]));
        $ahead = array_values(array_filter($ahead, static fn (Ahead $a): bool => null === $a->to || $a->to >= $outlook->since));
        usort($ahead, static fn (Ahead $a, Ahead $b): int => ($a->from ?? \PHP_INT_MAX) <=> ($b->from ?? \PHP_INT_MAX));

        return $ahead;
    }

    /** Ammonia or nitrite that a test shows before anybody is in. */
    private function cycle(): ?Ahead
    {
        $c = $this->outlook->trace->columns;
        $last = null;
        for ($day = 0; $day < $this->outlook->from; ++$day) {
            if ($c['ammonia'][$day] > Measure::Ammonia->nothingBelow() || $c['nitrite'][$day] > Measure::Nitrite->nothingBelow()) {
                $last = $day;
            }
        }

        return null === $last || $last < 2 ? null : new Ahead(
            'cycle',
            new Message('ahead.cycle', ['day' => $last, 'stocked' => $this->outlook->stocked ? 'yes' : 'no']),
            true,
            0,
            $last,
        );
    }

    /** Bacteria that bloom over new soil before they settle. C: in the first two weeks. */
    private function cloud(): ?Ahead
    {
        $plan = $this->outlook->plan;

        return null === $plan->bed->soil ? null : new Ahead('cloud', new Message('ahead.cloud'), true, 1, self::CLOUD);
    }

    /** Young leaves that turn pale while the water is lean and roots are not down yet. C: in week two. */
    private function paleTips(): ?Ahead
    {
        $c = $this->outlook->trace->columns;
        $lean = 0;
        for ($day = self::TIPS[0]; $day <= min(self::TIPS[1], $this->outlook->lastDay()); ++$day) {
            $lean = $c['nitrate'][$day] + $c['ammonia'][$day] < self::LEAN ? $lean + 1 : 0;
            if (self::LEAN_DAYS === $lean && [] !== $this->rooting()) {
                return new Ahead('pale-tips', new Message('ahead.pale-tips'), true, $day, self::TIPS[1] + 7);
            }
        }

        return null;
    }

    /** @return list<Clump> planted at the start in the floor, whose roots are not down yet */
    private function rooting(): array
    {
        return array_values(array_filter(
            $this->outlook->plan->clumps,
            static fn (Clump $c): bool => $c->standsOnFloor() && $c->day < self::TIPS[1],
        ));
    }

    /** Sun on a tank that is planted thinly turns it green within weeks. C. */
    private function greenInSun(): ?Ahead
    {
        $plan = $this->outlook->plan;
        $sun = $plan->site->daylight()->dailyIntegral($plan->site->dayOfYear(self::SUN_DAY));

        return $plan->site->isOutdoors() || $sun < self::SUNNY || PlantedShare::of($plan) >= self::HALF ? null : new Ahead(
            'green-water',
            new Message('ahead.green-in-sun'),
            false,
            self::SUN_DAY,
            self::SUN_DAY + 28,
        );
    }

    /** Runner grass that swallows what stands low beside it. C. */
    private function runners(): ?Ahead
    {
        $runners = $low = [];
        foreach ($this->outlook->plan->clumps as $clump) {
            if (PlantRole::Runner === $clump->kind->role) {
                $runners[$clump->kind->common] = true;
            } elseif (\in_array($clump->kind->role, [PlantRole::Rosette, PlantRole::Carpet], true)) {
                $low[$clump->kind->common] = true;
            }
        }

        return [] === $runners || [] === $low || $this->outlook->since > self::RUNNERS ? null : new Ahead(
            'runners',
            new Message('ahead.runners', ['plants' => array_keys($runners), 'other' => (string) array_key_first($low)]),
            false,
            self::RUNNERS,
        );
    }

    private function melt(): ?Ahead
    {
        $names = [];
        foreach ($this->outlook->plan->clumps as $clump) {
            $melts = $clump->kind->melt->value * $clump->melts();
            if ($melts >= self::MELTS) {
                $names[$clump->kind->common] = $melts;
            }
        }
        arsort($names);

        return [] === $names ? null : new Ahead(
            'melt',
            new Message('ahead.melt', ['plants' => \array_slice(array_keys($names), 0, 3), 'more' => max(0, \count($names) - 3)]),
            true,
            self::MELT[0],
            self::MELT[1],
        );
    }

    /**
     * A stretch of days on which something shows.
     *
     * @param \Closure(Message): Ahead $said by when it shows
     */
    private function spell(string $column, float $shows, \Closure $said): ?Ahead
    {
        $since = $this->outlook->since;
        $days = array_keys(array_filter(
            $this->outlook->trace->columns[$column],
            static fn (float $v, int $day): bool => $v >= $shows && $day >= $since,
            \ARRAY_FILTER_USE_BOTH,
        ));
        if (\count($days) < self::SPELL) {
            return null;
        }
        [$from, $to] = [$days[0], $days[\count($days) - 1]];
        $to = $to < $this->outlook->lastDay() ? $to : null;

        return $said($this->outlook->span($from, $to))->within($from, $to);
    }

    private function gas(): ?Ahead
    {
        $values = \array_slice($this->outlook->trace->columns['bubbles'], 0, self::START);
        $days = array_keys(array_filter($values, static fn (float $v): bool => $v >= self::GAS));

        return \count($days) < self::SPELL ? null : new Ahead(
            'gas',
            new Message('ahead.gas', ['months' => max(1, (int) round((1 + max($days)) / 30))]),
            true,
            $days[0],
            max($days),
        );
    }

    /** Much of the planting short of food for weeks. */
    private function hunger(): ?Ahead
    {
        $trace = $this->outlook->trace;
        $hungry = 0;
        foreach ($trace->fed as $day => $fed) {
            if ($day < $this->outlook->since) {
                continue;
            }
            $all = array_sum($trace->clumps[$day]);
            $short = 0.0;
            $nutrients = [];
            foreach ($fed as $i => $share) {
                $pale = $trace->quotas[$day][$i] < self::PALE;
                if ($share < self::HUNGRY || $pale) {
                    $nutrient = $share < self::HUNGRY ? $trace->shortOf[$day][$i] : 'nitrogen';
                    $short += $trace->clumps[$day][$i];
                    $nutrients[$nutrient] = ($nutrients[$nutrient] ?? 0.0) + $trace->clumps[$day][$i];
                }
            }
            $hungry = $all > 0 && $short / $all >= self::HUNGRY_SHARE ? $hungry + 1 : 0;
            if (self::HUNGRY_DAYS === $hungry) {
                arsort($nutrients);
                $from = $day - self::HUNGRY_DAYS + 1;

                return new Ahead(
                    'hunger',
                    new Message('ahead.hunger', [
                        'when' => $this->outlook->when($from),
                        'nutrient' => (string) array_key_first($nutrients),
                        'fed' => $this->outlook->plan->feed->grams > 0 ? 'yes' : 'no',
                    ]),
                    false,
                    $from,
                );
            }
        }

        return null;
    }

    /** @return list<Ahead> clumps that fade, each kind once */
    private function fading(): array
    {
        $ahead = [];
        foreach (Dwindling::faded($this->outlook) as $faded) {
            $ahead[$faded['kind']] ??= new Ahead(
                'fades',
                new Message('ahead.fades', [
                    'plant' => $faded['name'],
                    'when' => $this->outlook->when($faded['day']),
                    'cause' => $faded['cause'],
                ]),
                false,
                $faded['day'],
                null,
                $faded['kind'],
            );
        }

        return array_values($ahead);
    }

    /** @return list<Ahead> water, company and room that are borne, not liked */
    private function animals(): array
    {
        $trace = $this->outlook->trace;
        $litres = $this->outlook->plan->vessel->grossVolume();
        $ahead = [];
        $counts = [];
        foreach ($this->outlook->present->groups as $group) {
            $counts[$group->kind->id] = ($counts[$group->kind->id] ?? 0) + $group->count;
        }
        foreach (WrongWater::kinds($this->outlook) as $id => [$kind, $from]) {
            $ways = KindWater::ways(
                $kind,
                KindWater::spread($trace->columns['pH'], $from),
                KindWater::spread($trace->columns['generalHardness'], $from),
            );
            $worst = KindWater::worst($ways);
            // Snails mind water that eats their shells, and no other.
            $minds = AnimalShape::Snail !== $kind->shape || \in_array($worst, ['acid', 'soft'], true);
            if ($minds && max($ways) > 0.0 && max($ways) < HarmId::Waters->weight()->tight) {
                $ahead[] = new Ahead(
                    'water',
                    new Message('ahead.water', ['kind' => $kind->common, 'way' => $worst]),
                    true,
                    about: $id,
                );
            }
            if ($counts[$id] < $kind->group->value) {
                $ahead[] = new Ahead(
                    'group',
                    new Message('ahead.group', ['kind' => $kind->common, 'least' => (int) $kind->group->value]),
                    false,
                    about: $id,
                );
            }
        }
        $room = array_values(array_filter(Crowding::of($this->outlook), static fn (Harm $h): bool => $h->amount > 1.0
            && $h->amount < HarmId::Room->weight()->tight));

        return [
            ...$ahead,
            ...array_map(static fn (Harm $h): Ahead => new Ahead(
                'room',
                new Message('ahead.room', ['litres' => Amount::volume($litres * $h->amount, 0)]),
                false,
                about: $h->about,
            ), $room),
        ];
    }
}
