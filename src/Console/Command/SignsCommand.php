<?php

declare(strict_types=1);

namespace Olvek\Console\Command;

use Olvek\Core\Judgement\Sign\Cause;
use Olvek\Core\Judgement\Sign\FactKind;
use Olvek\Core\Judgement\Sign\Knowledge;
use Olvek\Core\Keeping\Log\Sign;
use Olvek\Service\Site\FormatOption;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('olvek:signs', 'Lists the signs that can be seen in a tank, by the ids that olvek:read takes')]
final class SignsCommand extends Command
{
    private const WIDTHS = [20, 34, 18];

    public function __construct(private readonly Knowledge $knowledge)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addOption('facts', null, InputOption::VALUE_NONE, 'Facts instead, which olvek:read takes as --fact=ID=yes or =no')
            ->addOption('causes', null, InputOption::VALUE_NONE, 'Causes instead, with the signs that each brings and how often');
        FormatOption::add($this);
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $json = 'json' === FormatOption::read($input);
        [$of, $rows] = match (true) {
            true === $input->getOption('facts') => ['facts', array_map(self::fact(...), array_values($this->knowledge->facts))],
            true === $input->getOption('causes') => ['causes', array_map(self::cause(...), array_values($this->knowledge->causes))],
            default => ['signs', array_map($this->sign(...), Sign::cases())],
        };
        $output->writeln(
            $json ? FormatOption::json([$of => $rows]) : array_map(
                static fn (array $row): string => FormatOption::row(
                    self::WIDTHS,
                    array_map(
                        static fn (mixed $cell): string => \is_array($cell) ? self::words($cell) : (string) $cell,
                        array_values($row),
                    ),
                ),
                $rows,
            ),
            OutputInterface::OUTPUT_RAW,
        );

        return Command::SUCCESS;
    }

    /** @return array{id: string, sign: string, on: string, look: string, causes: list<string>} */
    private function sign(Sign $sign): array
    {
        return [
            'id' => $sign->value,
            'sign' => $sign->words(),
            'on' => match ($sign->of()) {
                'clump' => 'a clump',
                'group' => 'a group',
                default => 'the tank',
            },
            'look' => $sign->shows()->look,
            'causes' => array_keys($this->knowledge->behind($sign)),
        ];
    }

    /** @return array{id: string, yes: string, no: string, find: string} */
    private static function fact(FactKind $fact): array
    {
        return ['id' => $fact->id, 'yes' => $fact->yes, 'no' => $fact->no, 'find' => $fact->howToFind()];
    }

    /** @return array{id: string, cause: string, kind: string, signs: array<string, string>} */
    private static function cause(Cause $cause): array
    {
        return [
            'id' => $cause->id,
            'cause' => $cause->words,
            'kind' => $cause->severity->words(),
            'signs' => array_map(static fn ($l): string => "{$l->often->value} {$l->provenance->value}", $cause->signs),
        ];
    }

    /** @param array<int|string, string> $cells */
    private static function words(array $cells): string
    {
        return implode('; ', array_is_list($cells)
            ? $cells
            : array_map(static fn (int|string $id, string $words): string => "$id $words", array_keys($cells), $cells));
    }
}
