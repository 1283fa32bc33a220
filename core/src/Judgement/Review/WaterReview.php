<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Review;

use Olvek\Core\Planning\Change\Choose;
use Olvek\Core\Planning\Plan\FillingMethod;
use Olvek\Core\Planning\Plan\Treatment;

/** Water that is not treated, and how it is let in. C, where nothing else is said. */
final readonly class WaterReview extends Review
{
    public function mistakes(): array
    {
        $preparation = $this->plan->preparation;

        return [
            Treatment::Undecided === $preparation->treatment
                ? new Mistake(
                    'chlorine',
                    'water',
                    'Tap water may carry chlorine or chloramine, which kills bacteria, shrimp and fish.',
                    true,
                    [new Choose('preparation.treatment', Treatment::Dechlorinated->value)],
                    'It will be treated',
                )
                : null,
            Treatment::Stood === $preparation->treatment
                ? new Mistake(
                    'chloramine',
                    'water',
                    'Standing drives off chlorine, not chloramine: ask your supplier, or treat it.',
                    true,
                    [new Choose('preparation.treatment', Treatment::Dechlorinated->value)],
                    'It will be treated',
                )
                : null,
            FillingMethod::Undecided === $preparation->filling
                ? new Mistake(
                    'filling',
                    'water',
                    'Water falling on a new bed washes soil up: decide how it is let in.',
                    true,
                    [new Choose('preparation.filling', FillingMethod::Plate->value)],
                    'Slowly over a plate',
                )
                : null,
            FillingMethod::Pour === $preparation->filling && null !== $this->plan->bed->soil
                ? new Mistake(
                    'pour',
                    'water',
                    'Poured in, the water washes soil up through the cap.',
                    false,
                    [new Choose('preparation.filling', FillingMethod::Plate->value)],
                    'Slowly over a plate',
                )
                : null,
        ];
    }
}
