<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Solve\Compose;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Judgement\Margin\Judgement;
use Olvek\Core\Planning\Change\Change;
use Olvek\Core\Planning\Plan\Method;
use Olvek\Core\Planning\Plan\Plan;

/** What a method would come to in one tank. */
final readonly class MethodHere
{
    /**
     * @param Plan|null      $laid      as the method would have it; null where it does not fit
     * @param Plan|null      $plan      that, planted as is usual where it had no plants: what was judged
     * @param Judgement|null $judgement of its run
     * @param list<Change>   $moves     made beside the method's own: animals that come later, and their food
     * @param list<Message>   $refused   why it does not fit
     * @param float          $score     how far from holding (Score): less is better
     */
    public function __construct(
        public Method $method,
        public ?Plan $laid,
        public ?Plan $plan,
        public ?Judgement $judgement,
        public array $moves,
        public array $refused,
        public float $score,
    ) {
    }
}
