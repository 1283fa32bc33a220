<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin\Harm;

use Olvek\Core\Basis\Unit\Provenance;

/** From how much of a harm a tank is tight, and from how much it fails, and why. */
#[\Attribute(\Attribute::TARGET_CLASS_CONSTANT)]
final readonly class Weight
{
    /**
     * @param string $measures what is measured of it
     * @param float  $tight    from which it is tight
     * @param float  $fails    from which it fails; infinite where it never does
     * @param string $reason   why just so much
     */
    public function __construct(
        public string $measures,
        public float $tight,
        public float $fails,
        public string $reason,
        public Provenance $provenance,
    ) {
        if ($tight > $fails) {
            throw new \InvalidArgumentException("$measures: what fails is tight before.");
        }
    }
}
