<?php

declare(strict_types=1);

namespace Olvek\Service\Transfer;

use Olvek\Core\Basis\Unit\TextTable;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Keeping\Log\DeathCause;
use Olvek\Core\Planning\Plan\InvalidPlan;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Service\Account\Today;
use Olvek\Service\Build\StepMark;
use Olvek\Service\Device\DeviceKind;
use Olvek\Service\Log\Entry;
use Olvek\Service\Log\EntryKind;
use Olvek\Service\Photo\Photo;
use Olvek\Service\Photo\Photos;
use Olvek\Service\Site\Moment;
use Olvek\Service\Site\PlainText;
use Olvek\Service\Tank\Revision;
use Symfony\Component\Uid\Uuid;

/**
 * One tank out of a file that is brought back, read and checked as if a stranger had written it; what cannot be understood is told and left
 * out. Plans, lines and photos are read as they are asked for: there may be more of them than memory holds.
 */
final readonly class TankFiles
{
    private const MOST_REVISIONS = 20_000;

    /** @var array<int, array{parent: int|null, at: \DateTimeImmutable, label: string, words: string}> revisions by number, in order */
    public array $revisions;
    /** @var list<array{task: string, due: string, moved: \DateTimeImmutable|null, settled: bool, entry: string|null}> */
    public array $tasks;
    /** @var list<array{step: string, done: bool, on: \DateTimeImmutable, note: string}> */
    public array $steps;
    /**
     * @var array{
     *     bags: array<string, float>, prices: array<string, float>, have: array<string, float>, costs: array<string, float>,
     *     ticked: list<string>
     * }
     */
    public array $sheet;
    /** @var array<string, string> device by kind */
    public array $devices;

    public function __construct(
        private Unzip $zip,
        private string $folder,
        private ImportResult $report,
        private PlanDocument $document,
    ) {
        $this->revisions = $this->readRevisions();
        $this->tasks = $this->readTasks();
        $this->steps = $this->readSteps();
        $this->sheet = $this->readSheet();
        $this->devices = $this->readDevices();
    }

    /** The plan of a revision as it is stored; null where it cannot be read, and that is told. */
    public function plan(int $number): ?StoredPlan
    {
        $file = \sprintf('%s/plans/%06d.plan.json', $this->folder, $number);
        $json = $this->zip->text($file, Unzip::MOST_PLAN);
        try {
            $plan = $this->document->fromForeignJson($json ?? '');

            // What was only written otherwise is the same plan.
            return new StoredPlan($this->document->toJson($plan), $plan->name);
        } catch (InvalidPlan $refused) {
            $this->report->fault(
                $file,
                null,
                null === $json ? 'This file is missing.' : implode(' ', \array_slice($refused->messages(UnitSystem::Metric), 0, 3)),
            );

            return null;
        }
    }

    /** @return array<int, array{parent: int|null, at: \DateTimeImmutable, label: string, words: string}> */
    private function readRevisions(): array
    {
        $revisions = [];
        foreach ($this->rows('revisions.csv', ShelfFormat::REVISIONS) as $line => $row) {
            $number = self::whole($row['number'], 1, 999_999);
            $parent = '' === $row['parent'] ? null : self::whole($row['parent'], 1, 999_999);
            $at = self::moment($row['at']);
            $fault = match (true) {
                null === $number,
                '' !== $row['parent'] && (null === $parent || $parent >= $number) => 'The number of a version, or of the one it is based '
                    .'on, is not possible.',
                null === $at => 'The time isn’t one.',
                \count($revisions) >= self::MOST_REVISIONS => 'This tank has more versions than Olvek can read.',
                default => PlainText::fault($row['label'], Revision::LONGEST_LABEL, 'The name') ??
                    PlainText::fault($row['words'], 500, 'What changed'),
            };
            if (null === $number || null === $at || null !== $fault) {
                $this->report->fault("$this->folder/revisions.csv", $line, $fault);
                continue;
            }
            $revisions[$number] = ['parent' => $parent, 'at' => $at, 'label' => $row['label'], 'words' => $row['words']];
        }
        ksort($revisions);

        return $revisions;
    }

    /**
     * Lines of the logbook, one after another.
     *
     * @return \Generator<string, array{on: \DateTimeImmutable, kind: EntryKind, what: string, amount: float|null, of: string|null,
     * words: string, madeUp: bool, written: string, note: string, cause: string}> by id
     */
    public function lines(): \Generator
    {
        foreach ($this->rows('log.csv', ShelfFormat::LOG) as $line => $row) {
            $on = Today::read($row['day']);
            $kind = EntryKind::tryFrom($row['kind']);
            $amount = '' === $row['amount'] ? null : TextTable::number($row['amount']);
            $fault = match (true) {
                null === $on => 'The day isn’t one.',
                null === $kind => 'The kind of line is not known.',
                '' !== $row['amount'] && null === $amount => 'The amount isn’t a number.',
                1 !== preg_match('/^[a-z0-9-]{1,40}$/Di', $row['what']) => 'What was read, done or seen is not known.',
                1 !== preg_match('/^[a-z0-9:-]{0,80}$/Di', $row['of']) => 'What it concerns is not known.',
                !Uuid::isValid($row['id']) => 'The id isn’t one.',
                1 !== preg_match('/^\d{1,12}\.\d{6}$/D', $row['written']) => '“written” isn’t a valid time.',
                default => PlainText::fault($row['words'], Entry::LONGEST_WORDS, 'The text') ??
                    PlainText::faultOfLines($row['note'], Entry::LONGEST_NOTE, 'The note'),
            };
            if (null === $on || null === $kind || null !== $fault) {
                $this->report->fault("$this->folder/log.csv", $line, $fault);
                continue;
            }
            yield Uuid::fromString($row['id'])->toRfc4122() => [
                'on' => $on,
                'kind' => $kind,
                'what' => $row['what'],
                'amount' => $amount,
                'of' => '' === $row['of'] ? null : $row['of'],
                'words' => $row['words'],
                'madeUp' => 'yes' === $row['made_up'],
                'written' => $row['written'],
                'note' => $row['note'],
                'cause' => DeathCause::tryFrom($row['cause'])->value ?? '',
            ];
        }
    }

    /** @return \Generator<string, array{on: \DateTimeImmutable, words: string, file: string}> photos by id */
    public function photos(): \Generator
    {
        // Files from before there were photos in them have no list.
        if (!$this->zip->has("$this->folder/photos.csv")) {
            return;
        }
        foreach ($this->rows('photos.csv', Photos::COLUMNS) as $line => $row) {
            $on = Today::read($row['day']);
            $fault = match (true) {
                null === $on => 'The day isn’t one.',
                !Uuid::isValid($row['id']) => 'The id isn’t one.',
                1 !== preg_match('~^photos/[a-z0-9-]{1,60}\.jpg$~D', $row['file']) => 'The photo’s file name isn’t valid.',
                default => PlainText::fault($row['words'], Photo::LONGEST_WORDS, 'The caption'),
            };
            if (null === $on || null !== $fault) {
                $this->report->fault("$this->folder/photos.csv", $line, $fault);
                continue;
            }
            yield Uuid::fromString($row['id'])->toRfc4122() => ['on' => $on, 'words' => $row['words'], 'file' => $row['file']];
        }
    }

    /** A photo's picture in a file of its own, which the caller removes; null where it is missing, and that is told. */
    public function picture(string $file): ?string
    {
        $bytes = $this->zip->text("$this->folder/$file", Unzip::MOST_PHOTO);
        $path = null === $bytes ? false : tempnam(sys_get_temp_dir(), 'olvek');
        if (false === $path) {
            $this->report->fault("$this->folder/$file", null, 'This file is missing, or larger than a photo can be.');

            return null;
        }
        file_put_contents($path, $bytes);

        return $path;
    }

    public function fault(string $file, string $why): void
    {
        $this->report->fault("$this->folder/$file", null, $why);
    }

    /** @return list<array{task: string, due: string, moved: \DateTimeImmutable|null, settled: bool, entry: string|null}> */
    private function readTasks(): array
    {
        $tasks = [];
        foreach ($this->rows('tasks.csv', ShelfFormat::TASKS) as $line => $row) {
            $moved = '' === $row['moved_to'] ? null : Today::read($row['moved_to']);
            if (
                1 !== preg_match('/^[a-z0-9-]{1,80}$/D', $row['task'])
                || null === Today::read($row['due'])
                || ('' !== $row['moved_to'] && null === $moved)
                || ('' !== $row['entry'] && !Uuid::isValid($row['entry']))
            ) {
                $this->report->fault("$this->folder/tasks.csv", $line, 'The task, day or id in this line isn’t valid.');
                continue;
            }
            $tasks["$row[task] $row[due]"] = [
                'task' => $row['task'],
                'due' => $row['due'],
                'moved' => $moved,
                'settled' => 'yes' === $row['settled'],
                'entry' => '' === $row['entry'] ? null : Uuid::fromString($row['entry'])->toRfc4122(),
            ];
        }

        return array_values($tasks);
    }

    /** @return list<array{step: string, done: bool, on: \DateTimeImmutable, note: string}> */
    private function readSteps(): array
    {
        $steps = [];
        foreach ($this->rows('steps.csv', ShelfFormat::STEPS) as $line => $row) {
            $on = Today::read($row['day']);
            $fault = match (true) {
                1 !== preg_match(StepMark::ID, $row['step']), null === $on => 'This isn’t a known step, or its day isn’t a date.',
                default => PlainText::fault($row['note'], StepMark::LONGEST_NOTE, 'The note'),
            };
            if (null === $on || null !== $fault) {
                $this->report->fault("$this->folder/steps.csv", $line, $fault);
                continue;
            }
            $steps[$row['step']] = ['step' => $row['step'], 'done' => 'yes' === $row['done'], 'on' => $on, 'note' => $row['note']];
        }

        return array_values($steps);
    }

    /**
     * @return array{
     *     bags: array<string, float>, prices: array<string, float>, have: array<string, float>, costs: array<string, float>,
     *     ticked: list<string>
     * }
     */
    private function readSheet(): array
    {
        $sheet = ['bags' => [], 'prices' => [], 'have' => [], 'costs' => [], 'ticked' => []];
        $text = $this->zip->text("$this->folder/sheet.json", Unzip::MOST_PLAN);
        $data = null === $text ? [] : json_decode($text, true, 4);
        if (!\is_array($data)) {
            $this->report->fault("$this->folder/sheet.json", null, 'This isn’t a build sheet.');

            return $sheet;
        }
        foreach (['bags', 'prices', 'have', 'costs'] as $column) {
            foreach (\is_array($data[$column] ?? null) ? $data[$column] : [] as $material => $value) {
                if (
                    1 === preg_match('/^[a-z0-9.-]{1,60}$/D', (string) $material)
                    && (\is_float($value) || \is_int($value))
                    && $value >= 0
                    && $value <= 100_000
                ) {
                    $sheet[$column][(string) $material] = (float) $value;
                }
            }
        }
        foreach (\is_array($data['ticked'] ?? null) ? $data['ticked'] : [] as $tick) {
            if (\is_string($tick) && 1 === preg_match('/^[a-z0-9.-]{1,80}$/D', $tick) && \count($sheet['ticked']) < 400) {
                $sheet['ticked'][] = $tick;
            }
        }

        return $sheet;
    }

    /** @return array<string, string> */
    private function readDevices(): array
    {
        $devices = [];
        foreach ($this->rows('devices.csv', ShelfFormat::DEVICES) as $line => $row) {
            if (null === DeviceKind::tryFrom($row['kind']) || 1 !== preg_match('/^[a-z0-9-]{1,40}$/D', $row['device'])) {
                $this->report->fault("$this->folder/devices.csv", $line, 'This device is not known.');
                continue;
            }
            $devices[$row['kind']] = $row['device'];
        }

        return $devices;
    }

    /**
     * @param list<string> $names
     *
     * @return iterable<int, array<string, string>>
     */
    private function rows(string $file, array $names): iterable
    {
        $stream = $this->zip->stream("$this->folder/$file", Unzip::MOST_TABLE);
        if (null === $stream) {
            $this->report->fault("$this->folder/$file", null, 'This file is missing, or larger than such a file can be.');

            return;
        }
        yield from TextTable::stream($stream)->named($names);
        fclose($stream);
    }

    private static function whole(string $text, int $least, int $most): ?int
    {
        $number = filter_var($text, \FILTER_VALIDATE_INT, ['options' => ['min_range' => $least, 'max_range' => $most]]);

        return false === $number ? null : $number;
    }

    private static function moment(string $text): ?\DateTimeImmutable
    {
        $at = Moment::read(\DATE_ATOM, $text);
        $year = null === $at ? 0 : (int) $at->format('Y');

        return null === $at || $year < 2000 || $year > 2999 ? null : $at->setTimezone(new \DateTimeZone(date_default_timezone_get()));
    }
}
