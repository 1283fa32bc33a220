<?php

declare(strict_types=1);

namespace Olvek\Console\Command;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/** One of the processes that Processes starts: reads the work from its input and writes a line for each piece that it has done. */
#[AsCommand(self::NAME, 'Does a share of another command’s work', hidden: true)]
final class PieceCommand extends Command
{
    public const NAME = 'olvek:piece';

    protected function configure(): void
    {
        $this->addArgument('worker', InputArgument::REQUIRED)
            ->addArgument('of', InputArgument::REQUIRED)
            ->addArgument('pieces', InputArgument::REQUIRED);
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        if (\function_exists('pcntl_signal')) {
            // The keeper's Ctrl-C is for the command that started this one, which stops it in its own time.
            pcntl_signal(\SIGINT, \SIG_IGN);
        }
        $work = unserialize((string) base64_decode((string) stream_get_contents(\STDIN), true));
        if (!$work instanceof Pieces) {
            throw new \InvalidArgumentException('This is no work.');
        }
        $number = static fn (string $name): int => is_numeric($input->getArgument($name)) ? (int) $input->getArgument($name) : 0;
        for ($n = $number('worker'); $n < $number('pieces'); $n += max(1, $number('of'))) {
            $output->writeln(Processes::write($n, $work->piece($n)), OutputInterface::OUTPUT_RAW);
        }

        return Command::SUCCESS;
    }
}
