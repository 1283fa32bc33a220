<?php

declare(strict_types=1);

namespace Olvek\Service\Shelf;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Judgement\Standing\Standing;
use Olvek\Core\Planning\Plan\Quantities;
use Olvek\Service\Drawing\Elevation;
use Olvek\Service\Editing\TankEditor;
use Olvek\Service\Judging\Outcomes;
use Olvek\Service\Site\ResultCache;
use Olvek\Service\Tank\Revision;
use Twig\Environment;

/** Tanks at a glance, kept per plan, and per day of those that run: a shelf of two hundred is not judged anew at every visit. */
final readonly class Summaries
{
    /** Day on which a planned tank is shown: grown in. */
    private const GROWN = 60;

    public function __construct(
        private ResultCache $cache,
        private TankEditor $editor,
        private Outcomes $outcomes,
        private Environment $twig,
    ) {
    }

    /** @param Standing|null $standing of a running tank */
    public function of(Revision $revision, ?Standing $standing, UnitSystem $units): Summary
    {
        $print = null === $standing ? 'planned' : hash('xxh128', serialize($standing));

        return $this->cache->get(
            implode('.', ['summary', $revision->tank->id()->toBase58(), $revision->tank->planHash(), $print, $units->value]),
            function () use ($revision, $standing, $units): Summary {
                $plan = $this->editor->plan($revision);
                $outcome = $standing ?? $this->outcomes->of($revision, $plan, $units);
                $shown = $outcome instanceof Standing ? $outcome->snapshot : $outcome->album->on(self::GROWN);
                $drawing = $this->twig->render('shelf/_thumbnail.html.twig', [
                    'section' => Elevation::thumbnail($plan, $shown),
                    'clip' => 'clip-'.$revision->tank->id()->toBase58(),
                ]);

                $side = static fn (float $metres): string => Decimal::trimmed($units->length()->fromBase($metres), 0);

                return new Summary(
                    $outcome->state,
                    $outcome->verdict,
                    \sprintf(
                        '%s × %s × %s %s, %s free',
                        $side($plan->vessel->outerLength()),
                        $side($plan->vessel->outerWidth()),
                        $side($plan->vessel->outerHeight()),
                        $units->length()->symbol(),
                        $units->show(Dimension::Volume, Quantities::of($plan)->netWater, 0),
                    ),
                    $drawing,
                );
            },
        );
    }
}
