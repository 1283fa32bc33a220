<?php

declare(strict_types=1);

namespace Olvek\Core\Basis\Unit;

/**
 * A number with its likely range and its provenance, written "0.18 [0.15..0.20] M" in data files.
 *
 * P and C values may stand without a range; M and J values carry one, since they feed the bands.
 */
final readonly class Estimate
{
    private function __construct(
        public float $value,
        public float $low,
        public float $high,
        public Provenance $provenance,
    ) {
    }

    /** @throws \InvalidArgumentException when low ≤ value ≤ high does not hold */
    public static function of(float $value, Provenance $provenance, ?float $low = null, ?float $high = null): self
    {
        $low ??= $value;
        $high ??= $value;
        if (!is_finite($value) || $low > $value || $value > $high) {
            throw new \InvalidArgumentException(\sprintf('the range %g..%g does not hold the value %g', $low, $high, $value));
        }

        return new self($value, $low, $high, $provenance);
    }

    /** @throws \InvalidArgumentException when the text does not follow the notation */
    public static function parse(string $text): self
    {
        $number = '-?\d+(?:\.\d+)?';
        if (1 !== preg_match("/^($number)(?: \\[($number)\\.\\.($number)\\])? ([PCMJ])$/", trim($text), $match, \PREG_UNMATCHED_AS_NULL)) {
            throw new \InvalidArgumentException(\sprintf('"%s" is not written as "value [low..high] mark"', $text));
        }
        $provenance = Provenance::from($match[4]);
        $ranged = isset($match[2], $match[3]);
        if (!$ranged && \in_array($provenance, [Provenance::Memory, Provenance::Judgement], true)) {
            throw new \InvalidArgumentException(\sprintf('"%s" is marked %s and so needs a range', $text, $provenance->value));
        }

        return self::of((float) $match[1], $provenance, $ranged ? (float) $match[2] : null, $ranged ? (float) $match[3] : null);
    }
}
