<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Review;

use Olvek\Core\Basis\Message\Message;
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
                        new Message('mistake.float', ['piece' => $name]),
                        false,
                        [new Choose("hardscape.$piece->id.fixed", true)],
                        new Message('fix.float'),
                    )
                    : null;
            $found[] =
                $piece->kind->soakDays->value > 0 && !$piece->soaked
                    ? new Mistake(
                        "soak-$piece->id",
                        'hardscape',
                        new Message('mistake.soak', ['piece' => $name, 'days' => (int) $piece->kind->soakDays->value]),
                        true,
                        [new Choose("hardscape.$piece->id.soaked", true)],
                        new Message('fix.soak'),
                    )
                    : null;
        }

        return [...$found, Outside::glass($this->plan, 'hardscape', $this->plan->pieces)];
    }
}
