<?php

declare(strict_types=1);

namespace Olvek\Console\Command;

use Olvek\Core\Basis\Unit\Ion;
use Olvek\Core\Basis\Unit\Unit;
use Olvek\Core\Basis\Unit\UnreadableQuantity;
use Olvek\Service\Site\FormatOption;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('olvek:convert', 'Converts a value: olvek:convert 29 usgal l; olvek:convert 30 NO3 N')]
final class ConvertCommand extends Command
{
    protected function configure(): void
    {
        $this->addArgument('value', InputArgument::REQUIRED, 'A number')
            ->addArgument('from', InputArgument::REQUIRED, 'Unit, or an ion (NH3, NH4, NO2, NO3, PO4) or element (N, P) in mg/L')
            ->addArgument('to', InputArgument::REQUIRED, 'Unit, ion or element');
        FormatOption::add($this);
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $format = FormatOption::read($input);
        $texts = array_map(static fn (string $name): string => \is_string($input->getArgument($name)) ? $input->getArgument($name) : '', [
            'value' => 'value',
            'from' => 'from',
            'to' => 'to',
        ]);
        if (!is_numeric($texts['value']) || !is_finite((float) $texts['value'])) {
            throw FormatOption::wrong(\sprintf('“%s” is not a number', mb_substr($texts['value'], 0, 40)));
        }
        $result =
            self::species((float) $texts['value'], $texts['from'], $texts['to']) ??
            self::units((float) $texts['value'], $texts['from'], $texts['to']);
        $output->writeln(
            'json' === $format
                ? FormatOption::json(['value' => $result, 'unit' => $texts['to']])
                : \sprintf('%.10g %s', $result, $texts['to']),
            OutputInterface::OUTPUT_RAW,
        );

        return Command::SUCCESS;
    }

    private static function units(float $value, string $from, string $to): float
    {
        $units = array_map(
            static fn (string $name): Unit => Unit::named($name) ??
                throw FormatOption::wrong(\sprintf('“%s” is not a unit Olvek knows', mb_substr($name, 0, 40))),
            [$from, $to],
        );
        try {
            return $units[0]->convertTo($units[1], $value);
        } catch (UnreadableQuantity $mismatch) {
            throw FormatOption::wrong(rtrim($mismatch->getMessage(), '.'));
        }
    }

    /** Between an ion and its element, or between two ions of one element; null where the words are no species. */
    private static function species(float $value, string $from, string $to): ?float
    {
        $factors = [];
        foreach ([$from, $to] as $name) {
            $ion = Ion::tryFrom(strtoupper($name));
            $element = Ion::Phosphate === $ion || 'P' === $name ? 'P' : 'N';
            if (null === $ion && 'N' !== $name && 'P' !== $name) {
                return null;
            }
            $factors[] = [$element, $ion?->perElement() ?? 1.0];
        }
        if ($factors[0][0] !== $factors[1][0]) {
            throw FormatOption::wrong("$from and $to do not share an element");
        }

        return ($value / $factors[0][1]) * $factors[1][1];
    }
}
