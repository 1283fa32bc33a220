<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Plan;

use Olvek\Core\Basis\Unit\UnitSystem;

/** One thing wrong with a plan: where, and what to do about it, in the reader's units. */
final readonly class Problem
{
    /**
     * @param string                         $path  place in the plan's document, e.g. "bed.soil.front" or "plants.c2.pieces"
     * @param string|\Closure(UnitSystem): string $words
     * @param PlanRule|null                  $rule  that binds several values; null where one value alone, or the document's form, is wrong
     */
    public function __construct(public string $path, private string|\Closure $words, public ?PlanRule $rule = null)
    {
    }

    /** The same beside another place. */
    public function movedTo(string $path): self
    {
        return new self($path, $this->words);
    }

    public function message(UnitSystem $units = UnitSystem::Metric): string
    {
        return \is_string($this->words) ? $this->words : ($this->words)($units);
    }

    /**
     * @param list<self> $problems
     *
     * @return array<string, string> message by place; the first where a place has several
     */
    public static function byPlace(array $problems, UnitSystem $units): array
    {
        $messages = [];
        foreach ($problems as $problem) {
            $messages[$problem->path] ??= $problem->message($units);
        }

        return $messages;
    }
}
