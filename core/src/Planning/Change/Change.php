<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Change;

use Olvek\Core\Planning\Plan\RefusedEdit;

/** One change of a plan. Remedies, answers, methods and corrections are lists of these; what a keeper types becomes one in the Reader. */
interface Change
{
    /** The place, or verb, under which a form or a command line gives it. */
    public function place(): string;

    /** What is typed there for the same change, read alike in every system of units. */
    public function typed(): string;

    /**
     * Makes it in a draft.
     *
     * @return string|null what changed, in the keeper's units; null where nothing did
     *
     * @throws RefusedEdit where the draft does not have what it changes
     */
    public function make(Draft $draft): ?string;
}
