<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Review;

use Olvek\Core\Planning\Plan\StartWay;

/** A start that is not chosen, or too short for the animals. C, where nothing else is said. */
final readonly class StartReview extends Review
{
    public function mistakes(): array
    {
        $plan = $this->plan;
        $way = $plan->preparation->way;
        $first = $plan->firstAnimals();

        return [
            StartWay::Undecided === $way
                ? new Mistake('way', 'start', 'Choose a way of starting: it says what is tested and when animals may come.', true)
                : null,
            null !== $first && $first < $way->soonest()
                ? new Mistake(
                    'too-soon',
                    'start',
                    \sprintf(
                        'Animals come on day %d; this way of starting has them from day %d. Let them come later, or choose another way.',
                        $first,
                        $way->soonest(),
                    ),
                )
                : null,
        ];
    }
}
