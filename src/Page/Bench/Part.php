<?php

declare(strict_types=1);

namespace Olvek\Page\Bench;

use Twig\Environment;

/** A piece of the Bench: known by what it is made from, and rendered only where somebody has not got it already. */
final readonly class Part
{
    public string $fingerprint;

    /**
     * @param array<string, mixed> $context that its template has
     * @param mixed                $made    from what it is made: while this stays the same, so does what is read in it
     */
    public function __construct(private Environment $twig, private string $template, private array $context, mixed $made)
    {
        $this->fingerprint = hash('xxh64', serialize($made));
    }

    public function html(): string
    {
        return $this->twig->render($this->template, $this->context);
    }
}
