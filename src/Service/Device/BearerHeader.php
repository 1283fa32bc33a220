<?php

declare(strict_types=1);

namespace Olvek\Service\Device;

use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Security\Http\AccessToken\AccessTokenExtractorInterface;

/** The token out of "Authorization: Bearer TOKEN"; the word in any case, as RFC 9110 says (11.1). The framework's own knows one. */
final class BearerHeader implements AccessTokenExtractorInterface
{
    public function extractAccessToken(Request $request): ?string
    {
        return 1 === preg_match('~^bearer +([A-Za-z0-9\-._\~+/]+=*)$~iD', trim($request->headers->get('Authorization') ?? ''), $match)
            ? $match[1]
            : null;
    }
}
