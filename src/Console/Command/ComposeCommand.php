<?php

declare(strict_types=1);

namespace Olvek\Console\Command;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Judgement\Margin\Band;
use Olvek\Core\Judgement\Solve\Compose\Composition;
use Olvek\Core\Judgement\Solve\Compose\Confirmation;
use Olvek\Core\Judgement\Solve\Compose\Unmet;
use Olvek\Core\Judgement\Solve\Compose\Wish;
use Olvek\Core\Judgement\Solve\Compose\WishDocument;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Service\Site\FormatOption;
use Olvek\Service\Speech\Speech;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('olvek:compose', 'Makes three whole plans for a wish: after least work, least money, and a jungle')]
final class ComposeCommand extends Command
{
    public function __construct(
        private readonly WishDocument $wishes,
        private readonly PlanDocument $plans,
        private readonly Processes $processes,
        private readonly Speech $speech,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('wish', InputArgument::REQUIRED, 'A wish as JSON (schema/wish.schema.json), or - for standard input')
            ->addOption('units', null, InputOption::VALUE_REQUIRED, 'metric or us', 'metric')
            ->setHelp('Ends with 0 where at least one plan holds, 3 where none does (and says why), 1 for a bad wish, 2 for a wrong call.');
        FormatOption::add($this);
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $format = FormatOption::read($input);
        $units = UnitSystem::tryFrom(FormatOption::text($input, 'units')) ?? throw FormatOption::wrong('--units is metric or us');
        $errors = PlanArgument::errors($output);
        $file = $input->getArgument('wish');
        \assert(\is_string($file));
        $wish = PlanArgument::read($file, fn (string $json): Wish => $this->wishes->fromJson($json), $errors, $units);
        if (null === $wish) {
            return Command::FAILURE;
        }
        $found = $this->composed($wish, $units, FormatOption::progress($errors));
        $output->writeln(
            'json' === $format ? FormatOption::json(
                ['plans' => array_map(fn (Composition $c): array => $this->data($c, $units), $found)],
            ) : array_merge([], ...array_map(fn (Composition $c): array => $this->lines($c, $units), $found)),
            OutputInterface::OUTPUT_RAW,
        );

        return [] === array_filter($found, static fn (Composition $c): bool => $c->holds) ? 3 : Command::SUCCESS;
    }

    /**
     * @param \Closure(int, int): bool $progress
     *
     * @return list<Composition>
     */
    private function composed(Wish $wish, UnitSystem $units, \Closure $progress): array
    {
        $tastes = \count($wish->tastes());
        $pieces = $this->processes->map(new ComposePieces($wish, $units), $tastes);
        $found = [];
        foreach ($pieces as $n => $composition) {
            \assert($composition instanceof Composition);
            if (!$progress($n, $tastes)) {
                break;
            }
            /** @var array<int, array<string, array{float, bool}>> $members */
            $members = $this->processes->map(new BandPieces($composition->plan, Confirmation::TANKS), Confirmation::TANKS);
            $found[] = $composition->with(Band::sureness($members));
        }
        $progress($tastes, $tastes);

        return $found;
    }

    /** @return array<string, mixed> */
    private function data(Composition $found, UnitSystem $units): array
    {
        return [
            'taste' => $found->taste->value,
            'method' => $found->method->value,
            'holds' => $found->holds,
            'state' => $found->judgement->state->value,
            'sentence' => $found->sentence,
            'verdict' => $this->speech->sayAll($found->judgement->verdict, $units),
            'sureness' => null === $found->sureness ? null : ['together' => $found->sureness->together, 'of' => $found->sureness->of],
            'cost' => ['low' => $found->cost->low, 'likely' => $found->cost->value, 'high' => $found->cost->high],
            'minutesAWeek' => round($found->minutes, 1),
            'unmet' => array_map(
                fn (Unmet $u): array => [
                    'kind' => $u->kind,
                    'what' => $this->speech->data($u->what, $units),
                    'why' => array_map(fn (Message $why): array => $this->speech->data($why, $units), $u->why),
                    'needed' => null === $u->needed ? null : $this->speech->data($u->needed, $units),
                ],
                $found->unmet,
            ),
            'changed' => array_map(fn (Message $note): array => $this->speech->data($note, $units), $found->notes),
            'runs' => $found->runs,
            'plan' => $this->plans->toArray($found->plan),
        ];
    }

    /** @return list<string> */
    private function lines(Composition $found, UnitSystem $units): array
    {
        return [
            $found->taste->words().': '.($found->holds ? $found->judgement->state->words() : 'does not hold'),
            '  '.$found->sentence,
            '  '.$this->speech->sayAll($found->judgement->verdict, $units),
            \sprintf(
                '  %s. About %s to %s to buy, %s minutes a week.',
                null === $found->sureness
                    ? 'Not asked how sure'
                    : "All holds in {$found->sureness->together} of {$found->sureness->of} tanks",
                Decimal::trimmed($found->cost->low, 0),
                Decimal::trimmed($found->cost->high, 0),
                Decimal::trimmed($found->minutes, 0),
            ),
            ...array_map(
                fn (Unmet $u): string => \sprintf(
                    '  Left out: %s. %s%s',
                    $this->speech->say($u->what, $units),
                    $this->speech->sayAll($u->why, $units),
                    null === $u->needed ? '' : " It would take: {$this->speech->say($u->needed, $units)}.",
                ),
                $found->unmet,
            ),
            ...[] === $found->notes
                ? []
                : [\sprintf(
                    '  Changes to the usual method: %s.',
                    implode('; ', array_map(fn (Message $note): string => $this->speech->say($note, $units), $found->notes)),
                )],
            '',
        ];
    }
}
