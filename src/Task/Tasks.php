<?php

declare(strict_types=1);

namespace Olvek\Task;

use Olvek\Core\Care\Care;
use Olvek\Core\Care\Task;
use Olvek\Core\Margin\Judge;
use Olvek\Core\Run\Runner;
use Olvek\Core\Run\UsualCare;
use Olvek\Core\Unit\UnitSystem;
use Olvek\Editing\TankEditor;
use Olvek\Site\ResultCache;
use Olvek\Tank\Revision;

/** What plans ask of their keepers; kept, since it takes a run of the year to know. */
final readonly class Tasks
{
    public function __construct(private TankEditor $road, private ResultCache $kept)
    {
    }

    /** @return list<Task> */
    public function of(Revision $revision, UnitSystem $units): array
    {
        return $this->kept->get("care.$units->value.".hash('xxh128', $revision->plan), function () use ($revision, $units): array {
            $plan = $this->road->plan($revision);

            return Care::of($plan, (new Runner($plan))->run(Judge::FIRST_YEAR, UsualCare::events()), $units);
        });
    }
}
