<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Sign;

use Olvek\Core\Basis\Unit\Estimate;

/** Something that may lie behind a sign: how common it is, what is seen and found with it, and what to do about it. */
final readonly class Cause
{
    /** What none of the known causes explains. */
    public const OTHER = 'other';

    /**
     * @param string                    $words  what it is, short
     * @param string                    $about  how it comes about, for a keeper
     * @param Estimate                  $prior  how common it is in such tanks, against the others
     * @param array<string, Likelihood> $signs  how often each sign is seen where it is at work
     * @param array<string, Likelihood> $facts  how often each fact (FactKind) holds where it is at work
     * @param string                    $avoid  what not to do
     * @param int                       $days   until one looks again; 0 where there is nothing to look for
     * @param Remedy|null               $remedy what of it Olvek can plan and try
     * @param Watch|null                $watch  what of the run would show it getting better
     * @param string                    $source of what its likelihoods are marked M or P with
     */
    public function __construct(
        public string $id,
        public string $words,
        public string $about,
        public Severity $severity,
        public Estimate $prior,
        public array $signs,
        public array $facts,
        public string $do,
        public string $avoid,
        public int $days,
        public ?Remedy $remedy,
        public ?Watch $watch,
        public string $source,
    ) {
    }
}
