<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Suitability;

use Olvek\Core\Basis\Message\Amount;
use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Basis\Unit\Words;
use Olvek\Core\Judgement\Margin\KindWater;
use Olvek\Core\Judgement\Margin\Margin;
use Olvek\Core\Judgement\Margin\MarginState;
use Olvek\Core\Judgement\Margin\Room;
use Olvek\Core\Judgement\Margin\StockBalance;
use Olvek\Core\Judgement\Margin\Warmth;
use Olvek\Core\Nature\Animal\AnimalKind;
use Olvek\Core\Nature\Animal\AnimalShape;
use Olvek\Core\Nature\Animal\Temper;
use Olvek\Core\Planning\Plan\Group;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\UsualAmount;

/**
 * Whether an animal would live in a tank, by the margins' own limits and without a run of its own; how many; and with whom it is at odds.
 */
final readonly class AnimalSuit
{
    /** Heads beyond which nobody asks. J. */
    private const MOST = 500;

    /** @param Margin|null $balance the stock balance of the run; null where only room is to count */
    public function __construct(
        private Plan $plan,
        private TankOffer $offer,
        private ?Margin $balance = null,
        private UnitSystem $units = UnitSystem::Metric,
    ) {
    }

    public function of(AnimalKind $kind): Suitability
    {
        $amount = UsualAmount::heads($kind, $this->plan);
        $fights = $this->fights($kind);

        return new Suitability(
            array_values(
                array_filter([
                    $this->room($kind, $amount),
                    $this->warmth($kind),
                    ...$this->water($kind),
                    ...$this->place($kind),
                    ...array_map(static fn (Message $fight): Reason => new Reason(Need::Company, MarginState::Fails, $fight), $fights),
                ]),
            ),
            $amount,
            $this->most($kind),
            $fights,
        );
    }

    private function room(AnimalKind $kind, int $amount): ?Reason
    {
        $litres = $this->plan->vessel->grossVolume();
        $needs = max($kind->leastLitres(), $amount * $kind->litresEach->value);

        return $needs > 0 && Room::ratio($litres, $needs) < 1
            ? new Reason(
                Need::Room,
                MarginState::Fails,
                new Message('suits.tank', ['needed' => Amount::volume($needs, 0), 'volume' => Amount::volume($litres, 0)]),
            )
            : null;
    }

    private function warmth(AnimalKind $kind): ?Reason
    {
        $plan = $this->plan;

        $cold = $this->offer->coldest - $kind->coolest->value;
        $warm = $kind->warmest->value - $this->offer->warmest;
        $heatable = !$plan->site->sealed && !$plan->site->isOutdoors();

        return match (true) {
            $warm < Warmth::LEAST => new Reason(
                Need::Warmth,
                MarginState::Fails,
                new Message(
                    'suits.too-warm',
                    ['bears' => Amount::temperature($kind->warmest->value), 'reaches' => Amount::temperature($this->offer->warmest)],
                ),
            ),
            $cold < Warmth::LEAST => new Reason(
                Need::Warmth,
                $heatable ? MarginState::Tight : MarginState::Fails,
                $heatable
                    ? new Message(
                        'suits.heater',
                        ['needs' => Amount::temperature($kind->coolest->value), 'falls' => Amount::temperature($this->offer->coldest)],
                    )
                    : new Message(
                        'suits.too-cold',
                        ['needs' => Amount::temperature($kind->coolest->value), 'falls' => Amount::temperature($this->offer->coldest)],
                    ),
            ),
            default => null,
        };
    }

    /** @return list<Reason> */
    private function water(AnimalKind $kind): array
    {
        $worst = null;
        // Two bounds of pH, then two of hardness.
        foreach (KindWater::steps($kind, $this->offer->pH, $this->offer->gh, $this->units) as $n => [$steps, $words]) {
            if ($steps > KindWater::TIGHT && (null === $worst || $steps > $worst[0])) {
                $worst = [$steps, new Reason(
                    $n < 2 ? Need::Acidity : Need::Hardness,
                    $steps > KindWater::FAILS ? MarginState::Fails : MarginState::Tight,
                    Message::text(Words::capital($words).'.'),
                )];
            }
        }
        $gasps = $this->offer->oxygen < $kind->oxygen->value && !$kind->breathesAir;

        return [
            ...null === $worst ? [] : [$worst[1]],
            ...$gasps ? [
                new Reason(
                    Need::Oxygen,
                    MarginState::Tight,
                    new Message('suits.oxygen', ['oxygen' => Amount::concentration($this->offer->oxygen)]),
                ),
            ] : [],
        ];
    }

    /** @return list<Reason|null> */
    private function place(AnimalKind $kind): array
    {
        $site = $this->plan->site;

        return [
            $site->sealed && AnimalShape::Fish === $kind->shape ? new Reason(
                Need::Place,
                MarginState::Fails,
                new Message('suits.no-fish-sealed'),
            ) : null,
            $kind->jumper && !$site->lid && !$site->sealed ? new Reason(
                Need::Place,
                MarginState::Tight,
                new Message('suits.jumps'),
            ) : null,
            $kind->matureTank ? new Reason(Need::Age, MarginState::Tight, new Message('suits.mature')) : null,
        ];
    }

    /** @return list<Message> */
    private function fights(AnimalKind $kind): array
    {
        $plan = $this->plan;
        $found = [];
        foreach ($plan->groups as $group) {
            $other = $group->kind;
            if ($other->id === $kind->id) {
                continue;
            }
            if (Room::eats($other, $kind)) {
                $found[] = new Message('suits.hunted', ['other' => $other->common]);
            }
            if (Room::eats($kind, $other)) {
                $found[] = new Message('suits.hunts', ['other' => $other->common]);
            }
            if (
                Temper::Quarrelsome === $kind->temper
                && Temper::Quarrelsome === $other->temper
                && Room::areTooClose($kind, $other, $this->plan->vessel->grossVolume())
            ) {
                $found[] = new Message('suits.fights', ['other' => $other->common]);
            }
        }

        return Message::distinct($found);
    }

    /** Heads that have room beside what is there, and that plants carry as the run has it. */
    private function most(AnimalKind $kind): int
    {
        $plan = $this->plan;
        if ($plan->site->sealed && AnimalShape::Fish === $kind->shape) {
            return 0;
        }
        $taken = array_sum(array_map(
            static fn (Group $g): float => $g->kind->id === $kind->id ? 0.0 : $g->count * $g->kind->litresEach->value,
            $plan->groups,
        ));
        $least = max(0.1, $kind->leastLitres());
        if (Room::ratio($this->plan->vessel->grossVolume(), $least) < 1) {
            return 0;
        }
        $most = max(0.0, $this->plan->vessel->grossVolume() / Room::GOOD - $taken) / max(0.001, $kind->litresEach->value);
        $balance = $this->balance;
        $each = UsualAmount::food($kind, 1);
        // A share of the carrying is worth so many grams of food a day.
        if (null !== $balance && '×' === $balance->unit && $plan->feed->grams > 0 && $each > 0) {
            $here = array_sum(array_map(static fn (Group $g): int => $g->kind->id === $kind->id ? $g->count : 0, $plan->groups));
            $most = min($most, $here + max(0.0, ($balance->measure / StockBalance::GOOD - 1) * $plan->feed->grams) / $each);
        }

        return (int) min(self::MOST, floor($most));
    }
}
