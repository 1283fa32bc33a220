<?php

declare(strict_types=1);

namespace Olvek\Core\Build;

use Olvek\Core\Plan\Plan;
use Olvek\Core\Plan\School;
use Olvek\Core\Unit\QuantityReader;
use Olvek\Core\Unit\Unit;

/** What the schools would lay in this vessel, against what a plan lays: who agrees, and who does not. C. */
final readonly class SchoolDepths
{
    /** Share by which depths may differ and still be called alike. J. */
    private const ALIKE = 0.25;

    /**
     * @param list<School> $alike lay about as much soil
     * @param list<School> $more
     * @param list<School> $less  some of them none
     * @param list<School> $thicker lay a cap that is thicker against its soil
     */
    private function __construct(public array $alike, public array $more, public array $less, public array $thicker)
    {
    }

    public static function of(Plan $plan): self
    {
        $soil = $plan->bed->soil?->meanDepth() ?? 0.0;
        $ratio = $soil > 0 ? ($plan->bed->cap?->meanDepth() ?? 0.0) / $soil : \INF;
        $found = ['alike' => [], 'more' => [], 'less' => [], 'thicker' => []];
        foreach (School::cases() as $school) {
            $edits = $school->edits($plan);
            $depth = static fn (string $layer): float => (self::metres($edits["bed.$layer.front"] ?? '0') + self::metres($edits["bed.$layer.back"] ?? '0')) / 2;
            $theirs = $depth('soil');
            $found[match (true) {
                abs($theirs - $soil) <= self::ALIKE * max($soil, 0.004) => 'alike',
                $theirs > $soil => 'more',
                default => 'less',
            }][] = $school;
            if ($theirs > 0 && $depth('cap') / $theirs > $ratio * (1 + self::ALIKE)) {
                $found['thicker'][] = $school;
            }
        }

        return new self($found['alike'], $found['more'], $found['less'], $found['thicker']);
    }

    private static function metres(string $typed): float
    {
        return QuantityReader::read($typed, Unit::Centimetre);
    }
}
