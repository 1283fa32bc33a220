<?php

declare(strict_types=1);

namespace Olvek\Console\Command;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Basis\Unit\Words;
use Olvek\Core\Keeping\Estimation\Breath;
use Olvek\Core\Keeping\Estimation\Departure;
use Olvek\Core\Keeping\Estimation\Estimate;
use Olvek\Core\Keeping\Estimation\Estimator;
use Olvek\Core\Keeping\Estimation\Habit;
use Olvek\Core\Keeping\Estimation\NextTest;
use Olvek\Core\Keeping\Estimation\Quantity;
use Olvek\Core\Keeping\Log\TestKit;
use Olvek\Core\Planning\Plan\PlannedEvent;
use Olvek\Service\Site\FormatOption;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('olvek:today', 'Estimates a running tank from its plan and its logbook: what it holds, how sure, and what to test next')]
final class TodayCommand extends Command
{
    /** Of the columns of its table. */
    private const WIDTHS = [36, 20, 36, 36];

    public function __construct(
        private readonly PlanArgument $plans,
        private readonly Estimation $estimation,
        private readonly VerdictOutput $verdicts,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        PlanArgument::add($this);
        LogArgument::add($this);
        $this->addOption('units', null, InputOption::VALUE_REQUIRED, 'metric or us', 'metric')
            ->setHelp('Ends with 0 when there is an estimate; 1 when plan or logbook is none; 2 when the call is wrong.');
        FormatOption::add($this);
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $format = FormatOption::read($input);
        $units = UnitSystem::tryFrom(FormatOption::text($input, 'units')) ?? throw FormatOption::wrong('--units is metric or us');
        $errors = PlanArgument::errors($output);
        $plan = $this->plans->plan($input, $errors, $units);
        $read = null === $plan ? null : LogArgument::log($input, $errors);
        if (null === $plan || null === $read) {
            return Command::FAILURE;
        }
        $estimator = new Estimator($plan, ...$read);
        $now = $this->estimation->estimate($estimator, FormatOption::progress($errors));
        $estimate = $now->estimate;
        $breath = Breath::of($plan, $read[0]);
        $output->writeln(
            'json' === $format
                ? FormatOption::json([...self::data($estimator, $estimate, $breath), ...$this->verdicts->data($now->standing, $units)])
                : [...self::lines($estimator, $estimate, $breath, $units), '', ...$this->verdicts->lines($now->standing, $units)],
            OutputInterface::OUTPUT_RAW,
        );

        return Command::SUCCESS;
    }

    /** @return list<string> */
    private static function lines(Estimator $estimator, Estimate $estimate, ?Breath $breath, UnitSystem $units): array
    {
        $kit = TestKit::of();
        $lines = [
            \sprintf('Day %d, from %d readings held against %d tanks.', $estimate->today, $estimate->readings, Estimator::MEMBERS),
            '',
            FormatOption::row(self::WIDTHS, ['', 'likely', 'eight in ten tanks', 'before the readings']),
        ];
        foreach (Quantity::cases() as $quantity) {
            $say = static fn (float $value): string => $quantity->say($value, $kit, $units);
            [$low, $middle, $high] = $estimate->on($quantity, $estimate->today);
            [$least, , $most] = $estimate->wasExpected($quantity, $estimate->today);
            $lines[] = FormatOption::row(self::WIDTHS, [
                Words::capital($quantity->label()),
                $say($middle),
                $say($low).' to '.$say($high),
                $say($least).' to '.$say($most),
            ]);
        }
        $lines[] = '';
        foreach ($estimate->habits as $habit) {
            $lines[] = \sprintf(
                '%s: %s times what is usual (%s to %s)%s',
                Words::capital($habit->words),
                ...[...array_map(
                    static fn (float $f): string => Decimal::significant($f, 2),
                    [$habit->learned[1], $habit->learned[0], $habit->learned[2]],
                ),
                    $habit->isTold() ? '' : '; the readings tell next to nothing of it'],
            );
        }
        if (null !== $breath) {
            $lines[] = \sprintf(
                'Day %d: CO2 %s mg/L before dawn, %s mg/L at dusk; light drew %s mg of carbon from each litre.',
                $breath->day,
                ...array_map(static fn (float $v): string => Decimal::significant($v, 2), [$breath->dawn, $breath->dusk, $breath->drawn]),
            );
        }
        foreach ($estimate->departures as $departure) {
            $lines[] = $departure->words().'.';
        }
        foreach ($estimate->asked($estimator->unlogged) as [$event, $share]) {
            $lines[] = \sprintf(
                'Did this happen? %s, day %d: %d of %d tanks speak for it.',
                Words::capital($event->kind->words()),
                $event->day,
                (int) round($share * Estimator::MEMBERS),
                Estimator::MEMBERS,
            );
        }
        $untold = array_map(static fn (Quantity $q): string => $q->label(), $estimate->untold());
        $lines[] = [] === $untold
            ? 'The readings tell something of everything.'
            : 'The readings tell next to nothing of: '.implode(', ', $untold).'.';
        foreach (\array_slice($estimate->tests, 0, 3) as $n => $test) {
            $lines[] = \sprintf(
                '%s %s on day %d takes %d %% of what is unknown%s.',
                0 === $n ? 'What would tell most:' : 'Then:',
                $test->measure->label(),
                $test->day,
                (int) round(100 * $test->tells),
                [] === $test->of ? '' : ', most of '.implode(', ', array_map(static fn (Quantity $q): string => $q->label(), $test->of)),
            );
        }

        return $lines;
    }

    /** @return array<string, mixed> */
    private static function data(Estimator $estimator, Estimate $estimate, ?Breath $breath): array
    {
        $quantities = [];
        foreach (Quantity::cases() as $quantity) {
            [$low, $middle, $high] = $estimate->on($quantity, $estimate->today);
            [$least, $likely, $most] = $estimate->wasExpected($quantity, $estimate->today);
            $quantities[$quantity->value] = [
                'p10' => $low,
                'p50' => $middle,
                'p90' => $high,
                'before' => ['p10' => $least, 'p50' => $likely, 'p90' => $most],
                'unknown' => round($estimate->unknown($quantity), 3),
            ];
        }

        return [
            'day' => $estimate->today,
            'readings' => $estimate->readings,
            'tanks' => Estimator::MEMBERS,
            'quantities' => $quantities,
            'habits' => array_map(
                static fn (Habit $h): array => [
                    'words' => $h->words,
                    'p10' => $h->learned[0],
                    'p50' => $h->learned[1],
                    'p90' => $h->learned[2],
                    'told' => $h->isTold(),
                ],
                $estimate->habits,
            ),
            'breath' => null === $breath ? null : get_object_vars($breath),
            'unlogged' => array_map(
                /** @param array{PlannedEvent, float} $asked */
                static fn (array $asked): array => ['do' => $asked[0]->kind->value, 'day' => $asked[0]->day, 'share' => $asked[1]],
                $estimate->asked($estimator->unlogged),
            ),
            'departures' => array_map(static fn (Departure $d): string => $d->words(), array_values($estimate->departures)),
            'untold' => array_map(static fn (Quantity $q): string => $q->value, $estimate->untold()),
            'tests' => array_map(
                static fn (NextTest $t): array => [
                    'measure' => $t->measure->value,
                    'day' => $t->day,
                    'tells' => round($t->tells, 3),
                    'of' => array_map(static fn (Quantity $q): string => $q->value, $t->of),
                ],
                $estimate->tests,
            ),
        ];
    }
}
