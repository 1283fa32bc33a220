<?php

declare(strict_types=1);

namespace Olvek\Service\Account;

use Symfony\Component\Security\Core\Authentication\Token\TokenInterface;
use Symfony\Component\Security\Core\Exception\CustomUserMessageAccountStatusException;
use Symfony\Component\Security\Core\User\UserCheckerInterface;
use Symfony\Component\Security\Core\User\UserInterface;

/** Turns away keepers who may not sign in: only after the password, so that nobody else learns of it. */
final class SignInCheck implements UserCheckerInterface
{
    public function checkPreAuth(UserInterface $user): void
    {
    }

    public function checkPostAuth(UserInterface $user, ?TokenInterface $token = null): void
    {
        if ($user instanceof Keeper && $user->isDisabled()) {
            throw new CustomUserMessageAccountStatusException('This keeper has been disabled. Ask whoever runs this site.');
        }
    }
}
