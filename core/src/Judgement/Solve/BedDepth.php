<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Solve;

use Olvek\Core\Basis\TimeLimit\NoTimeLimit;
use Olvek\Core\Basis\TimeLimit\OutOfTime;
use Olvek\Core\Basis\TimeLimit\TimeLimit;
use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\Words;
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
            return Answer::none('the bed has no soil, or no cap to hold it: choose both first.', [], 0);
        }
        $trial = new Trial($this->editor, $patience);
        $terms = [];
        $why = null;
        for ($soil = self::THINNEST; $soil <= self::THICKEST + 1e-9; $soil += self::STEP) {
            foreach (self::CAPS as $times) {
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
                        \sprintf(
                            'None found yet: all up to %s cm of soil were tried. %s',
                            Decimal::trimmed(100 * $soil, 1),
                            null === $why ? '' : Words::capital(rtrim($why, '.')).'.',
                        ),
                        [],
                        $terms,
                        $trial->runs,
                    );
                }
                $life = $judgement->margin(MarginId::Soil);
                $failing = Trial::failing($judgement, Asked::BedDepth->margins());
                $thick = Decimal::trimmed(100 * $soil, 1);
                $over = Decimal::trimmed(100 * $cap, 1);
                $name = "$thick cm under $over cm";
                if ($life->measure < $this->years) {
                    $why = \sprintf(
                        'the soil would not last %s years: %s',
                        Decimal::trimmed($this->years, 1),
                        Words::small($life->sentence),
                    );
                    $terms[] = new Term($name, 'lasts '.$life->shown);
                    break;
                }
                if (null === $failing && MarginState::Holds === $judgement->margin(MarginId::Cap)->state) {
                    return Answer::found(
                        "Soil $thick cm deep under $over cm of cap: it lasts $life->shown and leaks {$judgement->margin(
                            MarginId::Ammonia,
                        )->shown} at most.",
                        $changes,
                        [...$terms, new Term($name, 'holds')],
                        $trial->runs,
                    );
                }
                $why = Trial::reason($failing ?? $judgement->margin(MarginId::Cap));
                $terms[] = new Term($name, $why);
            }
        }

        return Answer::none($why ?? Words::small($trial->refusal), $terms, $trial->runs);
    }
}
