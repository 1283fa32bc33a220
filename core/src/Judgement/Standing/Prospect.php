<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Standing;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Judgement\Margin\Harm\Ahead;
use Olvek\Core\Judgement\Margin\Harm\Forecast;
use Olvek\Core\Judgement\Margin\Harm\Harm;
use Olvek\Core\Judgement\Margin\Harm\HarmId;
use Olvek\Core\Judgement\Margin\Harm\Harms;
use Olvek\Core\Judgement\Margin\MarginState;
use Olvek\Core\Judgement\Margin\Outlook;
use Olvek\Core\Keeping\Estimation\Lived;
use Olvek\Core\Simulation\Run\Snapshot;

/** What one simulated tank comes to from a day on. */
final readonly class Prospect
{
    /**
     * @param list<Harm>   $harms that weigh anything at all
     * @param list<Ahead>  $ahead what will be seen
     * @param list<string> $kinds common names of the animals that are in
     */
    private function __construct(
        public int $day,
        public array $harms,
        public array $ahead,
        public array $kinds,
        public Snapshot $snapshot,
    ) {
    }

    public static function of(Lived $lived, int $day): self
    {
        $outlook = new Outlook($lived->varied, $lived->trace, UnitSystem::Metric, $lived->parameters, $day);
        $kinds = [];
        foreach ($outlook->present->groups as $group) {
            if ($group->day <= $day) {
                $kinds[$group->kind->id] = $group->kind->common;
            }
        }

        return new self(
            $day,
            array_values(array_filter(Harms::of($outlook), self::isNews(...))),
            Forecast::of($outlook),
            array_values($kinds),
            $lived->trace->on($day),
        );
    }

    /** Whoever has water in a tank has settled for its glass, where that is only on the thin side. */
    private static function isNews(Harm $harm): bool
    {
        return $harm->amount > 0.0 && (HarmId::Breakage !== $harm->id || MarginState::Fails === $harm->state);
    }

    /** Whether nothing comes to harm. */
    public function isSound(): bool
    {
        return MarginState::Fails !== Harms::state($this->harms);
    }
}
