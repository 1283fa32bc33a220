<?php

declare(strict_types=1);

namespace Olvek\Service\Work;

use Olvek\Service\Account\Keeper;
use Olvek\Service\Site\ResultCache;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Messenger\Exception\HandlerFailedException;
use Symfony\Component\Messenger\MessageBusInterface;
use Symfony\Component\RateLimiter\RateLimiterFactory;

/**
 * Where everything is asked that takes long. What is known is given at once; else it is worked out, by the request itself or by a worker
 * (OLVEK_WORK), one piece at a time for each keeper and not without end.
 */
final readonly class WorkQueue
{
    /** Seconds between looks while a request waits. */
    private const LOOKS = 0.05;

    /** @param float $waits seconds for which a request waits for the keeper's other work to end, and for a worker that is quick */
    public function __construct(
        private MessageBusInterface $bus,
        private ResultCache $cache,
        private Turns $turns,
        #[Autowire(service: 'limiter.questions')] private RateLimiterFactory $allowance,
        private float $waits = 1.5,
    ) {
    }

    public function ask(Job $job, Keeper $keeper): Ticket
    {
        $name = self::name($job);
        $whose = $keeper->id()->toBase58();
        $known = $this->cache->known($name);
        if (\is_array($known)) {
            return Ticket::done($known[0]);
        }
        if ($this->turns->has($whose, $name)) {
            return Ticket::underway();
        }
        if (!$this->wait(fn (): bool => $this->turns->take($whose, $name))) {
            return Ticket::busy();
        }
        $allowed = $this->allowance->create($whose)->consume($job->cost());
        if (!$allowed->isAccepted()) {
            $this->turns->give($whose, $name);

            return Ticket::tooOften($allowed->getRetryAfter()->getTimestamp() - time());
        }
        try {
            $this->bus->dispatch(new JobMessage($job, $whose));
        } catch (\Throwable $failed) {
            $this->turns->give($whose, $name);
            throw $failed instanceof HandlerFailedException ? $failed->getPrevious() ?? $failed : $failed;
        }
        $known = null;
        $this->wait(function () use ($name, &$known): bool {
            $known = $this->cache->known($name);

            return \is_array($known);
        });

        return \is_array($known) ? Ticket::done($known[0]) : Ticket::underway();
    }

    /** By which what came of a job is kept. */
    public static function name(Job $job): string
    {
        return 'work.'.$job->key();
    }

    /**
     * Waits a little for something, looking now and then; false where it did not come.
     *
     * @param \Closure(): bool $come
     */
    private function wait(\Closure $come): bool
    {
        $patience = new Deadline($this->waits);
        while (!$come()) {
            if ($patience->isSpent()) {
                return false;
            }
            usleep((int) (1e6 * self::LOOKS));
        }

        return true;
    }
}
