<?php

declare(strict_types=1);

namespace Olvek\Console\Command;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Judgement\Stress\Drill;
use Olvek\Core\Judgement\Stress\Rehearsal;
use Olvek\Service\Site\FormatOption;
use Olvek\Service\Speech\Speech;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/** Rehearses what goes wrong in tanks on a plan. */
#[AsCommand(
    'olvek:stress',
    'Overfeeding, a dead fish, lamp out, heat, floaters closed over the surface, a fortnight away: what each comes to in a plan',
),]
final class StressCommand extends Command
{
    public function __construct(private readonly PlanArgument $plans, private readonly Speech $speech)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        PlanArgument::add($this);
        FormatOption::add($this);
        $this->setHelp(
            'Each mishap happens once to the grown tank: hours until the first limit is passed, highest ammonia and nitrite, lowest '
                .'oxygen, what to do. Ends with 0, or 1 for a bad plan.',
        );
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $format = FormatOption::read($input);
        $plan = $this->plans->plan($input, PlanArgument::errors($output));
        if (null === $plan) {
            return Command::FAILURE;
        }
        $found = Drill::run($plan);
        $data = fn (Message $message): array => $this->speech->data($message, UnitSystem::Metric);
        $say = fn (Message ...$messages): string => $this->speech->sayAll(array_values($messages), UnitSystem::Metric);
        $output->writeln(
            'json' === $format
                ? FormatOption::json([
                    'mishaps' => array_map(
                        static fn (Rehearsal $r): array => [
                            'id' => $r->mishap->value,
                            'name' => $data($r->mishap->message()),
                            'state' => $r->state->value,
                            'day' => $r->day,
                            'hours' => $r->hours,
                            'ammonia' => $r->ammonia,
                            'nitrite' => $r->nitrite,
                            'oxygen' => $r->oxygen,
                            'sentences' => array_map($data, $r->sentences),
                            'remedy' => $data($r->mishap->remedy()),
                        ],
                        $found,
                    ),
                ])
                : array_merge(
                    ...array_map(
                        static fn (Rehearsal $r): array => [
                            \sprintf('%-6s %s. %s', $r->state->words(), $say($r->mishap->message()), $say(...$r->sentences)),
                            '       '.$say($r->mishap->remedy()),
                        ],
                        $found,
                    ),
                ),
            OutputInterface::OUTPUT_RAW,
        );

        return Command::SUCCESS;
    }
}
