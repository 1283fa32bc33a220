<?php

declare(strict_types=1);

namespace Olvek\Console\Server;

use Olvek\Service\Server\SlowAddresses;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('olvek:slow-addresses', 'Lists the addresses that nginx gives to the pool for long work, as its map wants them', hidden: true)]
final class SlowAddressesCommand extends Command
{
    public function __construct(private readonly SlowAddresses $addresses)
    {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $output->writeln($this->addresses->lines(), OutputInterface::OUTPUT_RAW);

        return Command::SUCCESS;
    }
}
