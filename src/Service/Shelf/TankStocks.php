<?php

declare(strict_types=1);

namespace Olvek\Service\Shelf;

use Olvek\Core\Keeping\Log\Stock;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Account\Today;
use Olvek\Service\Editing\TankEditor;
use Olvek\Service\Log\Logbook;
use Olvek\Service\Log\LogReader;
use Olvek\Service\Site\ResultCache;
use Olvek\Service\Tank\Tank;
use Olvek\Service\Tank\TankRepository;

/**
 * What is in each of a keeper's filled tanks, and what was spent on it: kept by tank until its plan or its logbook change, or a day comes
 * on which the plan brings something in.
 *
 * @phpstan-type TankStock array{stamp: string, on: int, until: int, kinds: list<array{bool, string, string, int}>, spent: float}
 */
final readonly class TankStocks
{
    private const DAYS = 60;

    public function __construct(
        private TankRepository $tanks,
        private TankEditor $editor,
        private LogReader $logReader,
        private Today $today,
        private ResultCache $cache,
    ) {
    }

    /** @return list<array{Tank, TankStock}> whether animals, id and name of each kind, and how many */
    public function of(Keeper $keeper): array
    {
        $name = 'stock.'.$keeper->id()->toBase58();
        /** @var array<string, TankStock> $known */
        $known = $this->cache->known($name) ?? [];
        $today = $this->today->of($keeper);
        $tanks = $this->tanks->active($keeper);
        $filled = array_intersect_key($this->tanks->filledDays($keeper), $tanks);
        $stocks = $all = [];
        foreach (array_intersect_key($tanks, $filled) as $id => $tank) {
            $day = max(0, Today::between($filled[$id], $today));
            $stamp = hash('xxh128', implode("\n", [$tank->planHash(), $this->logReader->mark($tank), $filled[$id]->format('Ymd')]));
            $has = $known[$id] ?? null;
            $stocks[$id] = null !== $has && $has['stamp'] === $stamp && $day >= $has['on'] && $day < $has['until']
                ? $has
                : $this->count($tank, $filled[$id], $day, $stamp);
            $all[] = [$tank, $stocks[$id]];
        }
        if ($stocks !== $known) {
            $this->cache->put($name, $stocks, self::DAYS * ResultCache::DAY);
        }

        return $all;
    }

    /** @return TankStock */
    private function count(Tank $tank, \DateTimeImmutable $filled, int $day, string $stamp): array
    {
        $plan = $this->editor->plan($this->tanks->head($tank));
        $stock = new Stock($plan, $this->logReader->since($tank, $filled, $day), $day);
        $kinds = [];
        foreach ($stock->groups() as $group) {
            $kinds[] = [true, $group->kind->id, $group->kind->common, $stock->heads($group) ?? 0];
        }
        foreach ($stock->clumps() as $clump) {
            $kinds[] = [false, $clump->kind->id, $clump->kind->common, $stock->pieces($clump) ?? 0];
        }

        return ['stamp' => $stamp, 'on' => $day, 'until' => self::next($plan, $day), 'kinds' => $kinds, 'spent' => $stock->spent()];
    }

    /** Day on which the plan next brings in animals or plants. */
    private static function next(Plan $plan, int $day): int
    {
        $days = array_map(static fn ($any): int => $any->day, [...$plan->groups, ...$plan->clumps]);

        return min([\PHP_INT_MAX, ...array_filter($days, static fn (int $on): bool => $on > $day)]);
    }
}
