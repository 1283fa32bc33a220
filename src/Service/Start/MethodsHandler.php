<?php

declare(strict_types=1);

namespace Olvek\Service\Start;

use Olvek\Core\Basis\TimeLimit\TimeLimit;
use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Judgement\Compare\Difference;
use Olvek\Core\Judgement\Compare\Differences;
use Olvek\Core\Judgement\Compare\Part;
use Olvek\Core\Judgement\Solve\Compose\MethodHere;
use Olvek\Core\Judgement\Solve\Compose\MethodsHere;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Planning\Change\Changes;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Service\Drawing\Elevation;
use Olvek\Service\Work\Job;
use Olvek\Service\Work\JobHandler;
use Olvek\Service\Work\Result;

final readonly class MethodsHandler implements JobHandler
{
    /** Day on which tanks that are only proposed are drawn: grown in. J. */
    public const DRAWN = 120;

    public function __construct(private Editor $editor, private Catalogue $catalogue, private PlanDocument $plans)
    {
    }

    public static function of(): string
    {
        return MethodsJob::class;
    }

    /** @return Result of an array: "methods" as a page shows them, "planted", "disagree", "complete" */
    public function do(Job $job, TimeLimit $patience): Result
    {
        \assert($job instanceof MethodsJob);
        $plan = $this->plans->fromJson($job->plan);
        $here = MethodsHere::of($plan, $this->editor, $this->catalogue, $job->units, $patience);
        $shown = [
            'planted' => $here->planted,
            'disagree' => $here->disagree,
            'complete' => $here->complete,
            'methods' => array_map(fn (MethodHere $m): array => $this->shown($m, $plan, $job), $here->methods),
        ];

        return $here->complete ? Result::whole($shown) : Result::unfinished($shown);
    }

    /**
     * @param Plan $before as it is without the method
     *
     * @return array<string, mixed>
     */
    private function shown(MethodHere $here, Plan $before, MethodsJob $job): array
    {
        $length = static fn (float $m): string => $job->units->show(Dimension::Length, $m);
        $plan = $here->plan;

        return [
            'id' => $here->method->value,
            'words' => $here->method->words(),
            'reasons' => $here->method->reasons(),
            'state' => $here->judgement?->state,
            'verdict' => $here->judgement->verdict ?? $here->refused,
            'bed' => null === $plan
                ? ''
                : \sprintf(
                    '%s of soil, %s of cap; %s',
                    $length($plan->bed->soil?->meanDepth() ?? 0.0),
                    $length($plan->bed->cap?->meanDepth() ?? 0.0),
                    $plan->preparation->way->words(),
                ),
            'changes' => null === $here->laid
                ? []
                : $this->changes($before, $here->laid, $job->units, array_keys(Changes::typed($here->moves))),
            'later' => [] === $here->moves ? 0 : (int) $here->laid?->firstAnimals() - (int) $before->firstAnimals(),
            'edits' => Changes::typed($here->moves),
            'drawing' => null === $plan || null === $here->judgement
                ? null
                : Elevation::thumbnail($plan, $here->judgement->trace->on(self::DRAWN)),
        ];
    }

    /**
     * What a method changes beside the bed and the start that it teaches, and beside what only moves to a later day.
     *
     * @param list<string> $moved places of what moves
     *
     * @return list<Difference>
     */
    private function changes(Plan $before, Plan $laid, UnitSystem $units, array $moved): array
    {
        return array_values(array_filter(
            Differences::between($before, $laid, $this->catalogue, $units)->all,
            static fn (Difference $d): bool => !\in_array($d->part, [Part::Bed, Part::Start], true)
                && !\in_array($d->place, $moved, true),
        ));
    }
}
