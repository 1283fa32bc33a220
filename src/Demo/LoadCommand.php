<?php

declare(strict_types=1);

namespace Olvek\Demo;

use Olvek\Account\KeeperRepository;
use Olvek\Account\SignInController;
use Olvek\Bench\Road;
use Olvek\Core\Plan\PlanDocument;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

#[AsCommand('olvek:demo:load', 'Puts the invented ferry landing’s shelf into the database, once')]
final class LoadCommand extends Command
{
    public function __construct(
        private readonly KeeperRepository $keepers,
        private readonly Road $road,
        private readonly PlanDocument $document,
        #[Autowire('%kernel.project_dir%/demo')]
        private readonly string $folder,
    ) {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        if (null !== $this->keepers->named(SignInController::DEMO_KEEPER)) {
            $output->writeln('The ferry landing is here already.');

            return Command::SUCCESS;
        }
        // Nobody knows this password: the demo is entered by its button, where demo mode is on.
        $keeper = $this->keepers->enrol(SignInController::DEMO_KEEPER, 'The ferry landing', bin2hex(random_bytes(24)));
        foreach (['waiting-hall', 'ticket-window', 'galley', 'terrace'] as $name) {
            $json = file_get_contents("$this->folder/$name.plan.json");
            \assert(\is_string($json));
            $this->road->begin($keeper, $this->document->fromJson($json), 'begun');
        }
        $output->writeln('The ferry landing’s shelf is ready.');

        return Command::SUCCESS;
    }
}
