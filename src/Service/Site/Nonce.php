<?php

declare(strict_types=1);

namespace Olvek\Service\Site;

use Symfony\Contracts\Service\ResetInterface;
use Twig\Attribute\AsTwigFunction;

/** The word of the day, one per request, that lets the page's own import map run under its content policy. */
final class Nonce implements ResetInterface
{
    private ?string $value = null;

    #[AsTwigFunction('nonce')]
    public function value(): string
    {
        return $this->value ??= bin2hex(random_bytes(12));
    }

    public function reset(): void
    {
        $this->value = null;
    }
}
