<?php

declare(strict_types=1);

namespace Olvek\Core\Simulation\Run;

/**
 * Writes down where nitrogen goes on one day of a run, in double entry: every flow leaves one store and enters another.
 *
 * Most flows are read off the stores before and after a process; those of the hours are reported by them.
 */
final class FlowRecorder
{
    /**
     * Stores within the tank.
     *
     * @api
     */
    public const WITHIN = ['animals', 'mulm', 'soil', 'ammonia', 'plants', 'algae', 'nitrate'];
    /** mg N below which a flow is rounding. */
    private const NOISE = 1e-9;

    /** @var list<Flow> */
    public array $flows = [];
    /** @var array<string, float> mg N that each store held before the day */
    public array $before = [];
    /** @var array<string, float> and after it */
    public array $after = [];

    private bool $on = false;
    /** @var array<string, float> */
    private array $last = [];

    public function __construct(public readonly int $day)
    {
    }

    public function begin(int $n, State $s): void
    {
        $this->on = $n === $this->day;
        if ($this->on) {
            $this->last = $this->before = self::stores($s, null);
        }
    }

    /**
     * Books what changed since the last mark as the doing of one process.
     *
     * @param Day|null $day where what was freed waits in it to reach the water
     */
    public function mark(string $what, State $s, ?Day $day, string $from = 'tap', string $to = 'drain'): void
    {
        if (!$this->on) {
            return;
        }
        $now = self::stores($s, $day);
        $given = $got = [];
        foreach ($now as $store => $held) {
            $change = $held - $this->last[$store];
            if ($change < 0) {
                $given[$store] = -$change;
            } elseif ($change > 0) {
                $got[$store] = $change;
            }
        }
        $over = array_sum($got) - array_sum($given);
        if ($over > 0) {
            $given[$from] = $over;
        } elseif ($over < 0) {
            $got[$to] = -$over;
        }
        $whole = array_sum($got);
        foreach ($given as $source => $gives) {
            foreach ($got as $sink => $gets) {
                $this->add($source, $sink, $whole > 0 ? $gives * $gets / $whole : 0.0, $what);
            }
        }
        $this->last = $now;
    }

    /** Books what the hours report. */
    public function hours(Day $day): void
    {
        if (!$this->on) {
            return;
        }
        $eaten = $day->plantNitrogen + $day->algaeNitrogen;
        foreach (['plants' => $day->plantNitrogen, 'algae' => $day->algaeNitrogen] as $who => $amount) {
            $share = $eaten > 0 ? $amount / $eaten : 0.0;
            $this->add('ammonia', $who, $day->ammoniumTaken * $share, 'uptake');
            $this->add('nitrate', $who, $amount - $day->ammoniumTaken * $share, 'uptake');
        }
        $this->add('ammonia', 'nitrate', $day->oxidisedFirst, 'bacteria');
        $this->add('nitrate', 'air', $day->denitrified, 'denitrification');
    }

    /** Books what fell to the bed after the hours: shed leaves, dead algae and animals. */
    public function falling(State $s, Day $day): void
    {
        if (!$this->on) {
            return;
        }
        $now = self::stores($s, null);
        $this->add('plants', 'mulm', $this->last['plants'] + $day->plantNitrogen + $day->rooted - $now['plants'], 'shed leaves');
        $this->add('algae', 'mulm', $this->last['algae'] + $day->algaeNitrogen - $now['algae'], 'dead algae');
        $this->add('animals', 'mulm', $this->last['animals'] - $now['animals'], 'deaths');
        $this->last = $now;
    }

    public function end(State $s): void
    {
        if ($this->on) {
            $this->after = self::stores($s, null);
        }
    }

    private function add(string $from, string $to, float $amount, string $what): void
    {
        if ($amount > self::NOISE) {
            $this->flows[] = new Flow($from, $to, $amount, $what);
        }
    }

    /** @return array<string, float> mg N */
    private static function stores(State $s, ?Day $day): array
    {
        return [
            'animals' => array_sum($s->animals) * MassBalance::ANIMAL_NITROGEN,
            'mulm' => $s->scraps->nitrogen + $s->droppings->nitrogen + $s->litter->nitrogen,
            'soil' => $s->poreNitrogen + $s->soilNitrate + $s->flushNitrogen + $s->tabNitrogen + $s->readyNitrogen + $s->slowNitrogen,
            'ammonia' => $s->ammonia + (null === $day ? 0.0 : $day->ammoniaIn),
            'plants' => array_sum($s->leafNitrogen),
            'algae' => array_sum($s->algaeNitrogen),
            'nitrate' => $s->nitrite + $s->nitrate,
        ];
    }
}
