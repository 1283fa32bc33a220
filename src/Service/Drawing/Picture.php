<?php

declare(strict_types=1);

namespace Olvek\Service\Drawing;

use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Core\Simulation\Run\Snapshot;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/** The tank that greets people: the demo's waiting hall, drawn from its plan like any other. */
final readonly class Picture
{
    public function __construct(
        private PlanDocument $document,
        #[Autowire('%kernel.project_dir%/demo/waiting-hall.plan.json')] private string $file,
    ) {
    }

    public function section(): View
    {
        $plan = $this->document->fromJson((string) file_get_contents($this->file));

        return Elevation::thumbnail($plan, Snapshot::planned($plan));
    }
}
