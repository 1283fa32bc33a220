<?php

declare(strict_types=1);

namespace Olvek\Page\Log;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\Words;
use Olvek\Core\Keeping\Log\DeathCause;
use Olvek\Core\Keeping\Log\LogAction;
use Olvek\Core\Keeping\Log\Sign;
use Olvek\Core\Keeping\Log\ToRead;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Account\Today;
use Olvek\Service\Build\LastTest;
use Olvek\Service\Editing\TankEditor;
use Olvek\Service\Log\Entry;
use Olvek\Service\Log\EntryKind;
use Olvek\Service\Log\EntryRepository;
use Olvek\Service\Log\Logbook;
use Olvek\Service\Tank\Tank;
use Olvek\Service\Tank\TankRepository;

/** Gathers what the page of a tank's logbook shows. */
final readonly class LogPage
{
    /** Lines a page. */
    private const LINES = 40;

    public function __construct(
        private EntryRepository $entries,
        private Today $today,
        private TankRepository $tanks,
        private TankEditor $editor,
        private LastTest $lastTest,
    ) {
    }

    /**
     * @param int                   $from  newest lines that are left out
     * @param array<mixed>          $sent  what was refused, as it was sent
     * @param array<string, string> $errors why, by field
     *
     * @return array<string, mixed>
     */
    public function all(Tank $tank, Keeper $keeper, int $from, array $sent = [], array $errors = []): array
    {
        $plan = $this->editor->plan($this->tanks->head($tank));
        $filled = $tank->filledOn();
        $today = $this->today->of($keeper);
        $sections = [];
        foreach (LogAction::of($plan) as $action) {
            $units = $keeper->units();
            $sections[$action->section][] = [
                'action' => $action,
                'id' => $action->id(),
                'shown' => null === $action->amount ? '' : $action->number?->show($action->amount, $units) ?? '',
                'said' => null === $action->amount ? '' : $action->number?->say($action->amount, $units) ?? '',
                'unit' => $action->number?->unit($units)->symbol() ?? '',
            ];
        }
        $signs = [];
        foreach (Sign::cases() as $sign) {
            $signs[$sign->section()][] = $sign;
        }
        $count = $tank->logLines();

        return [
            'tank' => $tank,
            'plan' => $plan,
            'filled' => $filled,
            'today' => $today,
            'day' => null === $filled ? null : Today::between($filled, $today),
            'zone' => $keeper->zone()->getName(),
            'toRead' => self::toRead($plan, $keeper),
            'sections' => $sections,
            'causes' => DeathCause::cases(),
            'poison' => $this->lastTest->warning($tank),
            'signs' => $signs,
            'rows' => self::rows($this->entries->newest($tank, self::LINES, $from)),
            'older' => $from + self::LINES < $count ? $from + self::LINES : null,
            'newer' => $from > 0 ? max(0, $from - self::LINES) : null,
            'count' => $count,
            'sent' => $sent,
            'errors' => $errors,
        ];
    }

    /**
     * @return array<string, array<int|string, mixed>> by section: of the water a list, of plants and animals a list for each of them by
     *     its name;
     *     of each its id, label, unit and steps
     */
    private static function toRead(Plan $plan, Keeper $keeper): array
    {
        $sections = [];
        foreach (ToRead::of($plan) as $id => $one) {
            $field = [
                'id' => $id,
                'label' => Words::capital($one->measure->label()),
                'sign' => $keeper->kit()->unit($one->measure, $keeper->units()),
                'steps' => array_map(
                    static fn (float $step): string => Decimal::trimmed($step, 2),
                    $keeper->kit()->steps($one->measure, $keeper->units()),
                ),
            ];
            if (\in_array($one->section, ['plants', 'animals'], true)) {
                $sections[$one->section][$one->whom][] = $field;
            } else {
                $sections[$one->section][] = $field;
            }
        }

        return $sections;
    }

    /** Whether it is a sign whose cause one may ask for. */
    private static function asksWhy(Entry $entry): bool
    {
        return EntryKind::Sighting === $entry->kind && true === Sign::tryFrom($entry->what)?->asksWhy();
    }

    /**
     * Lines in rows: what was read on a day stands in one.
     *
     * @param list<Entry> $entries
     *
     * @return list<array{on: \DateTimeImmutable, first: bool, readings: list<Entry>, entry: Entry|null, why: bool}>
     */
    private static function rows(array $entries): array
    {
        $rows = [];
        $day = null;
        $row = null;
        foreach ($entries as $entry) {
            $on = $entry->on->format('Y-m-d');
            $isRead = EntryKind::Reading === $entry->kind;
            if (null !== $row && $isRead && $on === $day && null === $row['entry']) {
                $row['readings'][] = $entry;
                continue;
            }
            if (null !== $row) {
                $rows[] = $row;
            }
            $row = [
                'on' => $entry->on,
                'first' => $on !== $day,
                'readings' => $isRead ? [$entry] : [],
                'entry' => $isRead ? null : $entry,
                'why' => self::asksWhy($entry),
            ];
            $day = $on;
        }

        return null === $row ? $rows : [...$rows, $row];
    }
}
