<?php

declare(strict_types=1);

namespace Olvek\Service\Site;

use Symfony\Component\DependencyInjection\Attribute\AsDecorator;
use Symfony\Component\DependencyInjection\Attribute\AutowireDecorated;
use Symfony\Component\HttpFoundation\RequestStack;
use Symfony\Component\Security\Csrf\CsrfToken;
use Symfony\Component\Security\Csrf\CsrfTokenManagerInterface;

/**
 * Shuts the session again once a form's token has been looked at: what the form asks for may take long, and a keeper's other requests must
 * not wait for the session's lock meanwhile.
 */
#[AsDecorator('security.csrf.token_manager')]
final readonly class BriefSession implements CsrfTokenManagerInterface
{
    public function __construct(#[AutowireDecorated] private CsrfTokenManagerInterface $tokens, private RequestStack $requests)
    {
    }

    public function getToken(string $tokenId): CsrfToken
    {
        return $this->tokens->getToken($tokenId);
    }

    public function refreshToken(string $tokenId): CsrfToken
    {
        return $this->tokens->refreshToken($tokenId);
    }

    public function removeToken(string $tokenId): ?string
    {
        return $this->tokens->removeToken($tokenId);
    }

    public function isTokenValid(CsrfToken $token): bool
    {
        $request = $this->requests->getMainRequest();
        $session = true === $request?->hasSession(true) ? $request->getSession() : null;
        $wasOpen = true === $session?->isStarted();
        try {
            return $this->tokens->isTokenValid($token);
        } finally {
            if (!$wasOpen && true === $session?->isStarted()) {
                $session->save();
            }
        }
    }
}
