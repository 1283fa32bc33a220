<?php

declare(strict_types=1);

namespace Olvek\Core\Margin;

use Olvek\Core\Build\Quantities;
use Olvek\Core\Plan\Plan;
use Olvek\Core\Run\Event\Event;
use Olvek\Core\Run\Parameters;
use Olvek\Core\Run\Runner;
use Olvek\Core\Run\Trace;
use Olvek\Core\Run\UsualCare;
use Olvek\Core\Unit\UnitSystem;

/** Judges a plan from a run of its first year with usual care: margins, verdict. Pure: the same plan always gets the same judgement. */
final class Judge
{
    public const FIRST_YEAR = 365;

    /** In the order of the trade: water, plants, bed, animals. @var list<class-string<Criterion>> */
    private const CRITERIA = [
        Ammonia::class, Nitrite::class, Nitrate::class, DawnOxygen::class, PhDrift::class, MineralCreep::class,
        PlantedShare::class, LitClumps::class, FedPlants::class, CarbonSupply::class, Algae::class,
        CapOverSoil::class, BedHealth::class, SoilLife::class,
        Room::class, Warmth::class, StockBalance::class, Losses::class,
    ];

    /** @param list<Event> $events beside what the plan and usual care bring */
    public static function judge(Plan $plan, UnitSystem $units = UnitSystem::Metric, Parameters $parameters = new Parameters(), int $days = self::FIRST_YEAR, array $events = []): Judgement
    {
        return self::fromTrace($plan, (new Runner($plan, $parameters))->run($days, [...UsualCare::events(), ...$events]), $units, $parameters);
    }

    /** Judges what a run with these parameters came to. */
    public static function fromTrace(Plan $plan, Trace $trace, UnitSystem $units = UnitSystem::Metric, Parameters $parameters = new Parameters()): Judgement
    {
        $outlook = new Outlook($plan, $trace, $units, $parameters);
        $margins = array_map(static fn (string $criterion): Margin => $criterion::margin($outlook), self::CRITERIA);
        $state = array_reduce($margins, static fn (State $s, Margin $m): State => $s->worse($m->state), State::Good);

        return new Judgement($state, self::verdict($plan, $margins, $state), $margins, $trace, Quantities::of($plan));
    }

    /** @param non-empty-list<Margin> $margins */
    private static function verdict(Plan $plan, array $margins, State $state): string
    {
        if ([] === $plan->clumps) {
            return 'A tank without plants cannot balance: add some, and Olvek will say what they can carry.';
        }
        $worst = $margins[0];
        $failing = 0;
        foreach ($margins as $margin) {
            $failing += State::Act === $margin->state ? 1 : 0;
            if ($margin->state->rank() > $worst->state->rank() || ($margin->state === $worst->state && State::Good !== $state && $margin->position() < $worst->position())) {
                $worst = $margin;
            }
        }
        $stock = array_column($margins, null, 'id')['stock'];

        return match ($state) {
            State::Good => 'This should hold. '.(null === $plan->firstAnimals() ? 'Add animals to see whether it balances.' : $stock->sentence),
            State::Watch => 'This can work, but '.lcfirst($worst->name).' is tight. '.$worst->sentence,
            State::Act => (1 === $failing ? 'Not yet. ' : "Not yet: $failing margins fail. ").$worst->sentence,
        };
    }
}
