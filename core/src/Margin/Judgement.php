<?php

declare(strict_types=1);

namespace Olvek\Core\Margin;

use Olvek\Core\Build\Quantities;

/** What Olvek says of a plan. */
final readonly class Judgement
{
    /**
     * @param string       $verdict one sentence, as a friend would say it
     * @param list<Margin> $margins
     * @param Ledger       $ledger  of the day asked for
     */
    public function __construct(
        public State $state,
        public string $verdict,
        public array $margins,
        public Ledger $ledger,
        public ClumpLight $light,
        public Quantities $quantities,
    ) {
    }

    public function margin(string $id): Margin
    {
        foreach ($this->margins as $margin) {
            if ($margin->id === $id) {
                return $margin;
            }
        }

        throw new \OutOfBoundsException(\sprintf('there is no margin "%s"', $id));
    }
}
