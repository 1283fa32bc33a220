<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Steps;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Nature\Hardscape\Fixing;
use Olvek\Core\Nature\Hardscape\Piece;

/**
 * Stones and wood.
 *
 * @internal
 */
final readonly class Setting extends Chapter
{
    public function steps(): array
    {
        $pieces = $this->plan->pieces;
        $loose = array_filter($pieces, static fn (Piece $p): bool => $p->kind->floats() && Fixing::None === $p->fixing);

        return [
            [] === $pieces
                ? null
                : new Step(
                    'hardscape',
                    'Set stones and wood',
                    implode('; ', array_map($this->placed(...), $pieces)),
                    'Nothing rocks; stones stand on the bed’s floor or deep in the cap, not on air.',
                    'A flat stone traps gas under it.',
                    'Stones slip: hands never under them.',
                    20,
                    0,
                    'hardscape',
                ),
            ...array_map($this->fixed(...), Fixing::cases()),
            [] === $loose
                ? null
                : new Step(
                    'fix',
                    'Hold down what floats',
                    self::names($loose, static fn (Piece $p): string => $p->kind->name),
                    'Pushed under a finger of water, it stays.',
                    'It is trusted to sink by itself.',
                    'Superglue: fresh air, off eyes and skin; an accelerator gives off fumes and heat.',
                    15,
                    0.5,
                ),
        ];
    }

    private function placed(Piece $piece): string
    {
        $size = $piece->isMeasured()
            ? \sprintf(' (%s × %s × %s)', $this->length($piece->long()), $this->length($piece->broad()), $this->length($piece->tall()))
            : '';

        return \sprintf(
            '%s%s, %s %% along, %s %% back%s',
            $piece->kind->name,
            $size,
            Decimal::trimmed(100 * $piece->place, 0),
            Decimal::trimmed(100 * $piece->row, 0),
            $this->plan->submerged($piece) < 1 ? ', standing out of the water' : '',
        );
    }

    private function fixed(Fixing $fixing): ?Step
    {
        $held = array_filter($this->plan->pieces, static fn (Piece $p): bool => $fixing === $p->fixing);

        return Fixing::None === $fixing || [] === $held
            ? null
            : new Step(
                "fix-$fixing->value",
                'Hold in place: '.$fixing->words(),
                self::names($held, static fn (Piece $p): string => $p->kind->name),
                $fixing->check(),
                $fixing->mistake(),
                $fixing->caution(),
                10 * \count($held),
                $fixing->hours(),
            );
    }
}
