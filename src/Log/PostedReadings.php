<?php

declare(strict_types=1);

namespace Olvek\Log;

use Olvek\Account\Keeper;
use Olvek\Account\Today;
use Olvek\Build\BuildRecords;
use Olvek\Core\Water\Measure;
use Olvek\Site\Moment;
use Olvek\Tank\Tank;
use Olvek\Tank\TankRepository;
use Symfony\Component\Uid\Uuid;

/** Lines of a device, into the logbooks of its keeper's tanks: the same line twice is one. */
final readonly class PostedReadings
{
    public function __construct(
        private Logbook $logbook,
        private TankRepository $tanks,
        private BuildRecords $book,
        private Today $today,
    ) {
    }

    /** @param list<string> $lines each {"tank": id, "at": RFC 3339, "readings": {measure: number on its base scale}} */
    public function take(Keeper $keeper, array $lines): ImportReport
    {
        $report = new ImportReport();
        $entries = $filled = [];
        $today = $this->today->of($keeper);
        foreach ($lines as $n => $json) {
            $line = json_decode($json, true, 4);
            $tank = \is_array($line) && \is_string($line['tank'] ?? null) ? $this->tank($line['tank'], $keeper) : null;
            $at = \is_array($line) && \is_string($line['at'] ?? null) ? Moment::read(\DATE_ATOM, $line['at']) : null;
            $read = \is_array($line) && \is_array($line['readings'] ?? null) ? $line['readings'] : [];
            $on = $at?->setTimezone($keeper->zone());
            if (null !== $tank && !\array_key_exists($tank->id()->toBase58(), $filled)) {
                $filled[$tank->id()->toBase58()] = $this->book->filledOn($tank);
            }
            $since = null === $tank ? null : $filled[$tank->id()->toBase58()];
            $fault = match (true) {
                !\is_array($line) => 'This is no JSON object.',
                null === $tank => 'You have no such tank.',
                null === $on => '“at” is no time as 2026-05-24T07:30:00+00:00.',
                null === $since => 'This tank has not been filled yet.',
                [] === $read => '“readings” holds nothing.',
                default => BuildRecords::faultOf($on->format('Y-m-d'), $today, $since),
            };
            if (null !== $fault) {
                $report->refuse($n + 1, $fault);
            }
            if (null !== $fault || null === $tank || null === $on) {
                continue;
            }
            foreach ($read as $name => $value) {
                $made = self::entry($tank, $on, (string) $name, $value, $keeper);
                if (\is_string($made)) {
                    $report->refuse($n + 1, $made);
                } else {
                    $entries[$made->id->toRfc4122()] = $made;
                }
            }
        }
        $this->logbook->keepAll($entries, $report);

        return $report;
    }

    private function tank(string $id, Keeper $keeper): ?Tank
    {
        return Uuid::isValid($id) ? $this->tanks->owned(Uuid::fromString($id), $keeper) : null;
    }

    /** @return Entry|string why it is none */
    private static function entry(Tank $tank, \DateTimeImmutable $at, string $name, mixed $value, Keeper $keeper): Entry|string
    {
        $measure = Measure::tryFrom($name);
        if (null === $measure || !\in_array($measure, [...Measure::ofWater(), Measure::Cover], true)) {
            return "“{$name}” is nothing that is read of a tank.";
        }
        [$least, $most] = $measure->bounds();
        if ((!\is_int($value) && !\is_float($value)) || $value < $least || $value > $most) {
            return \sprintf('%s is a number from %g to %g.', $measure->value, $least, $most);
        }

        return new Entry(
            $tank,
            $at->setTime(0, 0),
            EntryKind::Reading,
            $measure->value,
            (float) $value,
            null,
            Logbook::line($measure, (float) $value, $keeper->kit(), $keeper->units()).$at->format(', H:i'),
            id: Uuid::v5($tank->id(), $at->setTimezone(new \DateTimeZone('UTC'))->format(\DATE_ATOM)." $measure->value"),
        );
    }
}
