<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Change;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Basis\Unit\UnreadableQuantity;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Planning\Plan\InvalidPlan;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Core\Planning\Plan\Problem;
use Olvek\Core\Planning\Plan\RefusedEdit;

/**
 * Changes a plan and reads the whole back through the plan's rules. Several changes count as one: either all hold together or nothing
 * changes.
 */
final readonly class Editor
{
    private PlanDocument $document;
    private Reader $reader;

    public function __construct(private Catalogue $catalogue)
    {
        $this->document = new PlanDocument($catalogue);
        $this->reader = new Reader();
    }

    /**
     * @param list<Change> $changes
     * @param UnitSystem   $units   in which they are told
     *
     * @throws InvalidPlan with the places as paths
     */
    public function make(Plan $plan, array $changes, UnitSystem $units = UnitSystem::Metric): Edited
    {
        $steps = [];
        foreach ($changes as $change) {
            $steps[] = [$change->place(), static fn (Draft $draft): ?string => $change->make($draft)];
        }

        return $this->walk($plan, $steps, $units);
    }

    /**
     * What somebody typed, read and made in turn.
     *
     * @param array<string, string> $typed text by place
     *
     * @throws InvalidPlan with the places as paths
     */
    public function apply(Plan $plan, array $typed, UnitSystem $units): Edited
    {
        $steps = [];
        foreach ($typed as $place => $text) {
            $steps[] = [$place, fn (Draft $draft): ?string => $this->reader->read($place, $text, $draft)?->make($draft)];
        }

        return $this->walk($plan, $steps, $units);
    }

    /** @param list<array{string, \Closure(Draft): ?string}> $steps with their places */
    private function walk(Plan $plan, array $steps, UnitSystem $units): Edited
    {
        $draft = new Draft($this->document->toArray($plan), $this->catalogue, $units);
        $words = [];
        $problems = [];
        foreach ($steps as [$place, $step]) {
            try {
                $words[] = $step($draft);
            } catch (UnreadableQuantity|RefusedEdit $refused) {
                $problems[] = new Problem($place, $refused->getMessage());
            }
        }
        if ([] !== $problems) {
            throw new InvalidPlan($problems);
        }
        $words = array_values(array_filter($words, static fn (?string $w): bool => null !== $w));

        return [] === $words ? new Edited($plan, []) : new Edited($draft->plan(), $words);
    }
}
