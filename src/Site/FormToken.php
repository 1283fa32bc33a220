<?php

declare(strict_types=1);

namespace Olvek\Site;

use Symfony\Component\Security\Csrf\CsrfTokenManagerInterface;
use Twig\Attribute\AsTwigFunction;

/** The hidden field by which a form proves that it is ours. */
final class FormToken
{
    /** @var array<string, string> fields that this request has made: the same again needs no session */
    private array $made = [];

    public function __construct(private readonly CsrfTokenManagerInterface $tokens)
    {
    }

    /** @param string $of what the form does */
    #[AsTwigFunction('token', isSafe: ['html'])]
    public function token(string $of): string
    {
        return $this->made[$of] ??= \sprintf(
            '<input type="hidden" name="_token" value="%s">',
            htmlspecialchars($this->tokens->getToken($of)->getValue()),
        );
    }
}
