<?php

declare(strict_types=1);

namespace Olvek\Console\Command;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Basis\Unit\Words;
use Olvek\Core\Judgement\Margin\Band;
use Olvek\Core\Judgement\Margin\ClumpLight;
use Olvek\Core\Judgement\Margin\Judge;
use Olvek\Core\Judgement\Margin\Judgement;
use Olvek\Core\Judgement\Margin\Ledger;
use Olvek\Core\Judgement\Margin\Margin;
use Olvek\Core\Judgement\Margin\MarginState;
use Olvek\Core\Judgement\Margin\RemedySearch;
use Olvek\Core\Judgement\Margin\Term;
use Olvek\Core\Judgement\Margin\Tornado;
use Olvek\Core\Judgement\Margin\TriedRemedy;
use Olvek\Core\Planning\Plan\MaterialNeed;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Flow;
use Olvek\Service\Site\FormatOption;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('olvek:judge', 'Judges a plan from a run of its first year: verdict, margins, ledger, quantities')]
final class JudgeCommand extends Command
{
    /** Tanks from which on it is told what decides; fewer would name the wrong numbers. */
    private const ENOUGH = 32;

    public function __construct(
        private readonly PlanArgument $plans,
        private readonly RemedySearch $helps,
        private readonly Processes $processes,
        private readonly VerdictOutput $verdicts,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        PlanArgument::add($this);
        $this->addOption('units', null, InputOption::VALUE_REQUIRED, 'metric or us', 'metric')
            ->addOption('day', null, InputOption::VALUE_REQUIRED, 'Day whose ledger is wanted; the most critical where left out')
            ->addOption('band', null, InputOption::VALUE_REQUIRED, 'Judge so many tanks whose uncertain numbers differ (0: none)', '0')
            ->addOption(
                'helps',
                null,
                InputOption::VALUE_NONE,
                'For each margin that is tight or fails, the changes that would help most, found by trying',
            )
            ->setHelp(
                'Ends with 0 when the plan could be judged, whatever the verdict; 1 when it is no valid plan; 2 when the call is wrong.',
            );
        FormatOption::add($this);
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $format = FormatOption::read($input);
        $units = UnitSystem::tryFrom(FormatOption::text($input, 'units')) ?? throw FormatOption::wrong('--units is metric or us');
        $day = FormatOption::text($input, 'day');
        if ('' !== $day && (!ctype_digit($day) || (int) $day >= Plan::LAST_DAY || \strlen($day) > 4)) {
            throw FormatOption::wrong('--day is a whole number from 0 to '.(Plan::LAST_DAY - 1));
        }
        $errors = PlanArgument::errors($output);
        $plan = $this->plans->plan($input, $errors, $units);
        if (null === $plan) {
            return Command::FAILURE;
        }
        $members = (int) FormatOption::needed($input, 'band', 0, 256);
        $judgement = Judge::judge($plan, $units);
        $ledger = Ledger::onDay($plan, '' === $day ? $judgement->hardestDay() : (int) $day);
        $tornado = null;
        if ($members > 0) {
            /** @var array<int, array<string, array{float, bool}>> $tanks */
            $tanks = $this->processes->map(new BandPieces($plan, $members), $members, FormatOption::progress($errors));
            $judgement = $judgement->with(Band::sureness($tanks), $plan);
            $tornado = $members >= self::ENOUGH ? Tornado::of($plan, $tanks, $units) : null;
        }
        $helps = [];
        foreach (true === $input->getOption('helps') ? $judgement->margins : [] as $margin) {
            if (MarginState::Holds !== $margin->state) {
                $helps[$margin->id->value] = $this->helps->for($plan, $margin->id, $units, $judgement);
            }
        }
        $output->writeln(
            'json' === $format
                ? FormatOption::json([
                    ...$this->verdicts->data($judgement, $units),
                    ...self::data($judgement, $ledger, $helps, ClumpLight::onDay($plan, $ledger->day)),
                    ...self::sure($judgement, $tornado),
                ])
                : [
                    ...$this->verdicts->lines($judgement, $units),
                    ...self::lines($judgement, $ledger, $helps),
                    ...self::sureLines($judgement, $tornado),
                ],
            OutputInterface::OUTPUT_RAW,
        );

        return Command::SUCCESS;
    }

    /** @return list<string> how many tanks come through, and what decides it */
    private static function sureLines(Judgement $judgement, ?Tornado $tornado): array
    {
        if (null === $judgement->sureness) {
            return [];
        }
        $lines = [];
        if (null !== $tornado) {
            $lines[] = \sprintf(
                'What decides it most, by %s, from the low to the high end of each, all else likely:',
                Words::small($tornado->margin->name),
            );
            foreach ($tornado->bars as $bar) {
                $lines[] = \sprintf(
                    '  %-70s %10s -> %-10s %s',
                    $bar->words,
                    $bar->low,
                    $bar->high,
                    '' === $bar->measurable ? '' : "measure it: $bar->measurable",
                );
            }
        }

        return $lines;
    }

    /** @return array<string, mixed> */
    private static function sure(Judgement $judgement, ?Tornado $tornado): array
    {
        return null === $judgement->sureness
            ? []
            : [
                'together' => ['holds' => $judgement->sureness->together, 'of' => $judgement->sureness->of],
                'tornado' => null === $tornado
                        ? null
                        : ['margin' => $tornado->margin->id, 'bars' => array_map(get_object_vars(...), $tornado->bars)],
            ];
    }

    /**
     * @param array<string, list<TriedRemedy>> $helps by margin
     *
     * @return list<string>
     */
    private static function lines(Judgement $judgement, Ledger $ledger, array $helps): array
    {
        $lines = [''];
        foreach ($judgement->margins as $margin) {
            $lines[] = \sprintf('%-6s %-18s %12s  %s', $margin->state->words(), $margin->name, $margin->shown, $margin->sentence);
            if (null !== $margin->spread) {
                $lines[] = \sprintf(
                    '       %s, holds in %d of %d',
                    '' === $margin->spreadWords() ? 'no spread' : 'eight in ten tanks: '.$margin->spreadWords(),
                    $margin->spread->holds,
                    $margin->spread->of,
                );
            }
            foreach ($helps[$margin->id->value] ?? [] as $help) {
                $lines[] = \sprintf(
                    '       tried: %s: %s -> %s%s',
                    $help->words,
                    $help->before,
                    $help->after,
                    '' === $help->cost ? '' : ", but $help->cost",
                );
            }
        }
        $lines[] = '';
        $lines[] = \sprintf('Nitrogen on day %d, mg N a day:', $ledger->day);
        foreach ($ledger->flows as $flow) {
            $lines[] = \sprintf('  %-8s -> %-8s %9.4f  %s', $flow->from, $flow->to, $flow->amount, $flow->through);
        }

        return $lines;
    }

    /**
     * @param array<string, list<TriedRemedy>> $helps by margin
     *
     * @return array<string, mixed>
     */
    private static function data(Judgement $judgement, Ledger $ledger, array $helps, ClumpLight $light): array
    {
        $quantities = $judgement->quantities;

        return [
            'margins' => array_map(
                static fn (Margin $m): array => [
                    'id' => $m->id->value,
                    'name' => $m->name,
                    'voice' => $m->voice->value,
                    'state' => $m->state->value,
                    'value' => $m->value,
                    'limit' => $m->limit,
                    'good' => $m->good,
                    'worstDay' => $m->worstDay,
                    'measure' => $m->measure,
                    'unit' => $m->unit,
                    'shown' => $m->shown,
                    'bound' => $m->bound,
                    'sentence' => $m->sentence,
                    'spread' => null === $m->spread
                            ? null
                            : ['p10' => $m->spread->low, 'p90' => $m->spread->high, 'holds' => $m->spread->holds, 'of' => $m->spread->of],
                    'helps' => array_map(
                        static fn (TriedRemedy $h): array => [
                            'words' => $h->words,
                            'edits' => $h->edits(),
                            'before' => $h->before,
                            'after' => $h->after,
                            'state' => $h->state->value,
                            'cost' => $h->cost,
                        ],
                        $helps[$m->id->value] ?? [],
                    ),
                    'terms' => array_map(
                        static fn (Term $t): array => [
                            'label' => $t->label,
                            'value' => $t->value,
                            'provenance' => $t->provenance?->value,
                            'source' => $t->source,
                        ],
                        $m->terms,
                    ),
                ],
                $judgement->margins,
            ),
            'ledger' => [
                'day' => $ledger->day,
                'unit' => 'mg N/d',
                'ammonia' => $ledger->ammonia,
                'nitrate' => $ledger->nitrate,
                'before' => $ledger->before,
                'after' => $ledger->after,
                'flows' => array_map(
                    static fn (Flow $f): array => ['from' => $f->from, 'to' => $f->to, 'amount' => $f->amount, 'through' => $f->through],
                    $ledger->flows,
                ),
            ],
            'light' => ['unit' => 'umol/m2/s', 'surface' => $light->surface, 'bed' => $light->bed, 'clumps' => $light->clumps],
            'quantities' => [
                'grossWater' => $quantities->grossWater,
                'netWater' => $quantities->netWater,
                'poreWater' => $quantities->poreWater,
                'soil' => $quantities->soilVolume,
                'cap' => $quantities->capVolume,
                'bedMass' => $quantities->bedMass,
                'glassMass' => $quantities->glassMass,
                'fullMass' => $quantities->fullMass,
                'load' => $quantities->load,
                'pieces' => $quantities->pieces,
                'materials' => array_map(
                    static fn (MaterialNeed $n): array => [
                        'material' => $n->material->id,
                        'litres' => $n->litres,
                        'kilograms' => $n->kilograms,
                    ],
                    $quantities->materials,
                ),
            ],
        ];
    }
}
