<?php

declare(strict_types=1);

namespace Olvek\Bench;

use Olvek\Core\Build\MaterialNeed;
use Olvek\Core\Margin\Flow;
use Olvek\Core\Margin\Judge;
use Olvek\Core\Margin\Judgement;
use Olvek\Core\Margin\Margin;
use Olvek\Core\Margin\Term;
use Olvek\Core\Plan\InvalidPlan;
use Olvek\Core\Plan\PlanDocument;
use Olvek\Core\Unit\UnitSystem;
use Olvek\Site\FormatOption;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('olvek:judge', 'Judges a plan: verdict, margins, ledger, quantities')]
final class JudgeCommand extends Command
{
    public function __construct(private readonly PlanDocument $document)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('plan', InputArgument::REQUIRED, 'A plan as JSON, or - for standard input')
            ->addOption('units', null, InputOption::VALUE_REQUIRED, 'metric or us', 'metric')
            ->addOption('day', null, InputOption::VALUE_REQUIRED, 'Day whose ledger is wanted; the hardest where left out')
            ->setHelp('Ends with 0 when the plan could be judged, whatever the verdict; 1 when it is no valid plan; 2 when the call is wrong.');
        FormatOption::add($this);
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $format = FormatOption::read($input);
        $units = UnitSystem::tryFrom(FormatOption::text($input, 'units')) ?? throw FormatOption::wrong('--units is metric or us');
        $day = FormatOption::text($input, 'day');
        if ('' !== $day && (!ctype_digit($day) || \strlen($day) > 4)) {
            throw FormatOption::wrong('--day is a whole number from 0');
        }
        $file = $input->getArgument('plan');
        \assert(\is_string($file));
        $errors = $output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output;
        $json = FormatOption::content($file);
        if (null === $json) {
            $errors->writeln("$file cannot be read.");

            return Command::FAILURE;
        }
        try {
            $plan = $this->document->fromJson($json);
        } catch (InvalidPlan $refused) {
            FormatOption::reasons($errors, $refused, $units);

            return Command::FAILURE;
        }
        $judgement = Judge::judge($plan, $units, '' === $day ? null : (int) $day);
        $output->writeln('json' === $format ? FormatOption::json(self::data($judgement)) : self::lines($judgement), OutputInterface::OUTPUT_RAW);

        return Command::SUCCESS;
    }

    /** @return list<string> */
    private static function lines(Judgement $judgement): array
    {
        $lines = [$judgement->verdict, ''];
        foreach ($judgement->margins as $margin) {
            $lines[] = \sprintf('%-6s %-18s %8s  %s', $margin->state->words(), $margin->name, $margin->shown, $margin->sentence);
        }
        $lines[] = '';
        $lines[] = \sprintf('Nitrogen on day %d, mg N a day:', $judgement->ledger->day);
        foreach ($judgement->ledger->flows as $flow) {
            $lines[] = \sprintf('  %-8s -> %-8s %9.4f  %s', $flow->from, $flow->to, $flow->amount, $flow->through);
        }

        return $lines;
    }

    /** @return array<string, mixed> */
    private static function data(Judgement $judgement): array
    {
        $ledger = $judgement->ledger;
        $quantities = $judgement->quantities;

        return [
            'state' => $judgement->state->value,
            'verdict' => $judgement->verdict,
            'margins' => array_map(static fn (Margin $m): array => [
                'id' => $m->id, 'name' => $m->name, 'state' => $m->state->value, 'value' => $m->value, 'limit' => $m->limit, 'good' => $m->good,
                'worstDay' => $m->worstDay, 'shown' => $m->shown, 'sentence' => $m->sentence, 'help' => $m->help,
                'terms' => array_map(static fn (Term $t): array => ['label' => $t->label, 'value' => $t->value, 'provenance' => $t->provenance?->value, 'source' => $t->source], $m->terms),
            ], $judgement->margins),
            'ledger' => [
                'day' => $ledger->day, 'unit' => 'mg N/d', 'ammonia' => $ledger->ammonia, 'nitrate' => $ledger->nitrate, 'supply' => $ledger->supply,
                'capacity' => $ledger->capacity, 'safe' => $ledger->safe, 'unionisedShare' => $ledger->unionised, 'keepsUp' => $ledger->keepsUp,
                'flows' => array_map(static fn (Flow $f): array => ['from' => $f->from, 'to' => $f->to, 'amount' => $f->amount, 'through' => $f->through], $ledger->flows),
            ],
            'light' => ['unit' => 'umol/m2/s', 'surface' => $judgement->light->surface, 'bed' => $judgement->light->bed, 'clumps' => $judgement->light->clumps],
            'quantities' => [
                'grossWater' => $quantities->grossWater, 'netWater' => $quantities->netWater, 'poreWater' => $quantities->poreWater, 'soil' => $quantities->soilVolume, 'cap' => $quantities->capVolume,
                'bedMass' => $quantities->bedMass, 'glassMass' => $quantities->glassMass, 'fullMass' => $quantities->fullMass, 'load' => $quantities->load, 'pieces' => $quantities->pieces,
                'materials' => array_map(static fn (MaterialNeed $n): array => ['material' => $n->material->id, 'litres' => $n->litres, 'kilograms' => $n->kilograms], $quantities->materials),
            ],
        ];
    }
}
