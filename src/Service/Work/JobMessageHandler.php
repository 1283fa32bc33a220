<?php

declare(strict_types=1);

namespace Olvek\Service\Work;

use Olvek\Service\Site\ResultCache;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\DependencyInjection\Attribute\AutowireLocator;
use Symfony\Component\DependencyInjection\ServiceLocator;
use Symfony\Component\Messenger\Attribute\AsMessageHandler;

/**
 * Does a piece of work, once, and keeps what came of it. A piece that comes twice, since a worker died over it, is done only if nothing was
 * kept.
 */
#[AsMessageHandler]
final readonly class JobMessageHandler
{
    /** @param ServiceLocator<JobHandler> $doers by the job that they do */
    public function __construct(
        #[AutowireLocator('olvek.job_handler', defaultIndexMethod: 'of')] private ServiceLocator $doers,
        private ResultCache $cache,
        private Turns $turns,
        #[Autowire('%env(float:OLVEK_PATIENCE)%')] private float $patience,
    ) {
    }

    public function __invoke(JobMessage $piece): void
    {
        $name = WorkQueue::name($piece->job);
        try {
            if (null === $this->cache->known($name)) {
                $result = $this->doers->get($piece->job::class)->do($piece->job, new Deadline($this->patience));
                $this->cache->put($name, [$result->value], $result->seconds);
            }
        } finally {
            $this->turns->give($piece->keeper, $name);
        }
    }
}
