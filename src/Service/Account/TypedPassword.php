<?php

declare(strict_types=1);

namespace Olvek\Service\Account;

use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Style\SymfonyStyle;

/** A password given to a command: asked for without showing it, or read from standard input; never an argument, which others could see. */
final class TypedPassword
{
    public static function add(Command $command): void
    {
        $command->addOption('password-stdin', null, InputOption::VALUE_NONE, 'Read the password from standard input instead of asking');
    }

    public static function read(InputInterface $input, SymfonyStyle $style): string
    {
        $fromInput = true === $input->getOption('password-stdin');
        $password = $fromInput ? rtrim((string) stream_get_contents(\STDIN), "\r\n") : $style->askHidden('Password');

        return \is_string($password) ? $password : '';
    }
}
