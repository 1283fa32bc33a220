<?php

declare(strict_types=1);

namespace Olvek\Console\Settings;

use Doctrine\ORM\EntityManagerInterface;
use Olvek\Console\Account\KeeperCommand;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Account\KeeperRepository;
use Olvek\Service\Tank\TankRepository;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Style\SymfonyStyle;

#[AsCommand('olvek:keeper:restore', 'Brings a removed keeper back, or with --tanks the keeper’s removed tanks, within thirty days')]
final class RestoreKeeperCommand extends KeeperCommand
{
    public function __construct(
        KeeperRepository $keepers,
        private readonly TankRepository $tanks,
        private readonly EntityManagerInterface $entities,
    ) {
        parent::__construct($keepers);
    }

    protected function configure(): void
    {
        parent::configure();
        $this->addOption('tanks', null, InputOption::VALUE_NONE, 'Bring back the tanks that this keeper has removed');
    }

    protected function change(Keeper $keeper, InputInterface $input, SymfonyStyle $style): string
    {
        $keeper->bringBack();
        $names = [];
        foreach (true === $input->getOption('tanks') ? $this->tanks->removed($keeper) : [] as $tank) {
            $tank->bringBack();
            $names[] = $tank->name();
        }
        $this->entities->flush();

        return $keeper->signInName.' can sign in.'.([] === $names ? '' : ' On the shelf again: '.implode(', ', $names).'.');
    }
}
