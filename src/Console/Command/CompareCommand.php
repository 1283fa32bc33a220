<?php

declare(strict_types=1);

namespace Olvek\Console\Command;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Basis\Unit\Words;
use Olvek\Core\Judgement\Compare\Curves;
use Olvek\Core\Judgement\Compare\Difference;
use Olvek\Core\Judgement\Compare\Differences;
use Olvek\Core\Judgement\Compare\Doubt;
use Olvek\Core\Judgement\Compare\Part;
use Olvek\Core\Judgement\Compare\Side;
use Olvek\Core\Judgement\Margin\Margin;
use Olvek\Core\Keeping\Log\Log;
use Olvek\Core\Keeping\Log\LogFile;
use Olvek\Core\Keeping\Log\TestKit;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Service\Site\FormatOption;
use Olvek\Service\Speech\Speech;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('olvek:compare', 'Compares two or three plans: what differs, margin by margin, curves, cost, weight, work')]
final class CompareCommand extends Command
{
    private const MOST = 3;
    private const WIDTHS = [30, 30, 30, 30];
    /** Days on which curves are told. */
    private const DAYS = [14, 30, 60, 120, 240, 364];

    public function __construct(
        private readonly PlanDocument $document,
        private readonly Catalogue $catalogue,
        private readonly Processes $processes,
        private readonly Speech $speech,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('plans', InputArgument::REQUIRED | InputArgument::IS_ARRAY, 'Two or three plans as JSON; - for standard input')
            ->addOption(
                'log',
                null,
                InputOption::VALUE_REQUIRED | InputOption::VALUE_IS_ARRAY,
                'N=LOG.csv: plan N (1 to 3) as it has gone by this logbook',
                [],
            )
            ->addOption('band', null, InputOption::VALUE_REQUIRED, 'Uncertain tanks by which the doubt is known', (string) Doubt::TANKS)
            ->addOption('units', null, InputOption::VALUE_REQUIRED, 'metric or us', 'metric')
            ->setHelp(
                <<<'HELP'
                olvek:compare thin.json deep.json
                olvek:compare plan.json plan.json --log=2=log.csv      a plan against its own log

                Ends with 0 where they differ in nothing, 3 where they differ, 1 for a bad plan or logbook, 2 for a wrong call.
                HELP
                ,
            );
        FormatOption::add($this);
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $format = FormatOption::read($input);
        $units = UnitSystem::tryFrom(FormatOption::text($input, 'units')) ?? throw FormatOption::wrong('--units is metric or us');
        $tanks = (int) FormatOption::needed($input, 'band', 0, 64);
        /** @var list<string> $files */
        $files = $input->getArgument('plans');
        if (\count($files) < 2 || \count($files) > self::MOST) {
            throw FormatOption::wrong('give two or three plans');
        }
        $errors = PlanArgument::errors($output);
        $logs = $this->logs($input, \count($files), $errors);
        $plans = [];
        foreach ($files as $file) {
            $plan = PlanArgument::read($file, fn (string $json): Plan => $this->document->fromForeignJson($json), $errors, $units);
            if (null !== $plan) {
                $plans[] = $plan;
            }
        }
        if (null === $logs || \count($plans) < \count($files)) {
            return Command::FAILURE;
        }
        $sides = [];
        foreach ($plans as $n => $plan) {
            $sides[] = isset($logs[$n]) ? Side::lived($plan, $logs[$n][0], $logs[$n][1], $units) : Side::of($plan, $units);
        }
        $differences = array_map(
            fn (Side $side): Differences => Differences::between($sides[0]->plan, $side->plan, $this->catalogue, $units),
            \array_slice($sides, 1),
        );
        $clear = $this->clear($plans, $tanks, FormatOption::progress($errors));
        $output->writeln(
            'json' === $format
                ? FormatOption::json($this->data($sides, $differences, $clear))
                : $this->lines($sides, $differences, $clear, $units),
            OutputInterface::OUTPUT_RAW,
        );

        return [] === array_filter($differences, static fn (Differences $d): bool => [] !== $d->all) && [] === $logs ? Command::SUCCESS : 3;
    }

    /** @return array<int, array{Log, int}>|null log and last day by place; null where one cannot be read */
    private function logs(InputInterface $input, int $plans, OutputInterface $errors): ?array
    {
        /** @var list<string> $options */
        $options = $input->getOption('log');
        $logs = [];
        foreach ($options as $option) {
            [$n, $file] = [...explode('=', $option, 2), ''];
            if (!ctype_digit($n) || (int) $n < 1 || (int) $n > $plans || '' === $file) {
                throw FormatOption::wrong('--log is written as 2=log.csv');
            }
            $log = PlanArgument::read($file, static fn (string $text): Log => LogFile::read($text), $errors);
            if (null === $log) {
                return null;
            }
            $logs[(int) $n - 1] = [$log, max([0, ...array_column($log->readings, 'day'), ...array_column($log->events, 'day')])];
        }

        return $logs;
    }

    /**
     * @param list<Plan>               $plans
     * @param \Closure(int, int): bool $progress
     *
     * @return list<array<string, bool>> of the second and third against the first, by margin
     */
    private function clear(array $plans, int $tanks, \Closure $progress): array
    {
        if (0 === $tanks) {
            return [];
        }
        $members = [];
        foreach ($plans as $plan) {
            /** @var array<int, array<string, array{float, bool}>> $judged */
            $judged = $this->processes->map(new BandPieces($plan, $tanks), $tanks, $progress);
            $members[] = $judged;
        }

        return array_map(static fn (array $other): array => Doubt::clear($members[0], $other), \array_slice($members, 1));
    }

    /**
     * @param list<Side>                $sides
     * @param list<Differences>         $differences
     * @param list<array<string, bool>> $clear
     *
     * @return list<string>
     */
    private function lines(array $sides, array $differences, array $clear, UnitSystem $units): array
    {
        $lines = [];
        foreach ($differences as $n => $of) {
            $lines[] = \sprintf('%s and %s: %s', $sides[0]->plan->name, $sides[$n + 1]->plan->name, $of->sentence());
            foreach ($of->parts() as $part) {
                $lines[] = '  '.Words::capital($part->words());
                foreach ($of->of($part) as $difference) {
                    $lines[] = "    {$difference->words()}";
                }
            }
        }
        $lines[] = '';
        $lines[] = self::row('', array_map(static fn (Side $s): string => $s->plan->name, $sides));
        $lines[] = self::row('', array_map(static fn (Side $s): string => $s->state->words(), $sides));
        foreach ($sides[0]->margins as $i => $margin) {
            $told = '';
            foreach ($clear as $of) {
                $told .= ($of[$margin->id->value] ?? false) ? '  differs' : '  no clear difference';
            }
            $lines[] = self::row($margin->name, array_map(static fn (Side $s): string => $s->margins[$i]->shown, $sides)).$told;
        }
        $lines[] = self::row('Cost, about', array_map(static fn (Side $s): string => Decimal::significant($s->cost, 2), $sides));
        $weight = static fn (Side $s): string => $units->show(Dimension::Mass, 1000.0 * $s->kilograms, 1);
        $lines[] = self::row('Weight', array_map($weight, $sides));
        $lines[] = self::row('Work a week', array_map(static fn (Side $s): string => Decimal::trimmed($s->minutes, 0).' min', $sides));
        $kit = TestKit::of();
        foreach (Curves::all() as $quantity) {
            foreach (self::DAYS as $day) {
                $on = static fn (Side $s): float => $s->trace->columns[$quantity->value][min($day, $s->trace->days() - 1)];
                $lines[] = self::row(
                    \sprintf('%s, day %d', Words::capital($quantity->label()), $day),
                    array_map(static fn (Side $s): string => $quantity->say($on($s), $kit, $units), $sides),
                );
            }
        }

        return $lines;
    }

    /** @param list<string> $cells */
    private static function row(string $name, array $cells): string
    {
        return rtrim(FormatOption::row(self::WIDTHS, [$name, ...$cells]));
    }

    /**
     * @param list<Side>                $sides
     * @param list<Differences>         $differences
     * @param list<array<string, bool>> $clear
     *
     * @return array<string, mixed>
     */
    private function data(array $sides, array $differences, array $clear): array
    {
        return [
            'plans' => array_map(fn (Side $s): array => [
                'name' => $s->plan->name,
                'state' => $s->state->value,
                'verdict' => $this->speech->sayAll($s->verdict, UnitSystem::Metric),
                'cost' => round($s->cost, 1),
                'kilograms' => round($s->kilograms, 1),
                'minutesAWeek' => round($s->minutes, 1),
            ], $sides),
            'differences' => array_map(static fn (Differences $of, int $n): array => [
                'with' => $n + 2,
                'sentence' => $of->sentence(),
                'parts' => array_map(static fn (Part $p): string => $p->value, $of->parts()),
                'all' => array_map(static fn (Difference $d): array => [
                    'part' => $d->part->value,
                    'place' => $d->place,
                    'label' => $d->label,
                    'here' => $d->one,
                    'there' => $d->other,
                ], $of->all),
            ], $differences, array_keys($differences)),
            'margins' => array_map(static fn (Margin $m, int $i): array => [
                'id' => $m->id->value,
                'name' => $m->name,
                'values' => array_map(static fn (Side $s): array => [
                    'measure' => $s->margins[$i]->measure,
                    'shown' => $s->margins[$i]->shown,
                    'state' => $s->margins[$i]->state->value,
                ], $sides),
                'differs' => array_map(static fn (array $of): bool => $of[$m->id->value] ?? false, $clear),
            ], $sides[0]->margins, array_keys($sides[0]->margins)),
            'curves' => array_map(static fn ($q): array => [
                'quantity' => $q->value,
                'days' => self::DAYS,
                'values' => array_map(static fn (Side $s): array => array_map(
                    static fn (int $day): float => round($s->trace->columns[$q->value][min($day, $s->trace->days() - 1)], 5),
                    self::DAYS,
                ), $sides),
            ], Curves::all()),
        ];
    }
}
