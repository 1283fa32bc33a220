<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Solve\Compose;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Basis\Unit\Estimate;
use Olvek\Core\Judgement\Margin\Judgement;
use Olvek\Core\Judgement\Margin\Uncertainty;
use Olvek\Core\Planning\Plan\Method;
use Olvek\Core\Planning\Plan\Plan;

/** A whole plan that was made for a wish, after one taste. */
final readonly class Composition
{
    /**
     * @param bool        $holds    nothing fails in its run and nothing is to be mended; else it is the nearest that was found
     * @param string      $sentence what it is, in a few words
     * @param list<Unmet> $unmet    what of the wish it does not grant
     * @param list<Message> $notes  what was changed in the method's recipe to make it hold
     * @param Estimate    $cost     about what it takes to buy, in money
     * @param float       $minutes  of work a week once it has grown in
     * @param int         $runs     years run to find it
     * @param bool        $complete false where it took as many runs as are spent on one plan: more might be tried
     * @param Uncertainty|null $sureness null until it was asked for
     */
    public function __construct(
        public Taste $taste,
        public Method $method,
        public Plan $plan,
        public Judgement $judgement,
        public bool $holds,
        public string $sentence,
        public array $unmet,
        public array $notes,
        public Estimate $cost,
        public float $minutes,
        public int $runs,
        public bool $complete,
        public ?Uncertainty $sureness = null,
    ) {
    }

    /** The same, and how sure it is: a plan holds where it does in most tanks. */
    public function with(Uncertainty $sureness): self
    {
        $judgement = $this->judgement->with($sureness, $this->plan);

        /** @phpstan-ignore argument.type (the names and types are those of the constructor) */
        return new self(...[
            ...get_object_vars($this),
            'sureness' => $sureness,
            'judgement' => $judgement,
            'holds' => $this->holds && Confirmation::holds($sureness),
            'unmet' => [...$this->unmet, ...Confirmation::unmet($this->judgement->harms, $judgement->harms)],
        ]);
    }
}
