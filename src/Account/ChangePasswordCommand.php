<?php

declare(strict_types=1);

namespace Olvek\Account;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\Console\Style\SymfonyStyle;

#[AsCommand('olvek:keeper:password', 'Sets a new password for a keeper, and ends all sessions of the old one')]
final class ChangePasswordCommand extends Command
{
    public function __construct(private readonly KeeperRepository $keepers)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('name', InputArgument::REQUIRED, 'Sign-in name')->addOption(
            'password-stdin',
            null,
            InputOption::VALUE_NONE,
            'Read the password from standard input instead of asking',
        );
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $style = new SymfonyStyle($input, $output);
        try {
            $keeper = NamedKeeper::of($input, $this->keepers);
            $this->keepers->changePassword($keeper, NamedKeeper::password($input, $style));
        } catch (\InvalidArgumentException $refused) {
            $style->getErrorStyle()->error($refused->getMessage());

            return Command::FAILURE;
        }
        $style->success(\sprintf('%s signs in with the new password from now on.', $keeper->signInName));

        return Command::SUCCESS;
    }
}
