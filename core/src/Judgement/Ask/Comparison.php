<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Ask;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Judgement\Margin\Harm\Harms;
use Olvek\Core\Judgement\Margin\MarginState;
use Olvek\Core\Judgement\Standing\HarmShares;
use Olvek\Core\Judgement\Standing\Prospect;
use Olvek\Core\Keeping\Estimation\Estimate;
use Olvek\Core\Planning\Plan\Plan;

/** A proposal tried on a tank as it is today: the same tanks of its estimate once as they go on, once with what is proposed. */
final readonly class Comparison
{
    /**
     * @param non-empty-list<Message> $sentences what comes of it
     * @param list<Line>              $lines
     * @param float                   $held      share (0–1) of tanks in which nothing comes to harm as it goes on now
     * @param float                   $holds     and where it is done
     */
    private function __construct(
        public AskVerdict $verdict,
        public array $sentences,
        public array $lines,
        public float $held,
        public float $holds,
        public int $tanks,
    ) {
    }

    /**
     * @param Plan                       $plan      with what is proposed
     * @param list<array<string, float>> $asNow     outcomes by tank (AskOutcome::all)
     * @param list<array<string, float>> $then      of the same tanks
     * @param list<bool>                 $sound     whether nothing comes to harm in each as it goes on now
     * @param list<Prospect>             $prospects of the same tanks where it is done
     */
    public static function of(Plan $plan, array $asNow, array $then, array $sound, array $prospects): self
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
        $held = \count(array_filter($sound)) / max(1, $tanks);
        $holds = \count(array_filter($prospects, static fn (Prospect $p): bool => $p->isSound())) / max(1, $tanks);
        $verdict = AskVerdict::of($held, $holds);

        return new self($verdict, self::said($verdict, $prospects, $held, $holds), $lines, $held, $holds, $tanks);
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

    /** "46 of 48". */
    public function count(float $share): string
    {
        return \sprintf('%d of %d', (int) round($share * $this->tanks), $this->tanks);
    }

    /**
     * @param list<Prospect> $prospects
     *
     * @return non-empty-list<Message> the verdict, and what would come to harm
     */
    private static function said(AskVerdict $verdict, array $prospects, float $held, float $holds): array
    {
        $tanks = \count($prospects);
        $said = [new Message('ask.verdict', [
            'verdict' => str_replace('-', '_', $verdict->value),
            'holds' => (int) round($holds * $tanks),
            'held' => (int) round($held * $tanks),
            'of' => $tanks,
        ])];
        if ($verdict->isGood()) {
            return $said;
        }
        $harms = Harms::sorted(HarmShares::among(array_map(static fn (Prospect $p): array => $p->harms, $prospects)));
        $worst = $harms[0] ?? null;

        return null === $worst || MarginState::Holds === $worst->state ? $said : [...$said, $worst->message];
    }
}
