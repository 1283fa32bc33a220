<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Event;

/** The button by which a keeper logs a kind of event, on its class; kinds without one can't be logged by hand. */
#[\Attribute(\Attribute::TARGET_CLASS)]
final readonly class LogButton
{
    /**
     * @param string $words   what was done, short; %s is the clump or group that it concerns
     * @param string $section "water", "plants", "animals" or "tank"
     * @param int    $order   among its section's, the usual first
     * @param string $afloat  the same of a clump that covers the surface, where that is said otherwise
     */
    public function __construct(public string $words, public string $section, public int $order, public string $afloat = '')
    {
    }
}
