<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Review;

use Olvek\Core\Planning\Change\Recipe;
use Olvek\Core\Planning\Plan\Method;
use Olvek\Core\Planning\Plan\Plan;

/** What the methods would lay in this vessel, against what a plan lays: who agrees, and who does not. C. */
final readonly class MethodDepths
{
    /** Share by which depths may differ and still be called alike. J. */
    private const ALIKE = 0.25;

    /**
     * @param list<Method> $alike lay about as much soil
     * @param list<Method> $more
     * @param list<Method> $less  some of them none
     * @param list<Method> $thicker lay a cap that is thicker against its soil
     */
    private function __construct(public array $alike, public array $more, public array $less, public array $thicker)
    {
    }

    public static function of(Plan $plan): self
    {
        $soil = $plan->bed->soil?->meanDepth() ?? 0.0;
        $ratio = $soil > 0 ? ($plan->bed->cap?->meanDepth() ?? 0.0) / $soil : \INF;
        $found = ['alike' => [], 'more' => [], 'less' => [], 'thicker' => []];
        foreach (Method::cases() as $method) {
            $bed = Recipe::bed($method, $plan);
            $theirs = $bed->soilDepth();
            $found[match (true) {
                abs($theirs - $soil) <= self::ALIKE * max($soil, 0.004) => 'alike',
                $theirs > $soil => 'more',
                default => 'less',
            }][] = $method;
            if ($theirs > 0 && $bed->capDepth() / $theirs > $ratio * (1 + self::ALIKE)) {
                $found['thicker'][] = $method;
            }
        }

        return new self($found['alike'], $found['more'], $found['less'], $found['thicker']);
    }
}
