<?php

declare(strict_types=1);

namespace Olvek\Service\Site;

use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Component\Console\Exception\CommandNotFoundException;
use Symfony\Component\Console\Exception\ExceptionInterface;
use Symfony\Component\Console\Output\OutputInterface;

/** The command line. A slip in typing is answered in one plain line; anything else is an error, and shown as one. */
final class CommandLine extends Application
{
    /** More alternatives than these help nobody. */
    private const ALTERNATIVES = 3;

    public function renderThrowable(\Throwable $e, OutputInterface $output): void
    {
        if (!$e instanceof ExceptionInterface) {
            parent::renderThrowable($e, $output);

            return;
        }
        $line = trim(explode("\n", trim($e->getMessage()))[0]);
        $others = $e instanceof CommandNotFoundException ? $e->getAlternatives() : [];
        if ([] !== $others && \count($others) <= self::ALTERNATIVES) {
            $line .= ' Did you mean '.implode(' or ', $others).'?';
        }
        $output->writeln($line, OutputInterface::OUTPUT_RAW | OutputInterface::VERBOSITY_QUIET);
    }
}
