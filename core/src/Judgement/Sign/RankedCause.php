<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Sign;

/** A cause with its share, and what speaks for and against it. */
final readonly class RankedCause
{
    /**
     * @param float          $share    0–1
     * @param list<Evidence> $for      strongest first
     * @param list<Evidence> $against  likewise
     * @param array<string, float> $signs how often it goes with each sign that is seen, by the sign's id
     */
    public function __construct(
        public Cause $cause,
        public float $share,
        public array $for,
        public array $against,
        public array $signs,
    ) {
    }

    /** @return list<Evidence> what speaks for it and can be felt, strongest first */
    public function speaksFor(int $most): array
    {
        return self::felt($this->for, $most);
    }

    /** @return list<Evidence> likewise against it */
    public function speaksAgainst(int $most): array
    {
        return self::felt($this->against, $most);
    }

    /**
     * @param list<Evidence> $all
     *
     * @return list<Evidence> of what was taken from the same line only the first
     */
    private static function felt(array $all, int $most): array
    {
        $felt = [];
        foreach ($all as $evidence) {
            if ($evidence->isFelt()) {
                $felt[$evidence->finding->words] ??= $evidence;
            }
        }

        return \array_slice(array_values($felt), 0, $most);
    }
}
