<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Review;

use Olvek\Core\Planning\Change\Choose;

/** Wood and stone that float, leach or stand where there is no floor. C, where nothing else is said. */
final readonly class HardscapeReview extends Review
{
    public function mistakes(): array
    {
        $found = [];
        foreach ($this->plan->pieces as $piece) {
            $name = $piece->kind->name;
            $found[] =
                $piece->kind->floats() && !$piece->isFixed()
                    ? new Mistake(
                        "float-$piece->id",
                        'hardscape',
                        "$name floats: glue it, tie it or weigh it down before the water comes.",
                        false,
                        [new Choose("hardscape.$piece->id.fixed", true)],
                        'It will be secured',
                    )
                    : null;
            $found[] =
                $piece->kind->soakDays->value > 0 && !$piece->soaked
                    ? new Mistake(
                        "soak-$piece->id",
                        'hardscape',
                        \sprintf(
                            '%s wants a soak test of %d days: discard it if it smells rotten.',
                            $name,
                            (int) $piece->kind->soakDays->value,
                        ),
                        true,
                        [new Choose("hardscape.$piece->id.soaked", true)],
                        'It passed the test',
                    )
                    : null;
        }

        return [...$found, Outside::glass($this->plan, 'hardscape', $this->plan->pieces)];
    }
}
