<?php

declare(strict_types=1);

namespace Olvek\Core\Simulation\Run;

/**
 * Days that are leapt over: where a tank changes little and steadily from one day to the next, the days that follow are taken to go on as
 * the last one went. P: projective integration, Gear & Kevrekidis (2003), SIAM J. Sci. Comput. 24; one day between two leaps is run for
 * nothing but to let what is quick settle, and with it up to four days may be leapt without anything swinging up.
 *
 * All amounts move together and in a straight line, and the books with them, so nothing is lost or won. What it does move is the day on
 * which something is cut, and by that the numbers of single days.
 *
 * @internal
 */
final class Leap
{
    /** Days leapt at most; more would swing (k² < 4k + 4 for modes that decay by themselves). */
    private const FARTHEST = 4;
    /** Share of itself by which anything may change over a leap. J: margins keep their states by it, and their places to a thirtieth. */
    private const STEADY = 0.2;
    /** pH by which water may change over a leap, of which a share of itself would say little. J. */
    private const STEADY_PH = 0.1;
    /** Share of itself to which anything may fall over a leap, and to which what is next to nothing may. J. */
    private const LEFT = 0.5;
    private const NEXT_TO_NOTHING = 0.1;
    /** Share of its floor below which what falls stands instead: that its last trace is gone is no news. J. */
    private const TRACE = 1e-4;
    /** Below so much of it a change of something is no news: mg/L (meq/L, °dH) of what is in the water. J. */
    private const IN_WATER = [
        'ammonia' => 0.05,
        'nitrite' => 0.05,
        'nitrate' => 0.2,
        'phosphorus' => 0.05,
        'potassium' => 0.5,
        'iron' => 0.02,
        'carbon' => 1.0,
        'oxygen' => 1.0,
        'alkalinity' => 0.1,
        'hardness' => 1.0,
        'sodium' => 5.0,
        'chloride' => 5.0,
        'sulphate' => 5.0,
        'calcium' => 1.0,
        'tannin' => 0.5,
        'silicon' => 0.3,
    ];
    /** L, mg, g, meq, pH of all else. J. */
    private const ELSEWHERE = [
        'volume' => 1.0,
        'lime' => 1.0,
        'headOxygen' => 5.0,
        'headCarbon' => 5.0,
        'poreNitrogen' => 1.0,
        'soilNitrate' => 1.0,
        'flushNitrogen' => 1.0,
        'tabNitrogen' => 1.0,
        'readyNitrogen' => 1.0,
        'slowNitrogen' => 1.0,
        'quickCarbon' => 10.0,
        'slowCarbon' => 10.0,
        'soilPhosphorus' => 1.0,
        'soilPotassium' => 1.0,
        'soilIron' => 1.0,
        'fat' => 1.0,
        'debt' => 1.0,
        'acidity' => 1.0,
        'meanAmmonia' => 0.05,
        'ammoniaOxidisers' => 0.1,
        'nitriteOxidisers' => 0.1,
        'pH' => 1.0,
    ];
    /** g or mg of each plant and alga, g and heads of each group. J. */
    private const LISTS = [
        'biomass' => 0.05,
        'leafNitrogen' => 1.0,
        'algae' => 0.05,
        'algaeNitrogen' => 1.0,
        'animals' => 0.1,
        'heads' => 0.5,
    ];
    private const STORES = ['scraps', 'droppings', 'litter'];
    private const ELEMENTS = ['carbon', 'nitrogen', 'phosphorus', 'potassium', 'iron'];
    /** mg of each element in reserves and in what lies on the bed. J. */
    private const LYING = 5.0;
    private const BOOKS = ['nitrogen', 'phosphorus', 'potassium', 'iron', 'carbon', 'oxygen', 'charge', 'hardness'];

    /** @var list<float> */
    private array $floors = [];
    /** @var list<float> amounts at the end of the day before; none where that does not count */
    private array $before = [];
    private float $pHBefore = 0.0;
    /** @var array<int, float> amounts as they stand, through a leap too */
    private array $now = [];
    /** @var list<float> */
    private array $bookedBefore = [];
    /** @var list<float> by which each amount changed over the last day, and the books with them */
    private array $change = [];
    /** @var list<float> */
    private array $booked = [];

    public function __construct(State $s)
    {
        foreach (self::IN_WATER as $floor) {
            $this->floors[] = $floor * $s->volume;
        }
        foreach (self::ELSEWHERE as $floor) {
            $this->floors[] = $floor;
        }
        foreach (self::LISTS as $name => $floor) {
            foreach ($s->$name as $_) {
                $this->floors[] = $floor;
            }
        }
        for ($n = 3 * \count($s->biomass) + \count(self::STORES) * \count(self::ELEMENTS); $n > 0; --$n) {
            $this->floors[] = self::LYING;
        }
    }

    /**
     * Takes note of how a day ended.
     *
     * @param bool $quiet nothing happened on it
     *
     * @return int days that may be leapt from here; 0 for none
     */
    public function steady(State $s, MassBalance $books, bool $quiet): int
    {
        $now = self::read($s);
        $before = $this->before;
        $this->before = $this->now = $now;
        $booked = self::booked($books);
        $bookedBefore = $this->bookedBefore;
        $this->bookedBefore = $booked;
        $pH = abs($s->pH - $this->pHBefore);
        $this->pHBefore = $s->pH;
        if ([] === $before || !$quiet) {
            return 0;
        }
        $most = self::STEADY / self::FARTHEST;
        $days = $pH * self::FARTHEST > self::STEADY_PH ? self::STEADY_PH / $pH : (float) self::FARTHEST;
        if ($days < 1) {
            return 0;
        }
        $change = [];
        foreach ($now as $n => $amount) {
            $by = $amount - $before[$n];
            $floor = $this->floors[$n];
            if ($by < 0 && $amount < self::TRACE * $floor) {
                $by = 0.0;
            }
            $change[] = $by;
            if (0.0 === $by) {
                continue;
            }
            $rate = abs($by) / ($amount + $floor);
            if ($rate > $most) {
                $most = $rate;
            }
            // Nothing falls below nothing.
            if ($by < 0) {
                $may = ($amount < $floor ? 1 - self::NEXT_TO_NOTHING : 1 - self::LEFT) * $amount;
                if (-$by * $days > $may) {
                    $days = $may / -$by;
                    if ($days < 1) {
                        return 0;
                    }
                }
            }
        }
        $this->change = $change;
        $this->booked = array_map(static fn (float $a, float $b): float => $a - $b, $booked, $bookedBefore);

        return (int) min($days, self::STEADY / $most);
    }

    /** Whether the day that comes may be gone by: the one after a leap is not, since what is quick must settle first. */
    public function isReady(): bool
    {
        return [] !== $this->before;
    }

    /** Goes on for a day as the last one went. */
    public function day(State $s, MassBalance $books): void
    {
        foreach ($this->change as $n => $by) {
            $this->now[$n] += $by;
        }
        self::write($s, $this->now);
        $this->before = [];
        foreach (self::BOOKS as $n => $name) {
            $books->$name += $this->booked[$n];
        }
    }

    /** @return list<float> */
    private static function read(State $s): array
    {
        $all = [];
        foreach (self::IN_WATER as $name => $_) {
            $all[] = $s->$name;
        }
        foreach (self::ELSEWHERE as $name => $_) {
            $all[] = $s->$name;
        }
        foreach (self::LISTS as $name => $_) {
            foreach ($s->$name as $amount) {
                $all[] = $amount;
            }
        }
        foreach ($s->reserves as $reserve) {
            foreach ($reserve as $amount) {
                $all[] = $amount;
            }
        }
        foreach (self::STORES as $name) {
            foreach (self::ELEMENTS as $element) {
                $all[] = $s->$name->$element;
            }
        }

        return $all;
    }

    /** @param array<int, float> $all */
    private static function write(State $s, array $all): void
    {
        $n = -1;
        foreach (self::IN_WATER as $name => $_) {
            $s->$name = $all[++$n];
        }
        foreach (self::ELSEWHERE as $name => $_) {
            $s->$name = $all[++$n];
        }
        foreach (self::LISTS as $name => $_) {
            $list = $s->$name;
            foreach ($list as $i => $_amount) {
                $list[$i] = $all[++$n];
            }
            $s->$name = $list;
        }
        foreach ([0, 1, 2] as $element) {
            $list = $s->reserves[$element];
            foreach ($list as $i => $_amount) {
                $list[$i] = $all[++$n];
            }
            $s->reserves[$element] = $list;
        }
        foreach (self::STORES as $name) {
            foreach (self::ELEMENTS as $element) {
                $s->$name->$element = $all[++$n];
            }
        }
    }

    /** @return list<float> */
    private static function booked(MassBalance $books): array
    {
        $all = [];
        foreach (self::BOOKS as $name) {
            $all[] = $books->$name;
        }

        return $all;
    }
}
