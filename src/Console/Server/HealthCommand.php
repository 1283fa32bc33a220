<?php

declare(strict_types=1);

namespace Olvek\Console\Server;

use Olvek\Service\Server\Health;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('olvek:health', 'Says how this server is set and what is wrong with it; ends with 1 where something is')]
final class HealthCommand extends Command
{
    public function __construct(private readonly Health $health)
    {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $troubles = $this->health->troubles();
        foreach (isset($troubles['database']) ? [] : $this->health->settings() as $name => $value) {
            $output->writeln("$name: $value", OutputInterface::OUTPUT_RAW);
        }
        foreach ($troubles as $what => $words) {
            $output->writeln("TROUBLE with $what: $words", OutputInterface::OUTPUT_RAW);
        }

        return [] === $troubles ? Command::SUCCESS : Command::FAILURE;
    }
}
