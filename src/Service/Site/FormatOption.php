<?php

declare(strict_types=1);

namespace Olvek\Service\Site;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Planning\Plan\InvalidPlan;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Exception\InvalidOptionException;
use Symfony\Component\Console\Helper\Helper;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/** What Olvek's commands share: options, files, reasons. A wrong one is a usage error (exit 2). */
final class FormatOption
{
    public static function add(Command $command): void
    {
        $command->addOption('format', null, InputOption::VALUE_REQUIRED, 'text or json', 'text');
    }

    public static function read(InputInterface $input): string
    {
        $format = self::text($input, 'format');

        return \in_array($format, ['text', 'json'], true) ? $format : throw self::wrong('--format is text or json');
    }

    /** An option's text, empty where it was left out. */
    public static function text(InputInterface $input, string $option): string
    {
        $value = $input->getOption($option);

        return \is_string($value) ? $value : '';
    }

    /** An option's number, null where it was left out. */
    public static function number(InputInterface $input, string $option, float $least, float $most): ?float
    {
        $text = self::text($input, $option);
        if ('' === $text) {
            return null;
        }
        if (!is_numeric($text) || (float) $text < $least || (float) $text > $most) {
            throw self::wrong(\sprintf('--%s is a number from %g to %g', $option, $least, $most));
        }

        return (float) $text;
    }

    /** A number that must be given. */
    public static function needed(InputInterface $input, string $option, float $least, float $most): float
    {
        return self::number($input, $option, $least, $most) ?? throw self::wrong("--$option is missing");
    }

    /**
     * A line of a table, each cell as wide as its column.
     *
     * @param array<int, int>    $widths of the columns
     * @param array<int, string> $cells
     */
    public static function row(array $widths, array $cells): string
    {
        $line = '';
        foreach ($cells as $n => $cell) {
            $line .= $cell.str_repeat(' ', max(1, ($widths[$n] ?? 0) - Helper::width($cell)));
        }

        return rtrim($line);
    }

    /** A file's text, or standard input's for "-"; null where it cannot be read. */
    public static function content(string $file): ?string
    {
        $text = '-' === $file ? stream_get_contents(\STDIN) : (is_file($file) ? file_get_contents($file) : false);

        return false === $text ? null : $text;
    }

    public static function reasons(OutputInterface $errors, InvalidPlan $refused, UnitSystem $units = UnitSystem::Metric): void
    {
        foreach ($refused->problems as $problem) {
            $errors->writeln(('' === $problem->path ? '' : $problem->path.': ').$problem->message($units), OutputInterface::OUTPUT_RAW);
        }
    }

    /**
     * Says on the error stream how far long work has come, and stops it when the keeper interrupts: what is done by then counts.
     *
     * @return \Closure(int, int): bool
     */
    public static function progress(OutputInterface $errors): \Closure
    {
        $stopped = false;
        pcntl_async_signals(true);
        pcntl_signal(\SIGINT, static function () use (&$stopped): void {
            $stopped = true;
        });

        return static function (int $done, int $of) use ($errors, &$stopped): bool {
            if ($errors->isDecorated()) {
                $errors->write("\r$done of $of".($done === $of || $stopped ? "\n" : ''), false, OutputInterface::OUTPUT_RAW);
            }

            return !$stopped;
        };
    }

    public static function wrong(string $why): InvalidOptionException
    {
        return new InvalidOptionException($why.'.');
    }

    /** @param array<string, mixed> $data */
    public static function json(array $data): string
    {
        return json_encode(
            $data,
            \JSON_THROW_ON_ERROR | \JSON_PRETTY_PRINT | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES | \JSON_PRESERVE_ZERO_FRACTION,
        );
    }
}
