<?php

declare(strict_types=1);

namespace Olvek\Core\Keeping\Estimation;

/** One of a tank's own ways, as a factor on what is usual: how its plants grow now, how much is fed. */
final readonly class Habit
{
    /** Share of its range that must be gone for readings to have told anything of it. J. */
    private const TOLD = 0.15;

    /**
     * @param string                     $words    what it is
     * @param array{float, float, float} $expected low, middle, high before the readings
     * @param array{float, float, float} $learned  after them
     */
    private function __construct(public string $words, public array $expected, public array $learned)
    {
    }

    /**
     * @param list<array<string, float>> $before scores of the tanks before the readings
     * @param list<array<string, float>> $after  and after them
     *
     * @return list<self>
     */
    public static function among(Estimator $estimator, array $before, array $after): array
    {
        $before = array_map($estimator->inputs(...), $before);
        $after = array_map($estimator->inputs(...), $after);
        $habits = [];
        foreach (self::named($estimator) as $factor => $words) {
            $habits[] = new self($words, Estimate::among(array_column($before, $factor)), Estimate::among(array_column($after, $factor)));
        }

        return $habits;
    }

    public function isTold(): bool
    {
        return $this->learned[2] - $this->learned[0] < (1 - self::TOLD) * ($this->expected[2] - $this->expected[0]);
    }

    /** @return array<'evaporation'|'food'|'growth'|'light'|'soil', string> by factor, what it is */
    private static function named(Estimator $estimator): array
    {
        $plan = $estimator->plan;

        return array_filter([
            'growth' => [] === $plan->clumps ? '' : 'how the plants grow',
            'food' => $plan->feed->grams > 0 ? 'food given, to what the plan says' : '',
            'light' => 'light that reaches the water, to what the plan says',
            'evaporation' => 'what dries up',
            'soil' => null === $plan->bed->soil ? '' : 'what the soil gave off at first',
        ]);
    }
}
