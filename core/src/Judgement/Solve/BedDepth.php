<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Solve;

use Olvek\Core\Basis\Message\Amount;
use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Basis\TimeLimit\NoTimeLimit;
use Olvek\Core\Basis\TimeLimit\OutOfTime;
use Olvek\Core\Basis\TimeLimit\TimeLimit;
use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Judgement\Margin\Asked;
use Olvek\Core\Judgement\Margin\MarginId;
use Olvek\Core\Judgement\Margin\MarginState;
use Olvek\Core\Judgement\Margin\Term;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Change\SetNumber;
use Olvek\Core\Planning\Plan\Plan;

/** The thinnest soil and cap that feed roots for a wanted time without leaking into the water or turning foul. */
final readonly class BedDepth implements Question
{
    /** m: soils tried, thin to thick, and the thinnest cap. C (soil 2–5 cm under a cap at least as deep); beyond it J. */
    private const THINNEST = 0.01;
    private const STEP = 0.005;
    private const THICKEST = 0.08;
    private const THINNEST_CAP = 0.015;
    /** Caps tried, as multiples of the soil. J. */
    private const CAPS = [1.0, 1.25, 1.5, 2.0, 3.0];

    /** @param float $years that the soil is to last */
    public function __construct(private Editor $editor, private float $years = 1.0)
    {
    }

    public function solve(Plan $plan, TimeLimit $patience = new NoTimeLimit()): Answer
    {
        if (null === $plan->bed->soil || null === $plan->bed->cap) {
            return Answer::none(new Message('answer.depth-no-bed'), [], 0);
        }
        $trial = new Trial($this->editor, $patience);
        $terms = [];
        $why = null;
        for ($soil = self::THINNEST; $soil <= self::THICKEST + 1e-9; $soil += self::STEP) {
            foreach (self::caps($plan) as $times) {
                $cap = max(self::THINNEST_CAP, $soil * $times);
                $changes = [
                    new SetNumber('bed.soil.front', $soil),
                    new SetNumber('bed.soil.back', $soil),
                    new SetNumber('bed.cap.front', $cap),
                    new SetNumber('bed.cap.back', $cap),
                ];
                $changed = $trial->changed($plan, $changes);
                if (null === $changed) {
                    break 2;
                }
                try {
                    $judgement = $trial->judged($changed);
                } catch (OutOfTime) {
                    return Answer::soFar(
                        [new Message('answer.depth-not-yet', ['soil' => Amount::length($soil)]), ...null === $why ? [] : [$why]],
                        [],
                        $terms,
                        $trial->runs,
                    );
                }
                $life = $judgement->margin(MarginId::Soil);
                $forbids = Trial::forbids($judgement, Asked::BedDepth);
                $thick = Decimal::trimmed(100 * $soil, 1);
                $over = Decimal::trimmed(100 * $cap, 1);
                $name = "$thick cm under $over cm";
                if ($life->measure < $this->years) {
                    $why = new Message('answer.depth-short', ['years' => $this->years]);
                    $terms[] = new Term($name, 'lasts '.$life->shown);
                    break;
                }
                if (null === $forbids && MarginState::Holds === $judgement->margin(MarginId::Cap)->state) {
                    return Answer::found(
                        new Message('answer.depth', ['soil' => Amount::length($soil, $cap), 'cap' => Amount::length($cap, $soil)]),
                        $changes,
                        [...$terms, new Term($name, 'holds')],
                        $trial->runs,
                    );
                }
                $why = $forbids->message ?? new Message('answer.depth-thin-cap');
                $terms[] = new Term($name, null === $forbids ? 'too thin a cap' : 'fails');
            }
        }

        return Answer::none($why ?? Message::text($trial->refusal), $terms, $trial->runs);
    }

    /**
     * Caps that are tried, as multiples of the soil: the plan's own first, which is its method's, then thicker ones.
     *
     * @return list<float>
     */
    private static function caps(Plan $plan): array
    {
        $soil = $plan->bed->soil?->meanDepth() ?? 0.0;
        $own = $soil > 0 ? max(1.0, round(($plan->bed->cap?->meanDepth() ?? 0.0) / $soil, 2)) : 1.0;

        return [$own, ...array_values(array_filter(self::CAPS, static fn (float $times): bool => $times > $own))];
    }
}
