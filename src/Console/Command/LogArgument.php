<?php

declare(strict_types=1);

namespace Olvek\Console\Command;

use Olvek\Core\Keeping\Log\Log;
use Olvek\Core\Keeping\Log\LogFile;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Service\Account\Today;
use Olvek\Service\Site\FormatOption;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/** The logbook that a command is about, and the day that it takes for today. */
final class LogArgument
{
    public static function add(Command $command): void
    {
        $command->addOption('log', null, InputOption::VALUE_REQUIRED, 'The logbook as CSV, as the Log page gives it; - for standard input')
            ->addOption('filled', null, InputOption::VALUE_REQUIRED, 'Day of filling (2026-05-24), for a file that has dates alone')
            ->addOption('day', null, InputOption::VALUE_REQUIRED, 'Days after filling of today; the last line’s where left out');
    }

    /** @return array{Log, int}|null log and day; null where there is none to be had, the error stream then saying why */
    public static function log(InputInterface $input, OutputInterface $errors): ?array
    {
        $file = FormatOption::text($input, 'log');
        if ('' === $file) {
            throw FormatOption::wrong('--log is missing');
        }
        $typed = FormatOption::text($input, 'filled');
        $filled = '' === $typed ? null : Today::read($typed) ?? throw FormatOption::wrong('--filled is a day as 2026-05-24');
        $log = PlanArgument::read($file, static fn (string $text): Log => LogFile::read($text, $filled), $errors);
        if (null === $log) {
            return null;
        }
        $last = max(
            [0, ...array_map(static fn ($r): int => $r->day, $log->readings), ...array_map(static fn ($e): int => $e->day, $log->events)],
        );
        $day = FormatOption::number($input, 'day', 0, Plan::LAST_DAY);

        return [$log, null === $day ? $last : (int) $day];
    }
}
