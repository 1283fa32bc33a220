<?php

declare(strict_types=1);

namespace Olvek\Bench;

use Olvek\Bench\Drawing\YearChart;
use Olvek\Core\Margin\Gate;
use Olvek\Core\Margin\Judgement;
use Olvek\Core\Margin\Margin;
use Olvek\Core\Margin\State;
use Olvek\Core\Margin\Sureness;
use Olvek\Core\Plan\Plan;

/** What of a judgement the Bench shows, small enough to be kept. */
final readonly class Outcome
{
    /** @param non-empty-list<Margin> $margins */
    private function __construct(public State $state, public string $verdict, public array $margins, public int $hardestDay, public YearChart $year, public Album $album, public ?Sureness $sureness = null)
    {
    }

    public static function of(Judgement $judgement, Plan $plan): self
    {
        return new self($judgement->state, $judgement->verdict, $judgement->margins, $judgement->hardestDay(), YearChart::of($judgement->trace, Gate::of($plan, $judgement->trace), $plan), Album::of($judgement->trace));
    }

    /** More than these are not read. */
    private const MOST_DIFFERENCES = 8;

    /** What the margins are about, in the order in which they are shown. */
    private const GROUPS = [
        'water' => ['ammonia', 'nitrite', 'nitrate', 'oxygen', 'ph', 'minerals', 'carbon', 'stock'],
        'leaf' => ['mass', 'light', 'fed', 'algae'],
        'soil' => ['bed', 'soil'],
        'animal' => ['room', 'waters', 'temperature', 'losses'],
        'custom' => ['planted', 'cap'],
    ];

    /** @return array<string, list<Margin>> margins by the stratum that they are about */
    public function groups(): array
    {
        $byId = array_column($this->margins, null, 'id');

        return array_map(static fn (array $ids): array => array_values(array_intersect_key($byId, array_flip($ids))), self::GROUPS);
    }

    /** @return list<array{name: string, before: string, after: string}> margins that read otherwise than they did, those that moved most first */
    public function differences(self $before): array
    {
        $moved = [];
        foreach ($this->margins as $margin) {
            $old = $before->margin($margin->id);
            if (null !== $old && $old->shown !== $margin->shown) {
                $moved[] = [abs($margin->position() - $old->position()), ['name' => lcfirst($margin->name), 'before' => $old->shown, 'after' => $margin->shown]];
            }
        }
        usort($moved, static fn (array $a, array $b): int => $b[0] <=> $a[0]);

        return array_column(\array_slice($moved, 0, self::MOST_DIFFERENCES), 1);
    }

    /** The same outcome, and how sure it is. */
    public function with(Sureness $sureness): self
    {
        return new self($this->state, $this->verdict, array_map(static fn (Margin $m): Margin => isset($sureness->spreads[$m->id]) ? $m->withSpread($sureness->spreads[$m->id]) : $m, $this->margins), $this->hardestDay, $this->year, $this->album, $sureness);
    }

    /** True once it is known how sure the margins are. */
    public function isSure(): bool
    {
        return null !== $this->sureness;
    }

    public function margin(string $id): ?Margin
    {
        return array_column($this->margins, null, 'id')[$id] ?? null;
    }
}
