<?php

declare(strict_types=1);

namespace Olvek\Console\Server;

use Olvek\Service\Server\Health;
use Olvek\Service\Server\Trouble;
use Olvek\Service\Server\VaultFactory;
use Psr\Cache\CacheItemPoolInterface;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\ArrayInput;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\Console\Style\SymfonyStyle;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

#[AsCommand('olvek:restore', 'Puts a backup in the place of the database, after keeping a copy of what is there')]
final class RestoreCommand extends Command
{
    public function __construct(
        private readonly VaultFactory $vaults,
        private readonly Health $health,
        #[Autowire(service: 'cache.app')] private readonly CacheItemPoolInterface $cache,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('file', InputArgument::REQUIRED, 'A file that olvek:backup has written')
            ->addOption('yes', null, InputOption::VALUE_NONE, 'Do not ask')
            ->addOption('keep', null, InputOption::VALUE_REQUIRED, 'Where a copy of what is there now goes; FILE.before where left out');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $style = new SymfonyStyle($input, $output);
        $file = $input->getArgument('file');
        $keep = $input->getOption('keep');
        \assert(\is_string($file));
        $keep = \is_string($keep) ? $keep : "$file.before";
        try {
            $vault = $this->vaults->vault();
            $vault->check($file);
            if (
                true !== $input->getOption('yes')
                && !$style->confirm("All that is in the database now is replaced by $file. A copy of it goes to $keep. Go on?", false)
            ) {
                return Command::FAILURE;
            }
            $readable = !isset($this->health->troubles()['database']);
            if ($readable && file_exists($keep)) {
                throw new Trouble("$keep is there already; move it away, or name another with --keep.");
            }
            $vault->read($file, $readable ? $keep : null);
            // A backup may be older than the programme; what was kept of plans may be of others.
            $migrated = $this->getApplication()
                ?->find('doctrine:migrations:migrate')
                ->run(new ArrayInput(['--no-interaction' => true, '--allow-no-migration' => true]), $output);
            if (0 !== $migrated) {
                throw new Trouble(
                    'The backup is in place, but could not be brought up to this version: run doctrine:migrations:migrate and read what '
                        .'it says.',
                );
            }
            $this->cache->clear();
        } catch (\Throwable $failed) {
            $style->getErrorStyle()->error($failed instanceof Trouble ? $failed->getMessage() : 'Not restored: '.$failed->getMessage());

            return Command::FAILURE;
        }
        $output->writeln("$file is in place; what was there before is in $keep.", OutputInterface::OUTPUT_RAW);

        return Command::SUCCESS;
    }
}
