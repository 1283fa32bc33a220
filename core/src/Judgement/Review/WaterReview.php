<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Review;

use Olvek\Core\Basis\Message\Message;
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
                    new Message('mistake.chlorine'),
                    true,
                    [new Choose('preparation.treatment', Treatment::Dechlorinated->value)],
                    new Message('fix.treated'),
                )
                : null,
            Treatment::Stood === $preparation->treatment
                ? new Mistake(
                    'chloramine',
                    'water',
                    new Message('mistake.chloramine'),
                    true,
                    [new Choose('preparation.treatment', Treatment::Dechlorinated->value)],
                    new Message('fix.treated'),
                )
                : null,
            FillingMethod::Undecided === $preparation->filling
                ? new Mistake(
                    'filling',
                    'water',
                    new Message('mistake.filling'),
                    true,
                    [new Choose('preparation.filling', FillingMethod::Plate->value)],
                    new Message('fix.plate'),
                )
                : null,
            FillingMethod::Pour === $preparation->filling && null !== $this->plan->bed->soil
                ? new Mistake(
                    'pour',
                    'water',
                    new Message('mistake.pour'),
                    false,
                    [new Choose('preparation.filling', FillingMethod::Plate->value)],
                    new Message('fix.plate'),
                )
                : null,
        ];
    }
}
