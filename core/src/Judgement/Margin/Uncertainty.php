<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin;

/** How sure a judgement is, among tanks that obey this model and whose uncertain numbers differ. */
final readonly class Uncertainty
{
    /**
     * @param array<string, Spread> $spreads  by margin
     * @param int                   $together tanks in which balance and welfare hold or are tight in every margin at once
     * @param int                   $of       tanks run
     */
    public function __construct(public array $spreads, public int $together, public int $of)
    {
    }

    /** Of how many tanks what is true, as a sentence. */
    /** The margin with its spread, where that is known. */
    public function of(Margin $margin): Margin
    {
        return isset($this->spreads[$margin->id->value]) ? $margin->withSpread($this->spreads[$margin->id->value]) : $margin;
    }

    public function words(): string
    {
        return \sprintf(
            'Of %d tanks that obey this model and differ in what is uncertain, %s with no margin of balance or welfare failing.',
            $this->of,
            match ($this->together) {
                0 => 'none comes through',
                $this->of => 'all come through',
                1 => 'one comes through',
                default => "$this->together come through",
            },
        );
    }
}
