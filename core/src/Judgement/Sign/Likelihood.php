<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Sign;

use Olvek\Core\Basis\Unit\Provenance;

/** How often a sign or a fact is there where a cause is at work, and who says so. */
final readonly class Likelihood
{
    public function __construct(public Often $often, public Provenance $provenance)
    {
    }

    /** @throws \InvalidArgumentException where the text is not "usually C" */
    public static function parse(string $text): self
    {
        [$word, $mark] = [...explode(' ', trim($text)), '', ''];
        $often = Often::tryFrom($word);
        $provenance = Provenance::tryFrom($mark);
        if (null === $often || null === $provenance || 1 !== substr_count(trim($text), ' ')) {
            throw new \InvalidArgumentException(\sprintf('"%s" is not written as "usually C"', $text));
        }

        return new self($often, $provenance);
    }
}
