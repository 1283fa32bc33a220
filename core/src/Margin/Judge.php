<?php

declare(strict_types=1);

namespace Olvek\Core\Margin;

use Olvek\Core\Build\Quantities;
use Olvek\Core\Plan\Plan;
use Olvek\Core\Unit\UnitSystem;

/** Judges a plan: ledger, margins, verdict. Pure: the same plan always gets the same judgement. */
final class Judge
{
    /**
     * @param int|null $day day whose ledger is wanted; the hardest day where null
     */
    public static function judge(Plan $plan, UnitSystem $units = UnitSystem::Metric, ?int $day = null): Judgement
    {
        $account = new Account($plan);
        $worst = Uptake::worst($plan, $account);
        $margins = [
            Uptake::margin($plan, $worst),
            PlantedShare::margin($plan),
            CapOverSoil::margin($plan, $account, $units),
            LitClumps::margin($plan),
            Room::margin($plan, $units),
        ];
        $state = array_reduce($margins, static fn (State $s, Margin $m): State => $s->worse($m->state), State::Good);
        $ledger = null === $day ? $worst : $account->onDay((float) $day);

        return new Judgement($state, self::verdict($plan, $margins, $state), $margins, $ledger, ClumpLight::onDay($plan, $ledger->day), Quantities::of($plan));
    }

    /** @param non-empty-list<Margin> $margins */
    private static function verdict(Plan $plan, array $margins, State $state): string
    {
        if ([] === $plan->clumps) {
            return 'A tank without plants cannot balance: add some, and Olvek will say what they can carry.';
        }
        $worst = $margins[0];
        foreach ($margins as $margin) {
            if ($margin->state->rank() > $worst->state->rank()) {
                $worst = $margin;
            }
        }
        $uptake = $margins[0];
        $carry = null === $plan->firstAnimals()
            ? 'Add animals to see whether it balances.'
            : $uptake->sentence;

        return match ($state) {
            State::Good => 'This should hold. '.$carry,
            State::Watch => 'This can work, but '.lcfirst($worst->name).' is tight. '.$worst->sentence,
            State::Act => 'Not yet. '.$worst->sentence,
        };
    }
}
