<?php

declare(strict_types=1);

namespace Olvek\Console\Server;

use Doctrine\ORM\EntityManagerInterface;
use Olvek\Service\Account\Invitation;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Account\SessionAge;
use Olvek\Service\Site\SessionFiles;
use Olvek\Service\Site\WaitingFiles;
use Olvek\Service\Tank\Tank;
use Psr\Cache\CacheItemPoolInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\Cache\PruneableInterface;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/**
 * What a server throws out once a day: what was removed a month ago, invitations and sessions whose time is over, and what was kept of
 * plans that nobody asks for any more.
 */
#[AsCommand('olvek:prune', 'Deletes for good what was removed thirty days ago, and throws out what is old')]
final class PruneCommand extends Command
{
    public function __construct(
        private readonly EntityManagerInterface $entities,
        private readonly ClockInterface $clock,
        private readonly SessionFiles $sessions,
        private readonly WaitingFiles $files,
        #[Autowire(service: 'cache.app')] private readonly CacheItemPoolInterface $cache,
    ) {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $now = $this->clock->now();
        $gone = ['at' => $now->modify(\sprintf('-%d days', Keeper::UNDONE_WITHIN))];
        // The database takes along what hangs on them.
        $tanks = $this->delete('DELETE FROM '.Tank::class.' t WHERE t.removedAt < :at', $gone);
        $keepers = $this->delete('DELETE FROM '.Keeper::class.' k WHERE k.removedAt < :at', $gone);
        $invitations = $this->delete('DELETE FROM '.Invitation::class.' i WHERE i.endsAt < :at', ['at' => $now]);
        $sessions = $this->sessions->gc(SessionAge::OLDEST + SessionAge::IDLE);
        $this->files->prune();
        if ($this->cache instanceof PruneableInterface) {
            $this->cache->prune();
        }
        $output->writeln(
            \sprintf(
                'Deleted for good: %d tanks, %d keepers. Thrown out: %d invitations, %d sessions.',
                $tanks,
                $keepers,
                $invitations,
                $sessions,
            ),
        );

        return Command::SUCCESS;
    }

    /** @param array{at: \DateTimeImmutable} $parameters */
    private function delete(string $dql, array $parameters): int
    {
        $count = $this->entities->createQuery($dql)->setParameter('at', $parameters['at'], 'datetime_immutable')->execute();

        return \is_int($count) ? $count : 0;
    }
}
