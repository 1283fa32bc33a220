<?php

declare(strict_types=1);

namespace Olvek\Console\Account;

use Olvek\Service\Account\KeeperRepository;
use Olvek\Service\Account\TypedPassword;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\Console\Style\SymfonyStyle;

#[AsCommand('olvek:keeper:create', 'Creates a keeper who can sign in')]
final class CreateKeeperCommand extends Command
{
    public function __construct(private readonly KeeperRepository $keepers)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('name', InputArgument::REQUIRED, 'Sign-in name')
            ->addOption('display-name', null, InputOption::VALUE_REQUIRED, 'Name shown on screen; the sign-in name where left out');
        TypedPassword::add($this);
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $style = new SymfonyStyle($input, $output);
        $name = $input->getArgument('name');
        \assert(\is_string($name));
        $display = $input->getOption('display-name');
        try {
            $this->keepers->enrol($name, \is_string($display) ? $display : $name, TypedPassword::read($input, $style));
        } catch (\InvalidArgumentException $refused) {
            $style->getErrorStyle()->error($refused->getMessage());

            return Command::FAILURE;
        }
        $style->success(\sprintf('%s can sign in now.', $name));

        return Command::SUCCESS;
    }
}
