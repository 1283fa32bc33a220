<?php

declare(strict_types=1);

namespace Olvek\Console\Command;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Judgement\Sign\Evidence;
use Olvek\Core\Judgement\Sign\Explanation;
use Olvek\Core\Judgement\Sign\Knowledge;
use Olvek\Core\Judgement\Sign\NextLook;
use Olvek\Core\Judgement\Sign\RankedCause;
use Olvek\Core\Judgement\Sign\Reader;
use Olvek\Core\Judgement\Sign\RoughPlants;
use Olvek\Core\Judgement\Sign\RoughStock;
use Olvek\Core\Judgement\Sign\RoughTank;
use Olvek\Core\Judgement\Sign\Seen;
use Olvek\Core\Judgement\Sign\TankCase;
use Olvek\Core\Judgement\Sign\Trial;
use Olvek\Core\Keeping\Log\Attempt;
use Olvek\Core\Keeping\Log\Log;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Service\Site\FormatOption;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('olvek:read', 'What lies behind signs seen in a tank: causes by evidence, the next test, what to do')]
final class ReadCommand extends Command
{
    private const TOLD = 5;
    private const EVIDENCE = 5;

    public function __construct(
        private readonly PlanArgument $plans,
        private readonly Reader $reader,
        private readonly Knowledge $knowledge,
        private readonly Catalogue $catalogue,
        private readonly Editor $editor,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        PlanArgument::add($this);
        LogArgument::add($this);
        $list = InputOption::VALUE_REQUIRED | InputOption::VALUE_IS_ARRAY;
        $this->addOption('sign', null, $list, 'What is seen, by its id (olvek:signs), and on which clump or group: pale-tips:c1', [])
            ->addOption('fact', null, $list, 'What you know: firm-crown=yes, spreading=no (olvek:signs --facts)', [])
            ->addOption('litres', null, InputOption::VALUE_REQUIRED, 'Without a plan: how much it holds')
            ->addOption('weeks', null, InputOption::VALUE_REQUIRED, 'Without a plan: how old it is')
            ->addOption('hours', null, InputOption::VALUE_REQUIRED, 'Without a plan: hours of lamp a day', '8')
            ->addOption('sun', null, InputOption::VALUE_NONE, 'Without a plan: sunlight falls on it')
            ->addOption('plants', null, InputOption::VALUE_REQUIRED, 'Without a plan: few, half, full or floaters', 'half')
            ->addOption('animals', null, InputOption::VALUE_REQUIRED, 'Without a plan: nobody, few, many or overfed', 'few')
            ->addOption('units', null, InputOption::VALUE_REQUIRED, 'metric or us', 'metric')
            ->setHelp(
                <<<'HELP'
                olvek:read plan.json --log=log.csv --day=21 --sign=pale-tips:c1
                olvek:read none --litres=60 --weeks=3 --hours=10 --plants=few --animals=nobody --sign=threads

                Ends with 0 where a cause was found, 3 where none explains it, 1 for a bad plan or logbook, 2 for a wrong call.
                HELP
                ,
            );
        FormatOption::add($this);
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $format = FormatOption::read($input);
        $units = UnitSystem::tryFrom(FormatOption::text($input, 'units')) ?? throw FormatOption::wrong('--units is metric or us');
        $case = $this->tank($input, PlanArgument::errors($output), $units);
        if (null === $case) {
            return Command::FAILURE;
        }
        $read = $this->reader->read($case);
        $trials = array_map(
            fn (RankedCause $c): ?Trial => Trial::of($case, $c->cause, $this->editor),
            \array_slice($read->causes, 0, self::TOLD),
        );
        $output->writeln(
            'json' === $format ? FormatOption::json($this->data($read, $trials)) : self::lines($read, $trials),
            OutputInterface::OUTPUT_RAW,
        );

        return null === $read->first() ? 3 : Command::SUCCESS;
    }

    private function tank(InputInterface $input, OutputInterface $errors, UnitSystem $units): ?TankCase
    {
        $answers = $this->answers($input);
        if ('none' === $input->getArgument('plan')) {
            return $this->rough($input)->case($this->catalogue, $this->seen($input, null), $answers, null, $units);
        }
        $plan = $this->plans->plan($input, $errors, $units);
        $logged = null === $plan || '' === FormatOption::text($input, 'log') ? [new Log(), null] : LogArgument::log($input, $errors);
        if (null === $plan || null === $logged) {
            return null;
        }
        $day = FormatOption::number($input, 'day', 0, Plan::LAST_DAY - 1) ?? $logged[1] ?? throw FormatOption::wrong('--day is missing');

        return TankCase::of($plan, $logged[0], (int) $day, $this->seen($input, $plan), $answers, null, $units);
    }

    private function rough(InputInterface $input): RoughTank
    {
        return new RoughTank(
            FormatOption::needed($input, 'litres', ...RoughTank::LITRES),
            (int) FormatOption::needed($input, 'weeks', ...RoughTank::WEEKS),
            FormatOption::needed($input, 'hours', ...RoughTank::HOURS),
            true === $input->getOption('sun'),
            RoughPlants::tryFrom(FormatOption::text($input, 'plants'))
                ?? throw FormatOption::wrong('--plants is few, half, full or floaters'),
            RoughStock::tryFrom(FormatOption::text($input, 'animals'))
                ?? throw FormatOption::wrong('--animals is nobody, few, many or overfed'),
        );
    }

    /** @return list<Seen> */
    private function seen(InputInterface $input, ?Plan $plan): array
    {
        /** @var list<string> $signs */
        $signs = $input->getOption('sign');
        if ([] === $signs) {
            throw FormatOption::wrong('--sign is missing; olvek:signs lists them');
        }

        return array_map(static function (string $text) use ($plan): Seen {
            [$sign, $of] = Attempt::read($text) ?? throw FormatOption::wrong("there is no sign \"$text\"; olvek:signs lists them");
            $places = null === $plan ? [] : array_keys($sign->places($plan));
            if (null !== $of && !\in_array($of, $places, true)) {
                $on = [] === $places ? 'the whole tank' : implode(', ', $places);
                throw FormatOption::wrong("$sign->value is seen on $on");
            }

            return new Seen($sign, $of);
        }, $signs);
    }

    /** @return array<string, bool> */
    private function answers(InputInterface $input): array
    {
        /** @var list<string> $facts */
        $facts = $input->getOption('fact');
        $answers = [];
        foreach ($facts as $text) {
            [$id, $so] = [...explode('=', $text, 2), ''];
            if (!isset($this->knowledge->facts[$id]) || !\in_array($so, ['yes', 'no'], true)) {
                throw FormatOption::wrong('--fact is written as firm-crown=yes; olvek:signs --facts lists them');
            }
            $answers[$id] = 'yes' === $so;
        }

        return $answers;
    }

    /**
     * @param list<Trial|null> $trials of the first causes
     *
     * @return list<string>
     */
    private static function lines(Explanation $read, array $trials): array
    {
        $lines = [$read->sentence()];
        foreach (\array_slice($read->causes, 0, self::TOLD) as $n => $ranked) {
            $lines[] = '';
            $lines[] = \sprintf('%s %%  %s (%s)', Decimal::trimmed(100 * $ranked->share, 0), $ranked->cause->words, $ranked->cause->id);
            foreach (['for' => $ranked->speaksFor(self::EVIDENCE), 'against' => $ranked->speaksAgainst(self::EVIDENCE)] as $way => $all) {
                foreach ($all as $evidence) {
                    $lines[] = "    $way, {$evidence->weight()}: {$evidence->statement()}. {$evidence->finding->words}.";
                }
            }
            if ($n > 0) {
                continue;
            }
            $lines[] = "    Do: {$ranked->cause->do}";
            $lines[] = "    Not: {$ranked->cause->avoid}";
            if (null !== $trials[$n]) {
                $lines[] = \sprintf('    Tried: %s. %s', $trials[$n]->words, implode(' ', [$trials[$n]->says, ...$trials[$n]->harms]));
            }
            $lines[] = 0 === $ranked->cause->days
                ? '    Nothing to look for.'
                : \sprintf('    Look again on day %d.', $read->case->day + $ranked->cause->days);
        }
        foreach (\array_slice($read->looks, 0, 1) as $look) {
            $lines[] = '';
            $lines[] = 'Next: '.$look->fact->howToFind();
            $lines[] = "    $look->then";
        }
        $lines[] = '';
        $lines[] = \sprintf('%s %%  something else', Decimal::trimmed(100 * $read->other, 0));

        return $lines;
    }

    /**
     * @param list<Trial|null> $trials
     *
     * @return array<string, mixed>
     */
    private function data(Explanation $read, array $trials): array
    {
        return [
            'day' => $read->case->day,
            'signs' => array_map(static fn (Seen $s): string => Attempt::seen($s->sign, $s->of), $read->case->seen),
            'sentence' => $read->sentence(),
            'urgent' => $read->isUrgent(),
            'causes' => array_map(static fn (RankedCause $c, int $n): array => [
                'id' => $c->cause->id,
                'cause' => $c->cause->words,
                'about' => $c->cause->about,
                'kind' => $c->cause->severity->value,
                'share' => round($c->share, 4),
                'prior' => ['value' => $c->cause->prior->value, 'provenance' => $c->cause->prior->provenance->value],
                'signs' => $c->signs,
                'for' => array_map(self::evidence(...), $c->for),
                'against' => array_map(self::evidence(...), $c->against),
                'do' => $c->cause->do,
                'avoid' => $c->cause->avoid,
                'lookAgain' => 0 === $c->cause->days ? null : $read->case->day + $c->cause->days,
                'tried' => ($trials[$n] ?? null) === null ? null : [
                    'what' => $trials[$n]->words,
                    'edits' => $trials[$n]->typed(),
                    'helps' => $trials[$n]->helps,
                    'says' => $trials[$n]->says,
                    'harms' => $trials[$n]->harms,
                ],
                'source' => $c->cause->source,
            ], $read->causes, array_keys($read->causes)),
            'other' => round($read->other, 4),
            'next' => array_map(static fn (NextLook $l): array => [
                'fact' => $l->fact->id,
                'how' => $l->fact->howToFind(),
                'tells' => round($l->tells, 3),
                'then' => $l->then,
            ], $read->looks),
        ];
    }

    /** @return array<string, mixed> */
    private static function evidence(Evidence $evidence): array
    {
        return [
            'fact' => $evidence->fact->id,
            'so' => $evidence->statement(),
            'says' => $evidence->finding->words,
            'source' => $evidence->finding->source->value,
            'day' => $evidence->finding->day,
            'chance' => round($evidence->finding->chance, 3),
            'factor' => round($evidence->factor, 3),
            'often' => $evidence->often->value,
            'base' => $evidence->fact->base->often->value,
            'provenance' => $evidence->provenance->value,
        ];
    }
}
