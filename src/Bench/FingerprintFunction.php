<?php

declare(strict_types=1);

namespace Olvek\Bench;

use Twig\Attribute\AsTwigFunction;

/** Lets the page print the fingerprints that it sends back with edits. */
final class FingerprintFunction
{
    #[AsTwigFunction('fingerprint')]
    public function fingerprint(string $html): string
    {
        return BenchPage::fingerprint($html);
    }
}
