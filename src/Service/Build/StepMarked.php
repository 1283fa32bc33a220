<?php

declare(strict_types=1);

namespace Olvek\Service\Build;

use Olvek\Service\Tank\Tank;

/** A step of building was ticked, left out or taken back; what follows from it is kept with it. */
final readonly class StepMarked
{
    /** @param bool|null $done null where the mark is taken back */
    public function __construct(public Tank $tank, public string $step, public ?bool $done, public \DateTimeImmutable $on)
    {
    }
}
