<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Change;

use Olvek\Core\Basis\Supply\Source;
use Olvek\Core\Planning\Plan\RefusedEdit;

/**
 * Where something is set that is added, and where it comes from: "12", "12 at 30 80" (percent from left and front), "12 at 30 80 on hand".
 */
final readonly class Placed
{
    private const TYPED = '/^(.*?)(?:\s+at\s+(\d{1,3}(?:\.\d+)?)\s*%?\s+(\d{1,3}(?:\.\d+)?)\s*%?)?(\s+on hand)?$/uD';

    /**
     * @param float|null $place 0 (left) – 1 (right); null for wherever there is most room
     * @param float|null $row   0 (front) – 1 (back); null for the usual
     */
    public function __construct(public ?float $place = null, public ?float $row = null, public Source $source = Source::Shop)
    {
    }

    /**
     * @return array{string, self} how many, as typed, and where
     *
     * @throws RefusedEdit where it would stand outside
     */
    public static function read(string $typed): array
    {
        preg_match(self::TYPED, $typed, $match);
        [$along, $across] = [$match[2] ?? '', $match[3] ?? ''];
        if ((float) $along > 100 || (float) $across > 100) {
            throw new RefusedEdit('Say where it stands in percent from the left and from the front: 12 at 30 80.');
        }

        return [
            $match[1] ?? $typed,
            new self(
                '' === $along ? null : (float) $along / 100,
                '' === $across ? null : (float) $across / 100,
                '' === ($match[4] ?? '') ? Source::Shop : Source::OnHand,
            ),
        ];
    }

    /** As it is typed after the number; empty where nothing is said. */
    public function typed(): string
    {
        $at = null === $this->place || null === $this->row
            ? ''
            : \sprintf(' at %s %s', round(100 * $this->place, 1), round(100 * $this->row, 1));

        return $at.(Source::OnHand === $this->source ? ' on hand' : '');
    }
}
