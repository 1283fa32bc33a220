<?php

declare(strict_types=1);

namespace Olvek\Page\Build;

use Olvek\Core\Planning\Steps\Step;
use Olvek\Service\Build\StepMark;
use Olvek\Service\Drawing\View;

/** A step as its page shows it. */
final readonly class StepView
{
    /** @param bool $asked left open though a later one is done */
    public function __construct(
        public Step $step,
        public ?StepMark $mark,
        public bool $asked,
        public ?View $drawing,
        public string $typedNote = '',
        public ?string $error = null,
    ) {
    }

    /** Time of work and of waiting, in words. */
    public function time(): string
    {
        $wait = match (true) {
            $this->step->wait >= 48 => \sprintf(', then wait %d days', (int) round($this->step->wait / 24)),
            $this->step->wait >= 1 => \sprintf(', then wait %d h', (int) round($this->step->wait)),
            $this->step->wait > 0 => \sprintf(', then wait %d min', (int) round(60 * $this->step->wait)),
            default => '',
        };

        return ($this->step->minutes >= 90 ? \sprintf('%s h', round($this->step->minutes / 60, 1)) : "{$this->step->minutes} min").$wait;
    }
}
