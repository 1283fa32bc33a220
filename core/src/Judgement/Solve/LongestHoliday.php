<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Solve;

use Olvek\Core\Basis\Message\Amount;
use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Basis\TimeLimit\NoTimeLimit;
use Olvek\Core\Basis\TimeLimit\TimeLimit;
use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\Provenance;
use Olvek\Core\Judgement\Margin\DawnOxygen;
use Olvek\Core\Judgement\Margin\Judgement;
use Olvek\Core\Judgement\Margin\Nitrite;
use Olvek\Core\Judgement\Margin\Term;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Event\Holiday;
use Olvek\Core\Planning\Plan\Plan;

/** How long a grown tank may be left: nobody feeds, tops up, thins or trims. */
final readonly class LongestHoliday implements Question
{
    /** Day on which the keeper leaves, the tank grown in, and the longest absence tried. J. */
    private const LEAVES = 182;
    private const LONGEST = 150;
    /** Share of the water that must be left: heaters and filters apart, plants at the top hang dry below that. C. */
    private const LEAST_WATER = 0.75;
    /** Share of the animals that may be fewer than with the keeper there, and mg O2/L by which dawns must be worse. J. */
    private const MOST_LOST = 0.05;
    private const WORSE_OXYGEN = 0.3;
    /**
     * Share of its weight that an animal may lose against one that is fed, and g from which animals are weighed. J: a fish that has lost a
     * fifth looks thin.
     */
    private const THINNER = 0.2;
    private const COUNTED = 0.01;
    /** Days after the keeper's return that still count. J. */
    private const AFTER = 30;

    public function __construct(private Editor $editor)
    {
    }

    public function solve(Plan $plan, TimeLimit $patience = new NoTimeLimit()): Answer
    {
        $trial = new Trial($this->editor, $patience);
        if ($plan->site->sealed) {
            return Answer::none(new Message('answer.holiday-sealed'), [], 0);
        }
        $usual = $trial->judged($plan);
        $why = $this->fault($plan, $usual, $usual, self::LONGEST);
        if (null !== $why) {
            return Answer::none([new Message('answer.holiday-already'), $why], [], $trial->runs);
        }
        $limit = null;
        $days = $trial->largest(0, self::LONGEST, function (int $days) use ($trial, $plan, $usual, &$limit): bool {
            $fault = $this->fault($plan, $trial->judged($plan, [new Holiday(self::LEAVES, $days)]), $usual, $days);
            $limit = $fault ?? $limit;

            return null === $fault;
        });
        if ($trial->brokenOff) {
            return Answer::soFar(new Message('answer.holiday-so-far', ['days' => $days]), [], [], $trial->runs);
        }
        if ($days < 1) {
            return Answer::none([new Message('answer.holiday-none'), ...null === $limit ? [] : [$limit]], [], $trial->runs);
        }
        $litres = $usual->trace->mean('evaporated', self::LEAVES, self::LEAVES + $days);

        return Answer::found(
            null === $limit
                ? new Message('answer.holiday-and-more', ['days' => $days])
                : [new Message('answer.holiday', ['days' => $days]), $limit],
            [],
            [
                new Term('dries up', Decimal::significant($litres, 2).' L a day', Provenance::Judgement),
                new Term(
                    'left of the water on return',
                    Decimal::trimmed(100 * max(0.0, 1 - ($litres * $days) / $plan->netWater()), 0).' %',
                ),
                new Term('leaves on', 'day '.self::LEAVES.', the tank grown in'),
            ],
            $trial->runs,
        );
    }

    /** What goes wrong while away and in the month after; null where nothing does. */
    private function fault(Plan $plan, Judgement $judgement, Judgement $usual, int $days): ?Message
    {
        $trace = $judgement->trace;
        $to = min($trace->days() - 1, self::LEAVES + $days + self::AFTER);
        $c = $trace->columns;
        for ($day = self::LEAVES; $day <= $to; ++$day) {
            if ($c['volume'][$day] < self::LEAST_WATER * $plan->netWater()) {
                return new Message('away.dry');
            }
            if (
                null !== $plan->firstAnimals()
                && $c['oxygen'][$day] < DawnOxygen::need($plan->stock())
                && $c['oxygen'][$day] < $usual->trace->columns['oxygen'][$day] - self::WORSE_OXYGEN
            ) {
                return new Message('away.oxygen', ['oxygen' => Amount::concentration($c['oxygen'][$day])]);
            }
            if (null !== $plan->firstAnimals() && $c['nitrite'][$day] > Nitrite::ACT) {
                return new Message('away.nitrite');
            }
            foreach ($plan->groups as $i => $group) {
                $before = $usual->trace->heads[$day][$i];
                if ($before > 0 && $trace->heads[$day][$i] < min($group->count, $before) * (1 - self::MOST_LOST)) {
                    return new Message('away.die', ['kind' => $group->kind->common]);
                }
                if (
                    $group->kind->grams->value >= self::COUNTED
                    && $before > 0
                    && $trace->heads[$day][$i] > 0
                    && $trace->groups[$day][$i] / $trace->heads[$day][$i]
                        < ((1 - self::THINNER) * $usual->trace->groups[$day][$i]) / $before
                ) {
                    return new Message('away.thin', ['kind' => $group->kind->common]);
                }
            }
        }

        return null;
    }
}
