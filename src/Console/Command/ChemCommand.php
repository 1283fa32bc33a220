<?php

declare(strict_types=1);

namespace Olvek\Console\Command;

use Olvek\Core\Basis\Unit\Unit;
use Olvek\Core\Nature\Water\Ammonia;
use Olvek\Core\Nature\Water\AmmoniaCriterion;
use Olvek\Core\Nature\Water\Carbonate;
use Olvek\Core\Nature\Water\Oxygen;
use Olvek\Service\Site\FormatOption;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('olvek:chem', 'Works out water chemistry: ammonia, oxygen or carbonate')]
final class ChemCommand extends Command
{
    protected function configure(): void
    {
        $this->addArgument('sum', InputArgument::REQUIRED, 'ammonia, oxygen or carbonate')
            ->addOption('temp', null, InputOption::VALUE_REQUIRED, '°C, 0–40', '25')
            ->addOption('ph', null, InputOption::VALUE_REQUIRED, 'pH, for ammonia and carbonate')
            ->addOption('tan', null, InputOption::VALUE_REQUIRED, 'Total ammonia, mg N/L, for ammonia')
            ->addOption('pressure', null, InputOption::VALUE_REQUIRED, 'Air pressure in atmospheres, for oxygen', '1')
            ->addOption('kh', null, InputOption::VALUE_REQUIRED, 'Carbonate hardness in °dH, for carbonate')
            ->addOption('co2', null, InputOption::VALUE_REQUIRED, 'Dissolved CO2 in mg/L, for carbonate (or give --ph)');
        FormatOption::add($this);
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $format = FormatOption::read($input);
        $celsius = FormatOption::needed($input, 'temp', 0, 40);
        $sum = $input->getArgument('sum');
        $results = match ($sum) {
            'ammonia' => self::ammonia($input, $celsius),
            'oxygen' => ['saturation' => [Oxygen::saturation($celsius, FormatOption::needed($input, 'pressure', 0.5, 1.2)), 'mg/L']],
            'carbonate' => self::carbonate($input, $celsius),
            default => throw FormatOption::wrong('The sum is ammonia, oxygen or carbonate'),
        };
        if ('json' === $format) {
            $output->writeln(
                FormatOption::json(array_map(static fn (array $r): array => ['value' => $r[0], 'unit' => $r[1]], $results)),
                OutputInterface::OUTPUT_RAW,
            );
        } else {
            foreach ($results as $name => [$value, $unit]) {
                $output->writeln(rtrim(\sprintf('%-22s %10.5g %s', $name, $value, $unit)), OutputInterface::OUTPUT_RAW);
            }
        }

        return Command::SUCCESS;
    }

    /** @return array<string, array{float, string}> */
    private static function ammonia(InputInterface $input, float $celsius): array
    {
        $pH = FormatOption::needed($input, 'ph', 4, 12);
        $share = Ammonia::unionisedShare($pH, $celsius);
        $total = FormatOption::number($input, 'tan', 0, 1000);

        return [
            'unionisedShare' => [$share, ''],
            ...null === $total ? [] : ['unionised' => [$share * $total, 'mg NH3-N/L']],
            'chronicCriterion' => [AmmoniaCriterion::chronic($pH, $celsius), 'mg TAN-N/L'],
            'acuteCriterion' => [AmmoniaCriterion::acute($pH, $celsius), 'mg TAN-N/L'],
        ];
    }

    /** @return array<string, array{float, string}> */
    private static function carbonate(InputInterface $input, float $celsius): array
    {
        $alkalinity = Unit::GermanDegree->convertTo(Unit::MilliequivalentPerLitre, FormatOption::needed($input, 'kh', 0, 60));
        $pH = FormatOption::number($input, 'ph', 4, 12);
        $co2 = FormatOption::number($input, 'co2', 0, 500);
        if ((null === $pH) === (null === $co2)) {
            throw FormatOption::wrong('Give either --ph or --co2');
        }

        return [
            'pH' => [$pH ?? Carbonate::pH($co2 ?? 0.0, $alkalinity, $celsius), ''],
            'co2' => [$co2 ?? Carbonate::co2($pH ?? 7.0, $alkalinity, $celsius), 'mg/L'],
            'alkalinity' => [$alkalinity, 'meq/L'],
            'co2AtAirEquilibrium' => [Carbonate::co2AtEquilibrium($celsius), 'mg/L'],
        ];
    }
}
