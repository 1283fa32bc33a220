<?php

declare(strict_types=1);

namespace Olvek\Console\Account;

use Olvek\Service\Account\Keeper;
use Olvek\Service\Account\KeeperRepository;
use Olvek\Service\Account\TypedPassword;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Style\SymfonyStyle;

#[AsCommand('olvek:keeper:password', 'Sets a new password for a keeper, and ends all sessions of the old one')]
final class ChangePasswordCommand extends KeeperCommand
{
    public function __construct(private readonly KeeperRepository $all)
    {
        parent::__construct($all);
    }

    protected function configure(): void
    {
        parent::configure();
        TypedPassword::add($this);
    }

    protected function change(Keeper $keeper, InputInterface $input, SymfonyStyle $style): string
    {
        $this->all->changePassword($keeper, TypedPassword::read($input, $style));

        return \sprintf('%s signs in with the new password from now on.', $keeper->signInName);
    }
}
