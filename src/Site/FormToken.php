<?php

declare(strict_types=1);

namespace Olvek\Site;

use Symfony\Component\Security\Csrf\CsrfTokenManagerInterface;
use Twig\Attribute\AsTwigFunction;

/** The hidden field by which a form proves that it is ours. */
final readonly class FormToken
{
    public function __construct(private CsrfTokenManagerInterface $tokens)
    {
    }

    /** @param string $of what the form does */
    #[AsTwigFunction('token', isSafe: ['html'])]
    public function token(string $of): string
    {
        return \sprintf('<input type="hidden" name="_token" value="%s">', htmlspecialchars($this->tokens->getToken($of)->getValue()));
    }
}
