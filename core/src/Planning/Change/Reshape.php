<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Change;

use Olvek\Core\Nature\Vessel\VesselShape;

/** Another shape of about the same size. */
final readonly class Reshape implements Change
{
    /** Share of the rim's height to which a vessel is filled. C. */
    private const FILLED = 0.92;

    public function __construct(private VesselShape $shape)
    {
    }

    public function place(): string
    {
        return 'vessel.shape';
    }

    public function typed(): string
    {
        return $this->shape->value;
    }

    public function make(Draft $draft): ?string
    {
        $plan = $draft->plan();
        if ($this->shape === $plan->vessel->shape()) {
            return null;
        }
        $measures = $this->shape->sizedLike($plan->vessel);
        $draft->put(['vessel'], ['shape' => $this->shape->value, ...$measures]);
        // What stood below the old rim must stand below the new.
        $draft->put(['waterLine'], min($plan->waterLine, round(self::FILLED * $this->shape->make($measures)->height(), 4)));

        return 'shape '.$this->shape->words();
    }
}
