<?php

declare(strict_types=1);

namespace Olvek\Service\Task;

use Olvek\Core\Judgement\Margin\Judge;
use Olvek\Core\Keeping\Care\Care;
use Olvek\Core\Keeping\Care\Task;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Simulation\Run\UsualCare;
use Olvek\Service\Editing\TankEditor;
use Olvek\Service\Site\ResultCache;
use Olvek\Service\Tank\Revision;

/** What plans ask of their keepers; kept, since it takes a run of the year to know. */
final readonly class Tasks
{
    public function __construct(private TankEditor $editor, private ResultCache $cache)
    {
    }

    /**
     * @param \DateTimeImmutable|null $filled its day of filling, by which its seasons go; null where it is only planned
     *
     * @return list<Task>
     */
    public function of(Revision $revision, ?\DateTimeImmutable $filled = null): array
    {
        $name = implode('.', ['care', hash('xxh128', $revision->plan), $filled?->format('z')]);

        return $this->cache->get($name, function () use ($revision, $filled): array {
            $plan = $this->editor->plan($revision);
            $plan = null === $filled ? $plan : $plan->filledOn($filled);

            return Care::of($plan, (new Runner($plan))->run(Judge::FIRST_YEAR, UsualCare::events()));
            // They follow from the plan alone: no new day makes them others.
        }, 60 * ResultCache::DAY);
    }
}
