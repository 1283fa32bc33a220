<?php

declare(strict_types=1);

namespace Olvek\Service\Start;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Judgement\Margin\MarginState;
use Olvek\Core\Judgement\Solve\Compose\Composition;
use Olvek\Core\Judgement\Solve\Compose\Taste;
use Olvek\Core\Judgement\Solve\Compose\Unmet;
use Olvek\Core\Simulation\Run\Snapshot;

/** A composed plan as a page shows it: small enough to be kept. */
final readonly class Composed
{
    public Taste $taste;
    public bool $holds;
    public MarginState $state;
    /** @var non-empty-list<Message> */
    public array $verdict;
    public string $sentence;
    public string $sure;
    public string $cost;
    public string $work;
    /** @var list<Unmet> */
    public array $unmet;
    /** @var list<Message> */
    public array $notes;
    public bool $complete;

    /** @param string $plan its document */
    public function __construct(public string $plan, Composition $found, public Snapshot $look)
    {
        $this->taste = $found->taste;
        $this->holds = $found->holds;
        $this->state = $found->judgement->state;
        $this->verdict = $found->judgement->verdict;
        $this->sentence = $found->sentence;
        $this->sure = null === $found->sureness
            ? ''
            : \sprintf('All holds in %d of %d tanks whose uncertain numbers differ', $found->sureness->together, $found->sureness->of);
        $this->cost = \sprintf('%s to %s', Decimal::trimmed($found->cost->low, 0), Decimal::trimmed($found->cost->high, 0));
        $this->work = Decimal::trimmed($found->minutes, 0);
        $this->unmet = $found->unmet;
        $this->notes = $found->notes;
        $this->complete = $found->complete;
    }
}
