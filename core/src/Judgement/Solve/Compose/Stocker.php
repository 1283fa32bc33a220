<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Solve\Compose;

use Olvek\Core\Basis\Message\Amount;
use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Judgement\Margin\Judgement;
use Olvek\Core\Judgement\Margin\MarginId;
use Olvek\Core\Judgement\Margin\MarginState;
use Olvek\Core\Judgement\Solve\EarliestStart;
use Olvek\Core\Judgement\Suitability\AnimalSuit;
use Olvek\Core\Judgement\Suitability\Need;
use Olvek\Core\Judgement\Suitability\Reason;
use Olvek\Core\Judgement\Suitability\Suitability;
use Olvek\Core\Judgement\Suitability\TankOffer;
use Olvek\Core\Nature\Animal\AnimalKind;
use Olvek\Core\Nature\Animal\AnimalShape;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Planning\Plan\Equipment;
use Olvek\Core\Planning\Plan\Group;
use Olvek\Core\Planning\Plan\Heating;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\UsualAmount;

/** Stocks a planted tank with the animals that were wished, as far as they would live there, and with cleaners where none were. */
final readonly class Stocker
{
    /** Day before which nothing comes, whatever its method says, and days between snails, shrimp and each further group. C. */
    private const SOONEST = 21;
    private const WEEK = 7;
    /** Day from which a tank counts as grown. C: two months. */
    private const MATURE = 60;
    /** Days after the first animals from which food is given. C. */
    private const UNFED = 7;
    /** L from which a colony of shrimp is offered that nobody wished for. J. */
    private const SHRIMP_FROM = 8.0;
    /** Kinds of cleaners, the first that suits of each. C. */
    private const SNAILS = ['planorbella-duryi', 'planorbarius-corneus', 'physella-acuta'];
    private const SHRIMP = ['neocaridina-davidi'];
    /** °C over its coolest to which a heater is set for a kind. J. */
    private const OVER = 1.0;
    /** What is left to the run with them in it: their breath lowers the pH. */
    private const LATER = [Need::Acidity];

    public function __construct(private Catalogue $catalogue, private Wish $wish, private Taste $taste, private UnitSystem $units)
    {
    }

    /** @return array{Plan, list<Unmet>} */
    public function stock(Plan $plan, Judgement $planted): array
    {
        $offer = TankOffer::of($planted->trace);
        $balance = $planted->margin(MarginId::Stock);
        $kept = [];
        $unmet = [];
        foreach ($this->wish->animals as $wished) {
            $suits = (new AnimalSuit($this->grouped($plan, $kept), $offer, $balance, $this->units))->of($wished->kind);
            $most = $suits->most ?? 0;
            $count = $wished->count ?? $suits->amount;
            $name = $wished->kind->common;
            if ([] !== $suits->fails(self::LATER) || $most < min($count, (int) $wished->kind->group->value)) {
                $unmet[] = new Unmet(
                    Message::text($name),
                    $this->why($suits, $most),
                    $this->needed($wished->kind, $suits, $plan, $offer),
                    $wished->kind->id,
                );
                continue;
            }
            if ($most < $count) {
                $unmet[] = new Unmet(
                    new Message('unmet.count', ['count' => $count, 'animal' => $name]),
                    [new Message('unmet.room', ['count' => $most])],
                    new Message('needed.litres', ['count' => $count, 'volume' => $this->litres($wished->kind, $count)]),
                    $wished->kind->id,
                );
            }
            $kept[] = [$wished->kind, min($count, $most)];
        }
        foreach ($this->cleaners($plan, $kept) as $kinds) {
            foreach ($kinds as $id) {
                $suits = (new AnimalSuit($this->grouped($plan, $kept), $offer, $balance, $this->units))->of($this->catalogue->animals[$id]);
                if (MarginState::Fails !== $suits->state && ($suits->most ?? 0) >= $suits->amount) {
                    $kept[] = [$this->catalogue->animals[$id], $suits->amount];
                    break;
                }
            }
        }

        return [$this->fed($this->warmed($this->grouped($plan, $kept))), $unmet];
    }

    /**
     * The plan with these animals, in the order of the trade.
     *
     * @param list<array{AnimalKind, int}> $kept
     */
    private function grouped(Plan $plan, array $kept): Plan
    {
        $day = max(
            self::SOONEST,
            $plan->preparation->method?->firstAnimals() ?? 0,
            $plan->preparation->way->soonest(),
            EarliestStart::afterDoses($plan),
        );
        usort(
            $kept,
            static fn (array $a, array $b): int => [$a[0]->shape->turn(), $a[0]->matureTank] <=> [$b[0]->shape->turn(), $b[0]->matureTank],
        );
        foreach ($kept as $n => [$kind, $count]) {
            $comes = $kind->matureTank ? max($day, self::MATURE) : $day;
            $plan = $plan->withGroup(new Group('a'.($n + 1), $kind, $count, $comes));
            $day = $comes + self::WEEK;
        }

        return $plan;
    }

    /**
     * Cleaners that nobody named: kinds of each, the first that suits.
     *
     * @param list<array{AnimalKind, int}> $kept
     *
     * @return list<list<string>>
     */
    private function cleaners(Plan $plan, array $kept): array
    {
        $with = static fn (AnimalShape $shape): bool => [] !== array_filter($kept, static fn (array $k): bool => $shape === $k[0]->shape);

        return !$this->wish->cleaners || $plan->site->sealed
            ? []
            : [
                ...$with(AnimalShape::Snail) ? [] : [self::SNAILS],
                ...$with(AnimalShape::Shrimp) || Taste::LeastMoney === $this->taste || $plan->vessel->grossVolume() < self::SHRIMP_FROM
                    ? []
                    : [self::SHRIMP],
            ];
    }

    /** With a heater where somebody wants one, and the water is not as warm. */
    private function warmed(Plan $plan): Plan
    {
        $coolest = max([-\INF, ...array_map(static fn (Group $g): float => $g->kind->coolest->value, $plan->groups)]);
        if ($coolest <= $plan->coldest() || $plan->site->sealed || $plan->site->isOutdoors()) {
            return $plan;
        }

        return $plan->withEquipment(new Equipment(Heating::Tank, min(30.0, ceil($coolest + self::OVER))));
    }

    private function fed(Plan $plan): Plan
    {
        $first = $plan->firstAnimals();
        if (null === $first || $plan->site->sealed) {
            return $plan;
        }
        $fish = array_filter($plan->groups, static fn (Group $g): bool => AnimalShape::Fish === $g->kind->shape);
        // Food is for those who cannot live off what grows: from the last group's day on, as long as fish are among them.
        $from = max($first, ...array_map(static fn (Group $g): int => $g->day, [] === $fish ? $plan->groups : $fish));

        return $plan->withFeed($plan->feed->withGrams(UsualAmount::feed($plan->groups)), max($from, $first + self::UNFED));
    }

    /** @return list<Message> */
    private function why(Suitability $suits, int $most): array
    {
        $fails = $suits->fails();

        return match (true) {
            [] !== $fails => array_map(static fn (Reason $r): Message => $r->message, $fails),
            0 === $most => [new Message('unmet.no-room')],
            default => [new Message('unmet.no-company', ['count' => $most])],
        };
    }

    private function needed(AnimalKind $kind, Suitability $suits, Plan $plan, TankOffer $offer): Message
    {
        $litres = max($kind->leastTank->value, $kind->group->value * $kind->litresEach->value);

        return match (true) {
            [] !== $suits->fights => new Message('needed.one-of-two'),
            $plan->vessel->grossVolume() < $litres => new Message('needed.vessel', ['volume' => Amount::volume($litres, 0)]),
            $plan->site->sealed && AnimalShape::Fish === $kind->shape => new Message('needed.open'),
            $kind->coolest->value > $offer->coldest + 1 => new Message('needed.warmer'),
            $kind->warmest->value < $offer->warmest - 1 => new Message('needed.cooler'),
            default => new Message('needed.water', [
                'acidity' => Amount::range(Dimension::Acidity, $kind->acidest->value, $kind->alkalinest->value, 1),
                'hardness' => Amount::range(Dimension::Hardness, $kind->softest->value, $kind->hardest->value, 0),
            ]),
        };
    }

    private function litres(AnimalKind $kind, int $count): Amount
    {
        return Amount::volume($count * $kind->litresEach->value, 0);
    }
}
