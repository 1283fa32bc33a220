<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Event;

/** What a kind of event is called, and where it is met with. */
#[\Attribute(\Attribute::TARGET_CLASS)]
final readonly class Happens
{
    /**
     * @param string      $words         as something that will happen
     * @param bool        $planned       may stand in a plan
     * @param bool        $task          something that the keeper does: weather and failures are nobody's task
     * @param string|null $done          what the logbook says of it, %s being its first value (or how many animals); null where none
     *                                   is logged
     * @param string      $none          the same where that value is 0
     * @param bool        $asPlanned     counts as done on its planned day where the logbook is silent of it; cuts and changes of
     *                                   water are the run's usual care
     * @param bool        $disturbsWater moves what tests show, so that what is read on the same day counts as read before it
     */
    public function __construct(
        public string $words,
        public About $about,
        public bool $planned = true,
        public bool $task = true,
        public ?string $done = null,
        public string $none = '',
        public bool $asPlanned = false,
        public bool $disturbsWater = false,
    ) {
    }
}
