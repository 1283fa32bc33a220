<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Review;

use Olvek\Core\Basis\Message\Message;
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
                ? new Mistake('way', 'start', new Message('mistake.way'), true)
                : null,
            null !== $first && $first < $way->soonest()
                ? new Mistake(
                    'too-soon',
                    'start',
                    new Message('mistake.too-soon', ['day' => $first, 'soonest' => $way->soonest()]),
                )
                : null,
        ];
    }
}
