<?php

declare(strict_types=1);

namespace Olvek\Console\Server;

use Olvek\Service\Server\Trouble;
use Olvek\Service\Server\VaultFactory;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\Console\Style\SymfonyStyle;

#[AsCommand('olvek:backup', 'Writes a copy of the whole database while people work, and checks it')]
final class BackupCommand extends Command
{
    public function __construct(private readonly VaultFactory $vaults)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('file', InputArgument::REQUIRED, 'Where to; a file that is there already is never overwritten');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $style = (new SymfonyStyle($input, $output))->getErrorStyle();
        $file = $input->getArgument('file');
        \assert(\is_string($file));
        $part = "$file.part";
        try {
            if (file_exists($file)) {
                throw new Trouble("$file is there already. Choose another name.");
            }
            if (!is_dir(\dirname($file)) || !is_writable(\dirname($file))) {
                throw new Trouble(\dirname($file).' is no folder that can be written to.');
            }
            @unlink($part);
            $words = $this->vaults->vault()->write($part);
            // Under its name only once it is whole.
            rename($part, $file);
        } catch (\Throwable $failed) {
            @unlink($part);
            $style->error($failed instanceof Trouble ? $failed->getMessage() : 'No backup was made: '.$failed->getMessage());

            return Command::FAILURE;
        }
        $output->writeln(
            \sprintf('%s: %d KB, whole (%s).', $file, (int) ceil((int) filesize($file) / 1000), $words),
            OutputInterface::OUTPUT_RAW,
        );

        return Command::SUCCESS;
    }
}
