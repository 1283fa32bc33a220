<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Sign;

use Olvek\Core\Basis\Unit\Provenance;

/** What one finding does to a cause. */
final readonly class Evidence
{
    /**
     * @param float $factor times by which it moves the cause's odds against all others: above 1 speaks for it, below 1 against
     * @param float $own    times by which it is likelier where the cause is at work than anywhere
     */
    public function __construct(
        public FactKind $fact,
        public Finding $finding,
        public float $factor,
        public float $own,
        public Often $often,
        public Provenance $provenance,
    ) {
    }

    /** What is so of this tank, or is not. */
    public function statement(): string
    {
        return $this->finding->chance >= 0.5 ? $this->fact->yes : $this->fact->no;
    }

    /** Times by which it moves the odds, from which it is told, and from which it counts clearly and strongly. J. */
    private const FELT = 1.1;
    private const CLEAR = 1.5;
    private const STRONG = 3.0;

    private function times(): float
    {
        return $this->isFor() ? $this->factor : 1 / max(1e-9, $this->factor);
    }

    /** Whether it is worth telling: it moves the odds, and not only by what it says of other causes. */
    public function isFelt(): bool
    {
        return $this->times() >= self::FELT && ($this->isFor() ? $this->own > 1.0 : $this->own < 1.0);
    }

    /** How far it moves the odds, in words. */
    public function weight(): string
    {
        return match (true) {
            $this->times() >= self::STRONG => 'strongly',
            $this->times() >= self::CLEAR => 'clearly',
            default => 'a little',
        };
    }

    public function isFor(): bool
    {
        return $this->factor > 1.0;
    }
}
