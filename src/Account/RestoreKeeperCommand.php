<?php

declare(strict_types=1);

namespace Olvek\Account;

use Doctrine\ORM\EntityManagerInterface;
use Olvek\Shelf\TankRepository;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\Console\Style\SymfonyStyle;

#[AsCommand('olvek:keeper:restore', 'Brings a removed keeper back, or with --tanks the keeper’s removed tanks, within thirty days')]
final class RestoreKeeperCommand extends Command
{
    public function __construct(
        private readonly KeeperRepository $keepers,
        private readonly TankRepository $tanks,
        private readonly EntityManagerInterface $entities,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('name', InputArgument::REQUIRED, 'Sign-in name')->addOption(
            'tanks',
            null,
            InputOption::VALUE_NONE,
            'Bring back the tanks that this keeper has removed',
        );
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $style = new SymfonyStyle($input, $output);
        try {
            $keeper = NamedKeeper::of($input, $this->keepers);
        } catch (\InvalidArgumentException $refused) {
            $style->getErrorStyle()->error($refused->getMessage());

            return Command::FAILURE;
        }
        $keeper->bringBack();
        $words = [];
        foreach (true === $input->getOption('tanks') ? $this->tanks->removed($keeper) : [] as $tank) {
            $tank->bringBack();
            $words[] = $tank->name();
        }
        $this->entities->flush();
        $style->success($keeper->signInName.' can sign in.'.([] === $words ? '' : ' On the shelf again: '.implode(', ', $words).'.'));

        return Command::SUCCESS;
    }
}
