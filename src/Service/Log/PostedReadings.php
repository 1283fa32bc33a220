<?php

declare(strict_types=1);

namespace Olvek\Service\Log;

use Olvek\Core\Basis\TimeLimit\TimeLimit;
use Olvek\Core\Nature\Water\Measure;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Account\Today;
use Olvek\Service\Build\BuildRecords;
use Olvek\Service\Site\Moment;
use Olvek\Service\Tank\Tank;
use Olvek\Service\Tank\TankRepository;
use Symfony\Component\Uid\Uuid;

/** Lines of a device, into the logbooks of its keeper's tanks: the same line twice is one. */
final readonly class PostedReadings
{
    public function __construct(
        private BulkEntries $bulk,
        private TankRepository $tanks,
        private Today $today,
    ) {
    }

    /** @param list<string> $lines each {"tank": id, "at": RFC 3339, "readings": {measure: number on its base scale}} */
    public function take(Keeper $keeper, array $lines, TimeLimit $patience): LogImportReport
    {
        $report = new LogImportReport();
        $this->bulk->keepAll($this->entries($keeper, $lines, $report), $report, $patience);

        return $report;
    }

    /**
     * @param list<string> $lines
     *
     * @return \Generator<int, Entry> what can be taken; the rest is in the report, with its reason
     */
    private function entries(Keeper $keeper, array $lines, LogImportReport $report): \Generator
    {
        $tanks = $filled = [];
        $today = $this->today->of($keeper);
        foreach ($lines as $n => $json) {
            $line = json_decode($json, true, 4);
            $line = \is_array($line) && ([] === $line || !array_is_list($line)) ? $line : null;
            $id = \is_string($line['tank'] ?? null) ? $line['tank'] : '';
            $tank = $tanks[$id] ??= $this->tank($id, $keeper);
            $at = \is_string($line['at'] ?? null) ? Moment::rfc3339($line['at']) : null;
            $read = \is_array($line['readings'] ?? null) ? $line['readings'] : [];
            $on = $at?->setTimezone($keeper->zone());
            if (null !== $tank && !\array_key_exists($id, $filled)) {
                $filled[$id] = $tank->filledOn();
            }
            $fault = match (true) {
                null === $line => 'This isn’t a JSON object.',
                null === $tank => 'You have no such tank.',
                null === $on => '“at” isn’t a time like 2026-05-24T07:30:00Z (RFC 3339).',
                null === $filled[$id] => 'This tank has not been filled yet.',
                [] === $read => '“readings” holds nothing.',
                default => BuildRecords::faultOf($on->format('Y-m-d'), $today, $filled[$id]),
            };
            if (null !== $fault || null === $tank || null === $on) {
                $report->refuse($n + 1, $fault);
                continue;
            }
            foreach ($read as $name => $value) {
                $made = self::entry($tank, $on, (string) $name, $value, $keeper);
                if (\is_string($made)) {
                    $report->refuse($n + 1, $made);
                } else {
                    yield $made;
                }
            }
        }
    }

    private function tank(string $id, Keeper $keeper): ?Tank
    {
        return Uuid::isValid($id) ? $this->tanks->owned(Uuid::fromString($id), $keeper) : null;
    }

    /** @return Entry|string why it is none */
    private static function entry(Tank $tank, \DateTimeImmutable $at, string $name, mixed $value, Keeper $keeper): Entry|string
    {
        $measure = Measure::tryFrom($name);
        if (null === $measure || null !== $measure->measured()->of) {
            return "“{$name}” isn’t a reading that a device can send.";
        }
        [$least, $most] = $measure->bounds();
        if ((!\is_int($value) && !\is_float($value)) || $value < $least || $value > $most) {
            return \sprintf('%s is a number from %g to %g.', $measure->value, $least, $most);
        }
        $moment = $at->setTimezone(new \DateTimeZone('UTC'));
        $fraction = rtrim($moment->format('.u'), '.0');

        return new Entry(
            $tank,
            $at->setTime(0, 0),
            EntryKind::Reading,
            $measure->value,
            (float) $value,
            null,
            Logbook::line($measure, (float) $value, $keeper->kit(), $keeper->units()).$at->format(', H:i'),
            id: Uuid::v5($tank->id(), $moment->format(\DATE_ATOM)."$fraction $measure->value"),
        );
    }
}
