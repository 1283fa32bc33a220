<?php

declare(strict_types=1);

namespace Olvek\Service\Site;

use Symfony\Component\Security\Csrf\CsrfTokenManagerInterface;
use Symfony\Component\Uid\Uuid;
use Twig\Attribute\AsTwigFunction;

/** The hidden fields by which a form proves that it is ours, and by which one that is sent twice is known (Editing\SentChange). */
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
            '<input type="hidden" name="_token" value="%s"><input type="hidden" name="_change" value="%s" autocomplete="off">',
            htmlspecialchars($this->tokens->getToken($of)->getValue()),
            Uuid::v4()->toRfc4122(),
        );
    }
}
