<?php

declare(strict_types=1);

namespace Olvek\Bench;

use Olvek\Core\Plan\InvalidPlan;
use Olvek\Core\Plan\PlanDocument;
use Olvek\Core\Run\Event\EventDocument;
use Olvek\Core\Run\Runner;
use Olvek\Core\Run\Trace;
use Olvek\Site\FormatOption;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('olvek:run', 'Runs a plan day by day and prints what the tank does')]
final class RunCommand extends Command
{
    public function __construct(private readonly PlanDocument $document)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('plan', InputArgument::REQUIRED, 'A plan as JSON, or - for standard input')
            ->addOption('days', null, InputOption::VALUE_REQUIRED, '1–1095', '365')
            ->addOption('events', null, InputOption::VALUE_REQUIRED, 'A file of events as JSON (docs/formats.md)')
            ->addOption('format', null, InputOption::VALUE_REQUIRED, 'csv or json', 'csv');
        $columns = '';
        foreach (Trace::COLUMNS as $column => $unit) {
            $columns .= \sprintf("  %-20s %s\n", $column, $unit);
        }
        $this->setHelp("One row a day. Nitrogen is always mg N, never the ion. Columns:\n\n$columns\nIn JSON also the mass (g dry) and leaf nitrogen (mg/g) of each clump. Ends with 1 for a bad plan or events, with 2 for a wrong call.");
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $days = (int) FormatOption::needed($input, 'days', 1, 1095);
        $format = FormatOption::text($input, 'format');
        if (!\in_array($format, ['csv', 'json'], true)) {
            throw FormatOption::wrong('--format is csv or json');
        }
        $errors = $output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output;
        $file = $input->getArgument('plan');
        \assert(\is_string($file));
        $json = FormatOption::content($file);
        $eventFile = FormatOption::text($input, 'events');
        $events = '' === $eventFile ? '{"events": []}' : FormatOption::content($eventFile);
        if (null === $json || null === $events) {
            $errors->writeln((null === $json ? $file : $eventFile).' cannot be read.');

            return Command::FAILURE;
        }
        try {
            $plan = $this->document->fromJson($json);
            $trace = (new Runner($plan))->run($days, (new EventDocument($plan))->fromJson($events));
        } catch (InvalidPlan $refused) {
            FormatOption::reasons($errors, $refused);

            return Command::FAILURE;
        }
        if ('json' === $format) {
            $output->writeln(FormatOption::json(['units' => Trace::COLUMNS, 'columns' => $trace->columns, 'clumps' => array_map(static fn ($c): string => $c->id, $plan->clumps), 'mass' => $trace->clumps, 'leafNitrogen' => $trace->quotas]), OutputInterface::OUTPUT_RAW);

            return Command::SUCCESS;
        }
        $output->writeln(implode(',', array_keys(Trace::COLUMNS)), OutputInterface::OUTPUT_RAW);
        for ($day = 0; $day < $trace->days(); ++$day) {
            $output->writeln(implode(',', array_map(static fn (array $column): string => \sprintf('%.6g', $column[$day]), $trace->columns)), OutputInterface::OUTPUT_RAW);
        }

        return Command::SUCCESS;
    }
}
