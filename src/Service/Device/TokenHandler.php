<?php

declare(strict_types=1);

namespace Olvek\Service\Device;

use Symfony\Component\Security\Core\Exception\BadCredentialsException;
use Symfony\Component\Security\Http\AccessToken\AccessTokenHandlerInterface;
use Symfony\Component\Security\Http\Authenticator\Passport\Badge\UserBadge;

/** Whose token a device has sent. */
final readonly class TokenHandler implements AccessTokenHandlerInterface
{
    public function __construct(private DeviceTokens $tokens)
    {
    }

    public function getUserBadgeFrom(#[\SensitiveParameter] string $accessToken): UserBadge
    {
        $token = $this->tokens->find($accessToken) ?? throw new BadCredentialsException('This token is not known, or was taken back.');

        return new UserBadge($token->keeper->getUserIdentifier());
    }
}
