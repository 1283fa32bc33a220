<?php

declare(strict_types=1);

namespace Olvek\Page\Today;

use Olvek\Core\Judgement\Standing\Standing;
use Olvek\Core\Judgement\Start\FirstWeeks;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Snapshot;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Account\Today;
use Olvek\Service\Almanac\Almanac;
use Olvek\Service\Device\Devices;
use Olvek\Service\Drawing\Elevation;
use Olvek\Service\Editing\TankEditor;
use Olvek\Service\Estimate\Estimates;
use Olvek\Service\Estimate\Standings;
use Olvek\Service\Estimate\TankHistory;
use Olvek\Service\Log\EntryRepository;
use Olvek\Service\Tank\Tank;
use Olvek\Service\Tank\TankRepository;
use Olvek\Service\Weeks\Situations;

/**
 * Gathers what is known of a tank at once: how it looks and stands, what is due, its start; and its estimate once that has been worked out.
 */
final readonly class TodayPage
{
    /** Lines of the logbook, and things due, that are shown. */
    private const NEWEST = 6;
    private const MOST_DUE = 6;

    public function __construct(
        private TankRepository $tanks,
        private TankEditor $editor,
        private EntryRepository $entries,
        private Estimates $estimates,
        private Standings $standings,
        private Situations $situations,
        private Devices $devices,
        private Almanac $almanac,
        private WeeksPage $weeks,
        private EstimateView $view,
        private Today $today,
    ) {
    }

    /**
     * @param array<string, string> $typed  what was refused, by field
     * @param array<string, string> $errors why, by field
     *
     * @return array<string, mixed>
     */
    public function all(Tank $tank, Keeper $keeper, array $typed = [], array $errors = [], string $notice = ''): array
    {
        $situation = $this->situations->of($tank, $keeper);
        $isStart = null === $situation || [] !== $errors || FirstWeeks::of($situation)->isStart();

        return [
            ...$this->asItIs($tank, $keeper),
            'today' => $this->today->of($keeper),
            'notice' => $notice,
            'due' => $this->almanac->of($keeper, [$tank->id()->toRfc4122()], self::MOST_DUE),
            'entries' => $this->entries->newest($tank, self::NEWEST),
            'start' => $isStart ? $this->weeks->all($tank, $keeper, $situation, $typed, $errors) : null,
            'devices' => array_filter($this->devices->wired($tank), static fn (array $d): bool => '' !== (string) $d['device']),
        ];
    }

    /** @return array<string, mixed> what an estimate changes */
    public function asItIs(Tank $tank, Keeper $keeper): array
    {
        $plan = $this->editor->plan($this->tanks->head($tank));
        $life = $this->estimates->life($tank, $keeper);
        $standing = $this->standings->of($tank, $keeper);

        return [
            'tank' => $tank,
            'life' => $life,
            ...$this->estimated($life, $keeper),
            'standing' => $standing,
            'drawing' => null === $standing
                ? Elevation::plain($plan, Snapshot::planned($plan), $keeper->units())
                : Elevation::running($plan, $standing, $keeper->units()),
            'inhabitants' => null === $standing ? [] : self::inhabitants($plan, $standing),
        ];
    }

    /** @return array<string, mixed> what is shown of an estimate, where it has been worked out */
    private function estimated(?TankHistory $life, Keeper $keeper): array
    {
        $estimate = true === $life?->isRun() ? $this->estimates->known($life) : null;

        return null === $estimate || null === $life ? ['estimate' => null] : $this->view->of($life, $estimate, $keeper);
    }

    /** @return array<string, int> heads by name, those that are in */
    private static function inhabitants(Plan $plan, Standing $standing): array
    {
        $heads = [];
        foreach ($plan->groups as $i => $group) {
            $heads[$group->kind->common] = ($heads[$group->kind->common] ?? 0) + (int) round($standing->snapshot->heads[$i] ?? 0.0);
        }

        return array_filter($heads, static fn (int $n): bool => $n > 0);
    }
}
