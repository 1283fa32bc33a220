<?php

declare(strict_types=1);

namespace Olvek\Console\Account;

use Olvek\Service\Account\Invitations;
use Olvek\Service\Account\Registration;
use Olvek\Service\Site\FormatOption;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

#[AsCommand('olvek:invite', 'Makes an invitation by which one person can become a keeper')]
final class InviteCommand extends Command
{
    public function __construct(
        private readonly Invitations $invitations,
        #[Autowire('%env(enum:Olvek\Service\Account\Registration:OLVEK_REGISTRATION)%')] private readonly Registration $registration,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addOption('days', null, InputOption::VALUE_REQUIRED, 'Days for which it is good', '14');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $code = $this->invitations->make((int) FormatOption::needed($input, 'days', 1, 365));
        $output->writeln("/register/$code", OutputInterface::OUTPUT_RAW);
        if (Registration::Invite !== $this->registration && $output instanceof \Symfony\Component\Console\Output\ConsoleOutputInterface) {
            $output->getErrorOutput()->writeln('It is of no use yet: set OLVEK_REGISTRATION=invite.');
        }

        return Command::SUCCESS;
    }
}
