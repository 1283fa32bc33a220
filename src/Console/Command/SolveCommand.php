<?php

declare(strict_types=1);

namespace Olvek\Console\Command;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Judgement\Margin\Term;
use Olvek\Core\Judgement\Solve\Question;
use Olvek\Service\Judging\Questions;
use Olvek\Service\Site\FormatOption;
use Olvek\Service\Speech\Speech;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('olvek:solve', 'Answers the inverse questions of a plan: how many, how much, how long, how deep')]
final class SolveCommand extends Command
{
    public function __construct(
        private readonly PlanArgument $plans,
        private readonly Questions $questions,
        private readonly Speech $speech,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        PlanArgument::add($this);
        $this->addOption('for', null, InputOption::VALUE_REQUIRED, 'stock, food, plants, light, depth, start, trim or holiday')
            ->addOption('kind', null, InputOption::VALUE_REQUIRED, 'For stock: the animal’s id in the catalogue')
            ->addOption('years', null, InputOption::VALUE_REQUIRED, 'For depth: years that the soil is to last', '1')
            ->setHelp(
                <<<'HELP'
                stock    the most of a kind of animal that keeps every margin; needs --kind
                food     how many times what is fed the tank carries, and what forbids more
                plants   the least plant mass, and which roles
                light    the hours of light that feed the plants and hold algae
                depth    the thinnest soil and cap that last --years and neither leak nor turn foul
                start    the earliest safe day for each group
                trim     what to cut each week so that what is fed leaves again
                holiday  how long a grown tank may be left alone

                Ends with 0 where there is an answer, 3 where there is none (and says why), 1 for a bad plan, 2 for a wrong call.
                HELP
                ,
            );
        FormatOption::add($this);
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $format = FormatOption::read($input);
        $question = $this->question($input);
        $errors = PlanArgument::errors($output);
        $plan = $this->plans->plan($input, $errors);
        if (null === $plan) {
            return Command::FAILURE;
        }
        $answer = $question->solve($plan);
        $output->writeln(
            'json' === $format
                ? FormatOption::json([
                    'found' => $answer->found,
                    'sentence' => $this->speech->sayAll($answer->sentences, UnitSystem::Metric),
                    'edits' => $answer->edits(),
                    'runs' => $answer->runs,
                    'terms' => array_map(
                        static fn (Term $t): array => [
                            'label' => $t->label,
                            'value' => $t->value,
                            'provenance' => $t->provenance?->value,
                            'source' => $t->source,
                        ],
                        $answer->terms,
                    ),
                ])
                : [
                    $this->speech->sayAll($answer->sentences, UnitSystem::Metric),
                    ...array_map(static fn (Term $t): string => \sprintf('  %s: %s', $t->label, $t->value), $answer->terms),
                ],
            OutputInterface::OUTPUT_RAW,
        );

        return $answer->found ? Command::SUCCESS : 3;
    }

    private function question(InputInterface $input): Question
    {
        $name = FormatOption::text($input, 'for');
        if (!\in_array($name, Questions::NAMES, true)) {
            throw FormatOption::wrong('--for is one of '.implode(', ', Questions::NAMES));
        }

        return $this->questions->named($name, FormatOption::text($input, 'kind'), FormatOption::needed($input, 'years', 0, 10)) ??
            throw FormatOption::wrong('--for=stock needs --kind, an animal of the catalogue such as neocaridina-davidi');
    }
}
