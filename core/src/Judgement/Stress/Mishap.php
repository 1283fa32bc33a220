<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Stress;

use Olvek\Core\Basis\Message\Amount;
use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Nature\Animal\AnimalShape;
use Olvek\Core\Planning\Event\Deaths;
use Olvek\Core\Planning\Event\Event;
use Olvek\Core\Planning\Event\Feed;
use Olvek\Core\Planning\Event\Holiday;
use Olvek\Core\Planning\Event\LampOff;
use Olvek\Core\Planning\Event\Spell;
use Olvek\Core\Planning\Event\TrimOvergrown;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\UsualCare;

/** What goes wrong in tanks, sooner or later. All C; how bad each is here, J. */
enum Mishap: string
{
    case Overfed = 'overfed';
    case DeadFish = 'dead-animal';
    case LampOut = 'lamp-out';
    case HeatWave = 'heat-wave';
    case ClosedMat = 'closed-mat';
    case Away = 'away';

    /** Times a day's food that a well-meaning hand drops in at once, and g per L at the least. */
    private const HANDFUL = 20.0;
    private const TIN = 0.04;
    /** Days for which the lamp is out, it is hot, nobody is there. */
    private const DARK = 7;
    private const HOT = 5;
    private const GONE = 14;
    /** °C by which a heat wave is warmer. */
    private const HOTTER = 6.0;
    /** Days before from which nobody has thinned the floaters. */
    private const LEFT_ALONE = 45;

    /** What it is called. */
    public function message(): Message
    {
        return match ($this) {
            self::Overfed => new Message('mishap.overfed.name'),
            self::DeadFish => new Message('mishap.dead-animal.name'),
            self::LampOut => new Message('mishap.lamp-out.name'),
            self::HeatWave => new Message(
                'mishap.heat-wave.name',
                ['warmer' => Amount::temperatureDifference(self::HOTTER), 'days' => self::HOT],
            ),
            self::ClosedMat => new Message('mishap.closed-mat.name'),
            self::Away => new Message('mishap.away.name'),
        };
    }

    /** What keepers do. C. */
    public function remedy(): Message
    {
        return match ($this) {
            self::Overfed => new Message('mishap.overfed.remedy'),
            self::DeadFish => new Message('mishap.dead-animal.remedy'),
            self::LampOut => new Message('mishap.lamp-out.remedy'),
            self::HeatWave => new Message('mishap.heat-wave.remedy'),
            self::ClosedMat => new Message('mishap.closed-mat.remedy'),
            self::Away => new Message('mishap.away.remedy'),
        };
    }

    /** Whether it can happen to a plan. */
    public function concerns(Plan $plan): bool
    {
        return match ($this) {
            self::Overfed => [] !== $plan->groups && !$plan->site->sealed,
            self::DeadFish => null !== self::largest($plan),
            self::LampOut => $plan->lamp->lumens > 0 && $plan->lamp->hours > 0,
            self::HeatWave => true,
            self::ClosedMat => [] !== array_filter($plan->clumps, static fn ($c): bool => $c->kind->role->coversSurface()),
            self::Away => !$plan->site->sealed,
        };
    }

    /**
     * It happens on a day; what the keeper does besides goes on as usual.
     *
     * @return list<Event>
     */
    public function events(Plan $plan, int $day): array
    {
        return match ($this) {
            self::Overfed => [
                new Feed($day, max(self::HANDFUL * $plan->feed->grams, self::TIN * $plan->netWater())),
                new Feed($day + 1, $plan->feed->grams),
                ...UsualCare::events(),
            ],
            self::DeadFish => [...self::death($plan, $day), ...UsualCare::events()],
            self::LampOut => [new LampOff($day, self::DARK), ...UsualCare::events()],
            self::HeatWave => [new Spell($day, self::HOT, self::HOTTER), ...UsualCare::events()],
            // Stems are cut all the same; only the floaters are forgotten.
            self::ClosedMat => array_values(array_filter(UsualCare::events(), static fn (Event $e): bool => $e instanceof TrimOvergrown)),
            self::Away => [new Holiday($day, self::GONE), ...UsualCare::events()],
        };
    }

    /** Days after the day of it for which it is watched. */
    public function watched(): int
    {
        return match ($this) {
            self::ClosedMat => 28,
            self::Away => self::GONE + 7,
            default => 14,
        };
    }

    /** Day of the run from which it began, where that was before the day itself. */
    public function begins(int $day): int
    {
        return self::ClosedMat === $this ? max(0, $day - self::LEFT_ALONE) : $day;
    }

    /** @return list<Event> */
    private static function death(Plan $plan, int $day): array
    {
        $i = self::largest($plan);

        return null === $i ? [] : [new Deaths($day, $plan->groups[$i]->id, 1 / $plan->groups[$i]->count)];
    }

    /** Which group has the largest animals; null where there are none worth the name. */
    private static function largest(Plan $plan): ?int
    {
        $largest = null;
        foreach ($plan->groups as $i => $group) {
            if (
                AnimalShape::Snail !== $group->kind->shape
                && (null === $largest || $group->kind->grams->value > $plan->groups[$largest]->kind->grams->value)
            ) {
                $largest = $i;
            }
        }

        return $largest;
    }
}
