<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Steps;

use Olvek\Core\Basis\Message\Amount;
use Olvek\Core\Basis\Message\Message;
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
                    new Message('step.hardscape.name'),
                    new Message('step.hardscape.amount', ['pieces' => array_map($this->placed(...), $pieces)]),
                    new Message('step.hardscape.check'),
                    new Message('step.hardscape.mistake'),
                    new Message('step.hardscape.caution'),
                    20,
                    0,
                    'hardscape',
                ),
            ...array_map($this->fixed(...), Fixing::cases()),
            [] === $loose
                ? null
                : new Step(
                    'fix',
                    new Message('step.fix.name'),
                    new Message('step.fix.amount', ['pieces' => self::names($loose, static fn (Piece $p): string => $p->kind->name)]),
                    new Message('step.fix.check'),
                    new Message('step.fix.mistake'),
                    new Message('step.fix.caution'),
                    15,
                    0.5,
                ),
        ];
    }

    private function placed(Piece $piece): Message
    {
        return new Message(
            'step.hardscape.each',
            [
                'piece' => $piece->kind->name,
                'measured' => $piece->isMeasured() ? 'yes' : 'no',
                'long' => Amount::length($piece->long()),
                'broad' => Amount::length($piece->broad()),
                'tall' => Amount::length($piece->tall()),
                'along' => (int) round(100 * $piece->place),
                'back' => (int) round(100 * $piece->row),
                'out' => $this->plan->submerged($piece) < 1 ? 'yes' : 'no',
            ],
        );
    }

    private function fixed(Fixing $fixing): ?Step
    {
        $held = array_filter($this->plan->pieces, static fn (Piece $p): bool => $fixing === $p->fixing);

        return Fixing::None === $fixing || [] === $held
            ? null
            : new Step(
                "fix-$fixing->value",
                new Message('step.fixing.name', ['how' => $fixing->words()]),
                new Message('step.fix.amount', ['pieces' => self::names($held, static fn (Piece $p): string => $p->kind->name)]),
                Message::text($fixing->check()),
                Message::text($fixing->mistake()),
                '' === $fixing->caution() ? null : Message::text($fixing->caution()),
                10 * \count($held),
                $fixing->hours(),
            );
    }
}
