<?php

declare(strict_types=1);

namespace Olvek\Console\Command;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Plan\InvalidPlan;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Service\Site\FormatOption;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/** The plan that a command is about: a file as JSON, or standard input. */
final readonly class PlanArgument
{
    public function __construct(private PlanDocument $document, private Editor $editor)
    {
    }

    public static function add(Command $command): void
    {
        $command->addArgument('plan', InputArgument::REQUIRED, 'A plan as JSON, or - for standard input');
        $command->addOption(
            'set',
            null,
            InputOption::VALUE_REQUIRED | InputOption::VALUE_IS_ARRAY,
            'A part of the plan as it would be typed, in metric units, e.g. --set site.movement=rippled',
            [],
        );
    }

    /** The plan; null where there is none to be had, the error stream then saying why. */
    public function plan(InputInterface $input, OutputInterface $errors, UnitSystem $units = UnitSystem::Metric): ?Plan
    {
        $file = $input->getArgument('plan');
        \assert(\is_string($file));

        return self::read(
            $file,
            fn (string $json): Plan => $this->changed($this->document->fromForeignJson($json), $input),
            $errors,
            $units,
        );
    }

    /**
     * The plan with what --set says of it.
     *
     * @throws InvalidPlan where it says nothing that can be understood
     */
    private function changed(Plan $plan, InputInterface $input): Plan
    {
        /** @var list<string> $options */
        $options = $input->getOption('set');
        foreach ($options as $option) {
            [$place, $typed] = [...explode('=', $option, 2), ''];
            $plan = $this->editor->apply($plan, [$place => $typed], UnitSystem::Metric)->plan;
        }

        return $plan;
    }

    /**
     * What a file holds; null where it cannot be read or is refused, the error stream then saying why.
     *
     * @template T
     *
     * @param \Closure(string): T $parse may throw InvalidPlan
     *
     * @return T|null
     */
    public static function read(string $file, \Closure $parse, OutputInterface $errors, UnitSystem $units = UnitSystem::Metric): mixed
    {
        $json = FormatOption::content($file);
        if (null === $json) {
            $errors->writeln("$file cannot be read.", OutputInterface::OUTPUT_RAW);

            return null;
        }
        try {
            return $parse($json);
        } catch (InvalidPlan $refused) {
            FormatOption::reasons($errors, $refused, $units);

            return null;
        }
    }

    public static function errors(OutputInterface $output): OutputInterface
    {
        return $output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output;
    }
}
