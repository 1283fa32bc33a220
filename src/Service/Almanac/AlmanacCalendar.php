<?php

declare(strict_types=1);

namespace Olvek\Service\Almanac;

use Olvek\Service\Account\Keeper;
use Olvek\Service\Account\Today;
use Olvek\Service\Site\ResultCache;
use Olvek\Service\Tank\TankRepository;
use Olvek\Service\Task\Calendar;
use Olvek\Service\Task\CalendarTask;
use Olvek\Service\Task\TaskMarkRepository;
use Olvek\Service\Task\Tasks;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;

/** All that is due over a keeper's tanks, as one calendar for other programs. */
final readonly class AlmanacCalendar
{
    public function __construct(
        private TankRepository $tanks,
        private TaskMarkRepository $taskMarks,
        private Tasks $tasks,
        private KnownDues $known,
        private Calendar $writer,
        private ResultCache $cache,
        private Today $today,
        private UrlGeneratorInterface $urls,
    ) {
    }

    /**
     * All that is due, as one calendar; kept like the page, since programs fetch it again and again.
     *
     * @param bool $linked whether each event leads back to its tank: not in a file that may end up on another installation
     */
    public function text(Keeper $keeper, bool $linked): string
    {
        // Older tasks no longer matter. It starts on the first of a month, so that the text stays the same from day to day.
        $from = $this->today->of($keeper)->modify('first day of last month');
        $site = $linked ? $this->urls->generate('shelf', [], UrlGeneratorInterface::ABSOLUTE_URL) : '';
        $state = hash('xxh128', implode("\n", [$site, $from->format('Y-m-d'), $this->mark($keeper)]));

        return $this->cache->get(
            'almanac.ics.'.$keeper->id()->toBase58().'.'.$state,
            fn (): string => $this->writer->shelf(
                $this->feed($keeper),
                array_map(array_values(...), $this->taskMarks->ofKeeper($keeper)),
                $from,
                $linked,
            ),
        );
    }

    /** Tells one state of the calendar from another: a program that has the same one already is not sent it again. */
    private function mark(Keeper $keeper): string
    {
        $marks = $this->taskMarks->ofKeeper($keeper);
        $filled = $this->tanks->filledDays($keeper);
        $stamps = [];
        foreach (array_intersect_key($this->tanks->active($keeper), $filled) as $id => $tank) {
            $stamps[] = $this->known->stamp($keeper, $filled[$id], $tank, $marks[$id] ?? []);
        }

        return hash('xxh128', implode("\n", $stamps));
    }

    /**
     * What a calendar program should know: open and coming tasks of all filled tanks.
     *
     * @return list<CalendarTask>
     */
    private function feed(Keeper $keeper): array
    {
        $filled = $this->tanks->filledDays($keeper);
        $all = [];
        foreach ($this->tanks->shelf($keeper) as $revision) {
            $day = $filled[$revision->tank->id()->toRfc4122()] ?? null;
            if (null === $day) {
                continue;
            }
            foreach ($this->tasks->of($revision, $day) as $task) {
                $all[] = new CalendarTask($revision->tank, $task, $day, $revision->at);
            }
        }

        return $all;
    }
}
