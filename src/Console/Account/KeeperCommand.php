<?php

declare(strict_types=1);

namespace Olvek\Console\Account;

use Olvek\Service\Account\Keeper;
use Olvek\Service\Account\KeeperRepository;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\Console\Style\SymfonyStyle;

/**
 * A command that does something to one keeper, named by the sign-in name. Ends with 1, and says why, where there is nobody of that name.
 */
abstract class KeeperCommand extends Command
{
    public function __construct(private readonly KeeperRepository $keepers)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('name', InputArgument::REQUIRED, 'Sign-in name');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $style = new SymfonyStyle($input, $output);
        $name = $input->getArgument('name');
        \assert(\is_string($name));
        try {
            $keeper = $this->keepers->named($name) ?? throw new \InvalidArgumentException(\sprintf('There is no keeper “%s”.', $name));
            $style->success($this->change($keeper, $input, $style));
        } catch (\InvalidArgumentException $refused) {
            $style->getErrorStyle()->error($refused->getMessage());

            return Command::FAILURE;
        }

        return Command::SUCCESS;
    }

    /**
     * @return string what was done, for whoever gave the command
     *
     * @throws \InvalidArgumentException why it was not
     */
    abstract protected function change(Keeper $keeper, InputInterface $input, SymfonyStyle $style): string;
}
