<?php

declare(strict_types=1);

namespace Olvek\Console\Command;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Judgement\Solve\Compose\MethodHere;
use Olvek\Core\Judgement\Solve\Compose\MethodsHere;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Service\Site\FormatOption;
use Olvek\Service\Speech\Speech;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('olvek:methods', 'All methods in the vessel of a plan, ordered by what the run says of each, and where they disagree')]
final class MethodsCommand extends Command
{
    public function __construct(
        private readonly PlanArgument $plans,
        private readonly Editor $editor,
        private readonly Catalogue $catalogue,
        private readonly Speech $speech,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        PlanArgument::add($this);
        $this->setHelp('Ends with 0 when the methods could be judged, whatever comes of them; 1 for a bad plan; 2 for a wrong call.');
        FormatOption::add($this);
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $format = FormatOption::read($input);
        $plan = $this->plans->plan($input, PlanArgument::errors($output));
        if (null === $plan) {
            return Command::FAILURE;
        }
        $say = $this->say(...);
        $here = MethodsHere::of($plan, $this->editor, $this->catalogue);
        $output->writeln(
            'json' === $format
                ? FormatOption::json([
                    'planted' => $here->planted ? 'as the plan has it' : 'as is usual, for the plan has no plants',
                    'methods' => array_map(
                        static fn (MethodHere $m): array => [
                            'method' => $m->method->value,
                            'state' => $m->judgement?->state->value,
                            'verdict' => null === $m->judgement ? null : $say($m->judgement->verdict),
                            'refused' => array_map(static fn (Message $r): string => $say([$r]), $m->refused),
                        ],
                        $here->methods,
                    ),
                    'disagree' => array_map(static fn (Message $d): string => $say([$d]), $here->disagree),
                ])
                : [
                    ...array_map(
                        static fn (MethodHere $m): string => \sprintf(
                            '%s: %s',
                            $m->method->words(),
                            null === $m->judgement ? 'does not fit: '.$say($m->refused) : $say($m->judgement->verdict),
                        ),
                        $here->methods,
                    ),
                    '',
                    ...array_map(static fn (Message $d): string => $say([$d]), $here->disagree),
                ],
            OutputInterface::OUTPUT_RAW,
        );

        return Command::SUCCESS;
    }

    /** @param list<Message> $messages */
    private function say(array $messages): string
    {
        return $this->speech->sayAll($messages, UnitSystem::Metric);
    }
}
