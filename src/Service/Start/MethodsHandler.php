<?php

declare(strict_types=1);

namespace Olvek\Service\Start;

use Olvek\Core\Basis\TimeLimit\TimeLimit;
use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Judgement\Solve\Compose\MethodHere;
use Olvek\Core\Judgement\Solve\Compose\MethodsHere;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Planning\Change\Editor;
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
        $here = MethodsHere::of($this->plans->fromJson($job->plan), $this->editor, $this->catalogue, $job->units, $patience);
        $shown = [
            'planted' => $here->planted,
            'disagree' => $here->disagree,
            'complete' => $here->complete,
            'methods' => array_map(fn (MethodHere $m): array => $this->shown($m, $job), $here->methods),
        ];

        return $here->complete ? Result::whole($shown) : Result::unfinished($shown);
    }

    /** @return array<string, mixed> */
    private function shown(MethodHere $here, MethodsJob $job): array
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
            'drawing' => null === $plan || null === $here->judgement
                ? null
                : Elevation::thumbnail($plan, $here->judgement->trace->on(self::DRAWN)),
        ];
    }
}
