<?php

declare(strict_types=1);

namespace Olvek\Account;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\Console\Style\SymfonyStyle;

#[AsCommand('olvek:keeper:disable', 'Signs a keeper out and lets nobody sign in by that name; --undo lets them in again')]
final class DisableKeeperCommand extends Command
{
    public function __construct(
        private readonly KeeperRepository $keepers,
        private readonly EntityManagerInterface $entities,
        private readonly ClockInterface $clock,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('name', InputArgument::REQUIRED, 'Sign-in name')->addOption('undo', null, InputOption::VALUE_NONE, 'Let the keeper sign in again');
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
        $undo = true === $input->getOption('undo');
        $undo ? $keeper->enable() : $keeper->disable($this->clock->now());
        $this->entities->flush();
        $style->success(\sprintf($undo ? '%s can sign in again.' : '%s is signed out everywhere and cannot sign in.', $keeper->signInName));

        return Command::SUCCESS;
    }
}
