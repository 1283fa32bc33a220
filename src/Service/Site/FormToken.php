<?php

declare(strict_types=1);

namespace Olvek\Service\Site;

use Symfony\Component\Security\Csrf\CsrfTokenManagerInterface;
use Symfony\Component\Uid\Uuid;
use Twig\Attribute\AsTwigFunction;

/**
 * The hidden fields of a form: by the one it is known to be ours (with what the browser says of where it was sent from, so that no session
 * is asked), by the other it is known again when it is sent twice (Editing\SentChange).
 */
final readonly class FormToken
{
    /** Every form's; in framework.yaml it is among those that need no session. */
    public const ID = 'form';

    public function __construct(private CsrfTokenManagerInterface $tokens)
    {
    }

    #[AsTwigFunction('token', isSafe: ['html'])]
    public function token(): string
    {
        return \sprintf(
            '<input type="hidden" name="_token" value="%s"><input type="hidden" name="_change" value="%s" autocomplete="off">',
            htmlspecialchars($this->tokens->getToken(self::ID)->getValue()),
            Uuid::v4()->toRfc4122(),
        );
    }
}
