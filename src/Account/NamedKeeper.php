<?php

declare(strict_types=1);

namespace Olvek\Account;

use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Style\SymfonyStyle;

/** What the commands for one keeper share. */
final class NamedKeeper
{
    /** @throws \InvalidArgumentException where there is nobody of the name that was given */
    public static function of(InputInterface $input, KeeperRepository $keepers): Keeper
    {
        $name = $input->getArgument('name');
        \assert(\is_string($name));

        return $keepers->named($name) ?? throw new \InvalidArgumentException(\sprintf('There is no keeper “%s”.', $name));
    }

    public static function password(InputInterface $input, SymfonyStyle $style): string
    {
        $password = true === $input->getOption('password-stdin') ? rtrim((string) stream_get_contents(\STDIN), "\r\n") : $style->askHidden('Password');

        return \is_string($password) ? $password : '';
    }
}
