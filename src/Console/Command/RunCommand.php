<?php

declare(strict_types=1);

namespace Olvek\Console\Command;

use Olvek\Core\Judgement\Margin\Band;
use Olvek\Core\Planning\Event\Event;
use Olvek\Core\Planning\Plan\EventDocument;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Simulation\Run\Trace;
use Olvek\Service\Site\FormatOption;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('olvek:run', 'Runs a plan day by day and prints what the tank does')]
final class RunCommand extends Command
{
    /** Columns of a row an hour, beside day and hour. */
    private const HOURLY = ['ammonia', 'nitrite', 'nitrate', 'oxygen', 'pH', 'carbonDioxide'];

    public function __construct(private readonly PlanArgument $plans, private readonly Processes $processes)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        PlanArgument::add($this);
        $this->addOption('days', null, InputOption::VALUE_REQUIRED, '1–'.Plan::LAST_DAY, '365')
            ->addOption('every', null, InputOption::VALUE_REQUIRED, 'A row each day or each hour', 'day')
            ->addOption(
                'band',
                null,
                InputOption::VALUE_REQUIRED,
                'Beside the likely run, the 10th and 90th percentile of so many tanks whose uncertain numbers differ (0: none)',
                '0',
            )
            ->addOption('events', null, InputOption::VALUE_REQUIRED, 'A file of events as JSON (docs/formats.md)')
            ->addOption('format', null, InputOption::VALUE_REQUIRED, 'csv or json', 'csv');
        $columns = '';
        foreach (Trace::COLUMNS as $column => $unit) {
            $columns .= \sprintf("  %-20s %s%s\n", $column, $unit, \in_array($column, self::HOURLY, true) ? ' *' : '');
        }
        $this->setHelp(
            'One row a day, or with --every=hour one an hour of what changes within it (marked *). With --band each column is followed by '
                ."its 10th and 90th percentile. Nitrogen is always mg N, never the ion. Columns:\n\n$columns\nIn JSON also the mass (g "
                    .'dry) and leaf nitrogen (mg/g) of each clump. Ends with 1 for a bad plan or events, with 2 for a wrong call.',
        );
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $days = (int) FormatOption::needed($input, 'days', 1, Plan::LAST_DAY);
        $format = FormatOption::text($input, 'format');
        if (!\in_array($format, ['csv', 'json'], true)) {
            throw FormatOption::wrong('--format is csv or json');
        }
        $every = FormatOption::text($input, 'every');
        if (!\in_array($every, ['day', 'hour'], true)) {
            throw FormatOption::wrong('--every is day or hour');
        }
        $members = (int) FormatOption::needed($input, 'band', 0, 256);
        if ($members > 0 && 'hour' === $every) {
            throw FormatOption::wrong('--band goes by the day: leave out --every=hour');
        }
        $errors = PlanArgument::errors($output);
        $plan = $this->plans->plan($input, $errors);
        if (null === $plan) {
            return Command::FAILURE;
        }
        $file = FormatOption::text($input, 'events');
        $happenings = '' === $file ? [] : PlanArgument::read($file, (new EventDocument($plan))->fromJson(...), $errors);
        if (null === $happenings) {
            return Command::FAILURE;
        }
        if ('hour' === $every) {
            return $this->hours($plan, $days, $happenings, $format, $output);
        }
        $trace = (new Runner($plan))->run($days, $happenings);
        $band = $members > 0 ? $this->band($plan, $days, $happenings, $members, $errors) : [];
        if ('json' === $format) {
            $output->writeln(
                FormatOption::json([
                    'units' => Trace::COLUMNS,
                    'columns' => $trace->columns,
                    'clumps' => array_map(static fn ($c): string => $c->id, $plan->clumps),
                    'mass' => $trace->clumps,
                    'leafNitrogen' => $trace->quotas,
                    ...[] === $band ? [] : ['members' => $members, 'band' => $band],
                ]),
                OutputInterface::OUTPUT_RAW,
            );

            return Command::SUCCESS;
        }
        $columns = [];
        foreach ($trace->columns as $name => $values) {
            $columns[$name] = $values;
            if ([] !== $band && 'day' !== $name) {
                $columns["$name.10"] = $band[$name]['10'];
                $columns["$name.90"] = $band[$name]['90'];
            }
        }
        $output->writeln(implode(',', array_keys($columns)), OutputInterface::OUTPUT_RAW);
        for ($day = 0; $day < $trace->days(); ++$day) {
            $output->writeln(
                implode(',', array_map(static fn (array $column): string => \sprintf('%.6g', $column[$day]), $columns)),
                OutputInterface::OUTPUT_RAW,
            );
        }

        return Command::SUCCESS;
    }

    /** @param list<Event> $events */
    private function hours(Plan $plan, int $days, array $events, string $format, OutputInterface $output): int
    {
        $rows = [];
        (new Runner($plan))->run(
            $days,
            $events,
            hourly: static function (int $day, int $hour, array $water) use (&$rows): void {
                $rows[] = [$day, $hour, ...array_map(static fn (string $column): float => $water[$column], self::HOURLY)];
            },
        );
        $names = ['day', 'hour', ...self::HOURLY];
        if ('json' === $format) {
            $units = array_map(
                static fn (string $column): string => explode(',', Trace::COLUMNS[$column])[0],
                array_combine(self::HOURLY, self::HOURLY),
            );
            $output->writeln(
                FormatOption::json(['units' => ['day' => 'd', 'hour' => 'h, at its end', ...$units], 'names' => $names, 'rows' => $rows]),
                OutputInterface::OUTPUT_RAW,
            );

            return Command::SUCCESS;
        }
        $output->writeln(implode(',', $names), OutputInterface::OUTPUT_RAW);
        foreach ($rows as $row) {
            $output->writeln(
                implode(
                    ',',
                    array_map(static fn (int|float $value): string => \is_int($value) ? (string) $value : \sprintf('%.6g', $value), $row),
                ),
                OutputInterface::OUTPUT_RAW,
            );
        }

        return Command::SUCCESS;
    }

    /**
     * @param list<Event> $events
     *
     * @return array<string, array{'10': list<float>, '90': list<float>}> by column
     */
    private function band(Plan $plan, int $days, array $events, int $members, OutputInterface $errors): array
    {
        /** @var array<int, array<string, list<float>>> $runs */
        $runs = $this->processes->map(new RunPieces($plan, $members, $days, $events), $members, FormatOption::progress($errors));
        $band = [];
        foreach (array_keys(Trace::COLUMNS) as $column) {
            for ($day = 0; $day < $days; ++$day) {
                $values = array_map(static fn (array $columns): float => $columns[$column][$day], array_values($runs));
                sort($values);
                \assert([] !== $values);
                $band[$column]['10'][] = Band::percentile($values, 0.1);
                $band[$column]['90'][] = Band::percentile($values, 0.9);
            }
        }

        return $band;
    }
}
