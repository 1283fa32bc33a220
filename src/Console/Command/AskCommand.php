<?php

declare(strict_types=1);

namespace Olvek\Console\Command;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Basis\Unit\Words;
use Olvek\Core\Judgement\Ask\AskOutcome;
use Olvek\Core\Judgement\Ask\Comparison;
use Olvek\Core\Judgement\Ask\FutureOnly;
use Olvek\Core\Judgement\Ask\Line;
use Olvek\Core\Judgement\Standing\SimulatedTank;
use Olvek\Core\Keeping\Estimation\Estimator;
use Olvek\Core\Keeping\Log\TestKit;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Plan\InvalidPlan;
use Olvek\Service\Site\FormatOption;
use Olvek\Service\Speech\Speech;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('olvek:ask', 'Tries something on a running tank as it is today: the days ahead with it, against going on as now')]
final class AskCommand extends Command
{
    /** Of the columns of its table. */
    private const WIDTHS = [36, 60, 60];

    public function __construct(
        private readonly PlanArgument $plans,
        private readonly Estimation $estimation,
        private readonly Editor $editor,
        private readonly Speech $speech,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        PlanArgument::add($this);
        LogArgument::add($this);
        $this->addOption(
            'if',
            null,
            InputOption::VALUE_REQUIRED | InputOption::VALUE_IS_ARRAY,
            'What would be done, in days to come: events.add.KIND="DAY [WHOM] [HOW MUCH]" or animals.add.KIND="COUNT on DAY"',
            [],
        )
            ->addOption('units', null, InputOption::VALUE_REQUIRED, 'metric or us', 'metric')
            ->setHelp(
                <<<'HELP'
                --if=events.add.stock="250 a1 6"     six more of group a1 on day 250
                --if=events.add.light="250 9"        lamp for nine hours from then on
                --if=events.add.fertilise=250        a usual dose
                --if=events.add.trim="250 c6 50"     half of clump c6 cut
                --if=events.add.changes="250 0"      no more changes of water
                --if=events.add.holiday="250 21"     away for three weeks
                --if=animals.add.neocaridina-davidi="10 on 250"

                Ends with 0 where nothing speaks against it or it helps, 3 where it is better not done or not clear, 1 for a bad plan,
                logbook or proposal, 2 for a wrong call.
                HELP
                ,
            );
        FormatOption::add($this);
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $format = FormatOption::read($input);
        $units = UnitSystem::tryFrom(FormatOption::text($input, 'units')) ?? throw FormatOption::wrong('--units is metric or us');
        /** @var list<string> $proposed */
        $proposed = $input->getOption('if');
        if ([] === $proposed) {
            throw FormatOption::wrong('--if is missing');
        }
        $errors = PlanArgument::errors($output);
        $plan = $this->plans->plan($input, $errors, $units);
        $read = null === $plan ? null : LogArgument::log($input, $errors);
        if (null === $plan || null === $read) {
            return Command::FAILURE;
        }
        $then = $plan;
        try {
            foreach ($proposed as $one) {
                [$place, $typed] = [...explode('=', $one, 2), ''];
                $then = $this->editor->apply($then, [$place => $typed], $units)->plan;
            }
            FutureOnly::check($plan, $then, $read[1]);
        } catch (InvalidPlan $refused) {
            FormatOption::reasons($errors, $refused, $units);

            return Command::FAILURE;
        }
        $estimator = new Estimator($plan, ...$read);
        $progress = FormatOption::progress($errors);
        $now = $this->estimation->estimate($estimator, $progress);
        $tanks = $this->estimation->then($estimator, $now->estimate, $then, $progress);
        $comparison = Comparison::of(
            $then,
            array_map(AskOutcome::all(...), $now->estimate->asNow),
            array_map(AskOutcome::all(...), $now->estimate->ahead(SimulatedTank::members($tanks))),
            $now->standing->sound,
            SimulatedTank::prospects($tanks),
        );
        $output->writeln(
            'json' === $format ? FormatOption::json($this->data($comparison, $units)) : $this->lines($comparison, $units),
            OutputInterface::OUTPUT_RAW,
        );

        return $comparison->verdict->isGood() ? Command::SUCCESS : 3;
    }

    /** @return list<string> */
    private function lines(Comparison $comparison, UnitSystem $units): array
    {
        $kit = TestKit::of();
        $lines = [
            $this->speech->sayAll($comparison->sentences, $units),
            '',
            FormatOption::row(self::WIDTHS, ['In the next eight weeks', 'as now', 'with it']),
        ];
        foreach ($comparison->lines as $line) {
            $say = static fn (float $value): string => $line->outcome->quantity()->say($value, $kit, $units);
            $lines[] = FormatOption::row(self::WIDTHS, [
                Words::capital($line->outcome->quantity()->label()).' '.$line->outcome->when(),
                \sprintf('%s (%s to %s)', $say($line->asNow[1]), $say($line->asNow[0]), $say($line->asNow[2])),
                \sprintf('%s (%s to %s)', $say($line->then[1]), $say($line->then[0]), $say($line->then[2])),
                $line->isClear() ? '' : 'no clear difference',
            ]);
        }

        return $lines;
    }

    /** @return array<string, mixed> */
    private function data(Comparison $comparison, UnitSystem $units): array
    {
        return [
            'verdict' => $comparison->verdict->value,
            'sentence' => $this->speech->sayAll($comparison->sentences, $units),
            'sentences' => array_map(fn (Message $m): array => $this->speech->data($m, $units), $comparison->sentences),
            'tanks' => $comparison->tanks,
            'held' => $comparison->held,
            'holds' => $comparison->holds,
            'outcomes' => array_map(
                static fn (Line $l): array => [
                    'outcome' => $l->outcome->value,
                    'when' => $l->outcome->when(),
                    'asNow' => $l->asNow,
                    'then' => $l->then,
                    'differs' => $l->differs,
                    'clear' => $l->isClear(),
                    'limit' => $l->limit,
                    'held' => $l->held,
                    'holds' => $l->holds,
                ],
                $comparison->lines,
            ),
        ];
    }
}
