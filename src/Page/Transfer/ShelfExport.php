<?php

declare(strict_types=1);

namespace Olvek\Page\Transfer;

use Doctrine\ORM\EntityManagerInterface;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Page\Bench\DrawingFile;
use Olvek\Page\Bench\ViewSettings;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Almanac\AlmanacCalendar;
use Olvek\Service\Build\BuildRecords;
use Olvek\Service\Device\DeviceAssignment;
use Olvek\Service\Log\EntryRepository;
use Olvek\Service\Photo\Photos;
use Olvek\Service\Site\Csv;
use Olvek\Service\Tank\Tank;
use Olvek\Service\Tank\TankRepository;
use Olvek\Service\Task\TaskMark;
use Olvek\Service\Transfer\ShelfFormat;
use Psr\Clock\ClockInterface;
use Symfony\Component\String\Slugger\AsciiSlugger;

/** Everything that a keeper has, as files in open formats (docs/formats.md, "A whole shelf"). */
final readonly class ShelfExport
{
    public function __construct(
        private EntityManagerInterface $entities,
        private TankRepository $tanks,
        private EntryRepository $entries,
        private BuildRecords $buildRecords,
        private Photos $photos,
        private AlmanacCalendar $calendar,
        private DrawingFile $drawings,
        private ClockInterface $clock,
    ) {
    }

    /** @return iterable<string, string> contents by path; the manifest comes last, since it says what there is */
    public function of(Keeper $keeper): iterable
    {
        $list = [];
        $n = 0;
        foreach ($this->tanks->all($keeper) as $tank) {
            $folder = \sprintf('tanks/%03d-%s', ++$n, substr((new AsciiSlugger())->slug($tank->name())->lower()->toString(), 0, 40));
            $list[] = [
                'folder' => $folder,
                'id' => $tank->id()->toRfc4122(),
                'name' => $tank->name(),
                'created' => $tank->createdAt()->format(\DATE_ATOM),
                'head' => $tank->head(),
                'latest' => $tank->latest(),
                'room' => $tank->room(),
                'archived' => $tank->archivedAt()?->format(\DATE_ATOM),
                'follows' => $tank->follows()?->toRfc4122(),
            ];
            yield from $this->tank($tank, $keeper, $folder);
            $this->entities->clear();
        }
        yield 'calendar.ics' => $this->calendar->text($keeper, false);
        yield 'manifest.json' => json_encode(
            [
                'format' => ShelfFormat::FORMAT,
                'version' => ShelfFormat::VERSION,
                'plans' => [
                    'format' => PlanDocument::FORMAT,
                    'version' => PlanDocument::VERSION,
                ],
                // The day alone: of the same state the same file.
                'made' => $this->clock->now()->format('Y-m-d'),
                'keeper' => [
                    'name' => $keeper->signInName,
                    'display' => $keeper->displayName(),
                    'units' => $keeper->units()->value,
                    'zone' => $keeper->zone()->getName(),
                    'kit' => $keeper->kit()->code(),
                    'stock' => (object) $keeper->stock(),
                ],
                'tanks' => $list,
            ],
            \JSON_THROW_ON_ERROR | \JSON_PRETTY_PRINT | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES,
        )."\n";
    }

    /** @return iterable<string, string> */
    private function tank(Tank $tank, Keeper $keeper, string $folder): iterable
    {
        $rows = [];
        foreach ($this->tanks->history($tank) as $revision) {
            $rows[] = [$revision->number, $revision->parent, $revision->at->format(\DATE_ATOM), $revision->label(), $revision->words];
            yield \sprintf('%s/plans/%06d.plan.json', $folder, $revision->number) => $revision->plan;
        }
        yield "$folder/revisions.csv" => Csv::write(ShelfFormat::REVISIONS, $rows);
        yield "$folder/log.csv" => Csv::write(ShelfFormat::LOG, $this->lines($tank));
        yield "$folder/tasks.csv" => Csv::write(
            ShelfFormat::TASKS,
            array_map(
                static fn (TaskMark $m): array => [$m->task, $m->due, $m->moved?->format('Y-m-d'), $m->settled, $m->entry?->toRfc4122()],
                $this->entities->getRepository(TaskMark::class)->findBy(['tank' => $tank->id()], ['due' => 'ASC', 'task' => 'ASC']),
            ),
        );
        $marks = $this->buildRecords->marks($tank);
        ksort($marks);
        yield "$folder/steps.csv" => Csv::write(
            ShelfFormat::STEPS,
            array_map(static fn ($m): array => [$m->step, $m->done(), $m->on()->format('Y-m-d'), $m->note()], array_values($marks)),
        );
        yield "$folder/sheet.json" => json_encode(
            $this->buildRecords->progress($tank)->sheet(),
            \JSON_THROW_ON_ERROR | \JSON_PRETTY_PRINT | \JSON_UNESCAPED_UNICODE | \JSON_PRESERVE_ZERO_FRACTION,
        )."\n";
        yield from $this->photos->album($tank, "$folder/");
        yield "$folder/devices.csv" => Csv::write(
            ShelfFormat::DEVICES,
            array_map(
                static fn (DeviceAssignment $w): array => [$w->kind->value, $w->device],
                $this->entities->getRepository(DeviceAssignment::class)->findBy(['tank' => $tank->id()], ['kind' => 'ASC']),
            ),
        );
        foreach ($this->drawings->of($tank, $keeper->units(), ViewSettings::usual($keeper->units())) as $name => $svg) {
            yield "$folder/drawings/$name.svg" => $svg;
        }
    }

    /** @return iterable<list<string|float|bool|null>> */
    private function lines(Tank $tank): iterable
    {
        foreach ($this->entries->all($tank) as $e) {
            yield [
                $e->on->format('Y-m-d'),
                $e->kind->value,
                $e->what,
                $e->amount,
                $e->unit(),
                $e->of,
                $e->words,
                $e->madeUp,
                $e->id->toRfc4122(),
                $e->written,
                $e->note,
                $e->cause,
            ];
            $this->entities->detach($e);
        }
    }
}
