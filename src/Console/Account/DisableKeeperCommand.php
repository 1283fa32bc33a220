<?php

declare(strict_types=1);

namespace Olvek\Console\Account;

use Doctrine\ORM\EntityManagerInterface;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Account\KeeperRepository;
use Psr\Clock\ClockInterface;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Style\SymfonyStyle;

#[AsCommand('olvek:keeper:disable', 'Signs a keeper out and lets nobody sign in by that name; --undo lets them in again')]
final class DisableKeeperCommand extends KeeperCommand
{
    public function __construct(
        KeeperRepository $keepers,
        private readonly EntityManagerInterface $entities,
        private readonly ClockInterface $clock,
    ) {
        parent::__construct($keepers);
    }

    protected function configure(): void
    {
        parent::configure();
        $this->addOption('undo', null, InputOption::VALUE_NONE, 'Let the keeper sign in again');
    }

    protected function change(Keeper $keeper, InputInterface $input, SymfonyStyle $style): string
    {
        $undo = true === $input->getOption('undo');
        $undo ? $keeper->enable() : $keeper->disable($this->clock->now());
        $this->entities->flush();

        return \sprintf($undo ? '%s can sign in again.' : '%s is signed out everywhere and cannot sign in.', $keeper->signInName);
    }
}
