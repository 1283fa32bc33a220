<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Ask;

use Olvek\Core\Keeping\Estimation\Estimate;
use Olvek\Core\Planning\Plan\Plan;

/** A proposal tried on a tank as it is today: the same tanks of its estimate once as they go on, once with what is proposed. */
final readonly class Comparison
{
    /** Share of tanks that must come through for it to be fine, and below which it is not. J. */
    private const FINE = 0.8;
    private const NOT = 0.5;
    /** Share of tanks by which it may be worse, and is better. J: below it is chance. */
    private const CHANCE = 0.1;

    /**
     * @param list<Line> $lines
     * @param float      $held  share (0–1) of tanks in which all keeps to its limits as now
     * @param float      $holds and where it is done
     */
    private function __construct(
        public AskVerdict $verdict,
        public string $sentence,
        public array $lines,
        public float $held,
        public float $holds,
        public int $tanks,
    ) {
    }

    /**
     * @param Plan                                  $plan  with what is proposed
     * @param list<array<string, float>> $asNow outcomes by tank (AskOutcome::all)
     * @param list<array<string, float>> $then  of the same tanks
     */
    public static function of(Plan $plan, array $asNow, array $then): self
    {
        $tanks = \count($asNow);
        $lines = [];
        foreach (AskOutcome::cases() as $outcome) {
            $now = array_column($asNow, $outcome->value);
            $new = array_column($then, $outcome->value);
            $held = self::held($outcome, $now, $plan);
            $holds = self::held($outcome, $new, $plan);
            $lines[] = new Line(
                $outcome,
                Estimate::among($now),
                Estimate::among($new),
                Estimate::among(array_map(static fn (float $a, float $b): float => $b - $a, $now, $new)),
                $outcome->limit($plan),
                $held,
                $holds,
            );
        }
        $held = self::sound($asNow, $plan);
        $holds = self::sound($then, $plan);
        $verdict = match (true) {
            $holds >= $held + self::CHANCE => AskVerdict::Helps,
            $holds >= self::FINE && $holds >= $held - self::CHANCE => AskVerdict::Fine,
            $holds < self::NOT && $held - $holds > self::CHANCE, $held - $holds > self::NOT / 2 => AskVerdict::BetterNot,
            // Few do well as it is; with it hardly any would.
            $holds <= $held / 2 && $held - $holds > self::CHANCE / 2 => AskVerdict::BetterNot,
            default => AskVerdict::Unsure,
        };

        return new self($verdict, self::said($verdict, $lines, $held, $holds, $tanks), $lines, $held, $holds, $tanks);
    }

    /**
     * A tank as it goes on, held against itself: how sound it is.
     *
     * @param list<array<string, float>> $asNow
     */
    public static function alone(Plan $plan, array $asNow): self
    {
        return self::of($plan, $asNow, $asNow);
    }

    /**
     * Share of tanks that keep to an outcome's limit.
     *
     * @param list<float> $values
     */
    private static function held(AskOutcome $outcome, array $values, Plan $plan): float
    {
        return \count(array_filter($values, static fn (float $v): bool => $outcome->holds($v, $plan))) / max(1, \count($values));
    }

    /**
     * Share of tanks in which all keeps to its limits.
     *
     * @param list<array<string, float>> $outcomes
     */
    private static function sound(array $outcomes, Plan $plan): float
    {
        $sound = 0;
        foreach ($outcomes as $of) {
            $broken = array_filter(AskOutcome::cases(), static fn (AskOutcome $o): bool => !$o->holds($of[$o->value], $plan));
            $sound += [] === $broken ? 1 : 0;
        }

        return $sound / max(1, \count($outcomes));
    }

    /** How the tank stands as it goes on now, with nothing done: fine, unsure or better not. */
    public function asItGoesOn(): AskVerdict
    {
        return match (true) {
            $this->held >= self::FINE => AskVerdict::Fine,
            $this->held >= self::NOT => AskVerdict::Unsure,
            default => AskVerdict::BetterNot,
        };
    }

    /** The same in words, of a tank that is held against itself (alone()). */
    public function outlook(): string
    {
        $worst = self::worst($this->lines);

        return \sprintf(
            'As it goes on now, %s: in %s tanks like this one all keeps to its limits for the next eight weeks%s.',
            match ($this->asItGoesOn()) {
                AskVerdict::Fine => 'all is well',
                AskVerdict::Unsure => 'watch it',
                default => 'something will go wrong',
            },
            $this->count($this->held),
            null === $worst ? '' : '; what fails most is '.$worst->outcome->quantity()->label(),
        );
    }

    /** "46 of 48". */
    public function count(float $share): string
    {
        return \sprintf('%d of %d', (int) round($share * $this->tanks), $this->tanks);
    }

    /** @param list<Line> $lines */
    private static function worst(array $lines): ?Line
    {
        $worst = null;
        foreach ($lines as $line) {
            $worst = null !== $line->limit && $line->holds < ($worst->holds ?? 1.0) ? $line : $worst;
        }

        return $worst;
    }

    /** @param list<Line> $lines */
    private static function said(AskVerdict $verdict, array $lines, float $held, float $holds, int $tanks): string
    {
        $worst = self::worst($lines);
        $of = static fn (float $share): string => \sprintf('%d of %d', (int) round($share * $tanks), $tanks);
        $clear = array_filter($lines, static fn (Line $l): bool => $l->isClear());

        return $verdict->words().': '.match ($verdict) {
            AskVerdict::Fine => \sprintf(
                'in %s tanks like this one all keeps to its limits, as now in %s%s.',
                $of($holds),
                $of($held),
                [] === $clear ? '; nothing changes by more than the doubt' : '',
            ),
            AskVerdict::Helps => \sprintf(
                'all keeps to its limits in %s tanks like this one, where as now it does in %s.',
                $of($holds),
                $of($held),
            ),
            default => \sprintf(
                'all keeps to its limits in %s tanks like this one, as now in %s%s.',
                $of($holds),
                $of($held),
                null === $worst ? '' : '; what fails most is '.$worst->outcome->quantity()->label(),
            ),
        };
    }
}
