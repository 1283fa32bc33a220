<?php

declare(strict_types=1);

namespace Olvek\Core\Start;

use Olvek\Core\Margin\State;

/** What a reading means, and what to do about it. */
final readonly class Advice
{
    /**
     * @param list<string> $do     one thing each
     * @param list<QuickEntry>  $offers what of it can be written down with one press
     */
    public function __construct(public State $state, public string $means, public array $do = [], public array $offers = [])
    {
    }
}
