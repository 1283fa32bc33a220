<?php

declare(strict_types=1);

namespace Olvek\Page\Start;

use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\QuantityReader;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Basis\Unit\UnreadableQuantity;
use Olvek\Core\Nature\Bed\Bed;
use Olvek\Core\Nature\Bed\Side;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Nature\Vessel\GlassBox;
use Olvek\Core\Nature\Vessel\Vessel;
use Olvek\Core\Nature\Vessel\VesselShape;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\Refused;

/** The vessel that a keeper picks: a common size, one's own measures, or a box of so many litres. */
final readonly class VesselForm
{
    public const OWN = 'own';
    public const LITRES = 'litres';
    /** Width and height of a box against its length, of a box of known litres only. C: 2 : 1 : 1.2. */
    private const WIDE = 0.5;
    private const HIGH = 0.6;
    /** Share of the rim's height to which it is filled. C. */
    private const FILLED = 0.92;
    private const LEAST_LITRES = 1.0;
    private const MOST_LITRES = 5000.0;
    /** What a tank is called until it is named. */
    private const UNNAMED = 'New tank';
    private const USUAL = 'box-60';
    private const USUAL_US = 'us-20';

    public function __construct(private Catalogue $catalogue, private Editor $editor)
    {
    }

    /** What is picked where nobody has yet. */
    public static function usual(UnitSystem $units): string
    {
        return UnitSystem::Us === $units ? self::USUAL_US : self::USUAL;
    }

    /**
     * What was picked, as an address carries it.
     *
     * @param array<mixed> $sent
     *
     * @return array<string, mixed>
     */
    public static function query(array $sent): array
    {
        $edits = array_filter(
            \is_array($sent['edits'] ?? null) ? $sent['edits'] : [],
            static fn (mixed $typed, int|string $place): bool => \is_string($typed)
                && '' !== $typed
                && ('name' === $place || 'waterLine' === $place || str_starts_with((string) $place, 'vessel.')),
            \ARRAY_FILTER_USE_BOTH,
        );
        $text = static fn (string $name, string $default): string => \is_string($sent[$name] ?? null) ? $sent[$name] : $default;
        $picked = $text('vessel', self::OWN);

        return [
            'vessel' => $picked,
            ...self::LITRES === $picked ? ['litres' => $text('litres', '')] : [],
            'edits' => self::OWN === $picked ? $edits : array_intersect_key($edits, ['name' => '']),
        ];
    }

    /**
     * A plan of that vessel, with the usual bed and nothing in it.
     *
     * @param array<mixed> $sent "vessel", "litres" and "edits" as a form sends them
     *
     * @throws Refused with the places as paths, "litres" among them
     */
    public function read(array $sent, UnitSystem $units): Plan
    {
        $edits = self::texts($sent);
        $name = ['name' => '' === trim($edits['name'] ?? '') ? self::UNNAMED : $edits['name']];
        $plan = Plan::starting('A new tank', $this->catalogue, $units);
        $picked = \is_string($sent['vessel'] ?? null) ? $sent['vessel'] : self::OWN;
        // Who has typed a measure means it, whatever else is picked.
        $measured = array_filter($edits, static fn (string $text, string $place): bool => '' !== trim($text)
            && str_starts_with($place, 'vessel.') && 'vessel.shape' !== $place, \ARRAY_FILTER_USE_BOTH);
        $preset = [] === $measured ? $this->catalogue->vessels[$picked] ?? null : null;
        if (null !== $preset) {
            $plan = self::filled($plan, $preset->vessel, $preset->waterLine);

            return $this->editor->apply($plan, $preset->framed ? [...$name, 'stand.braced' => 'yes'] : $name, $units)->plan;
        }
        if (self::LITRES === $picked && [] === $measured) {
            $plan = $this->box($plan, \is_string($sent['litres'] ?? null) ? $sent['litres'] : '', $units);

            return $this->editor->apply($plan, $name, $units)->plan;
        }

        return $this->measured($plan, $edits, $name, $units);
    }

    /**
     * @param array<string, string> $edits
     * @param array<string, string> $name
     *
     * @throws Refused
     */
    private function measured(Plan $plan, array $edits, array $name, UnitSystem $units): Plan
    {
        $shape = VesselShape::tryFrom($edits['vessel.shape'] ?? VesselShape::GlassBox->value) ?? throw FormRefused::at(
            'vessel.shape',
            'Choose a shape from the list.',
        );
        $plan = $plan->withBed(new Bed(null, null));
        $plan = $this->editor->apply($plan, ['vessel.shape' => $shape->value], $units)->plan;
        $wanted = array_map(static fn (string $m): string => "vessel.$m", $shape->measures());
        $typed = array_filter(array_intersect_key($edits, array_flip($wanted)), static fn (string $text): bool => '' !== trim($text));
        $line = trim($edits['waterLine'] ?? '');
        // The old water line must not stand in the way of a lower rim.
        $measured = $this->editor->apply($plan, ['waterLine' => '4 cm', ...$typed], $units)->plan;
        $usual = Plan::starting('A new tank', $this->catalogue, $units)->bed;
        $low = $measured->withWaterLine(round(self::FILLED * $measured->vessel->height(), 3));
        $whole = $usual->depth(Side::Back) < 0.4 * $measured->vessel->height() ? $low->withBed($usual) : $low;

        return $this->editor->apply($whole, [...'' === $line ? [] : ['waterLine' => $line], ...$name], $units)->plan;
    }

    /** @throws Refused */
    private function box(Plan $plan, string $typed, UnitSystem $units): Plan
    {
        try {
            $litres = QuantityReader::read($typed, $units->volume());
        } catch (UnreadableQuantity $unreadable) {
            throw FormRefused::at('litres', $unreadable->getMessage());
        }
        if ($litres < self::LEAST_LITRES || $litres > self::MOST_LITRES) {
            throw FormRefused::at('litres', static fn (UnitSystem $u): string => \sprintf(
                'Say how much it holds, from %s to %s.',
                $u->show(Dimension::Volume, self::LEAST_LITRES, 0),
                $u->show(Dimension::Volume, self::MOST_LITRES, 0),
            ));
        }
        $glass = $litres < 30 ? 0.004 : ($litres < 120 ? 0.006 : 0.01);
        // Within the glass it holds what was said; the sides follow.
        $length = ($litres / 1000 / (self::WIDE * self::HIGH)) ** (1 / 3);
        $vessel = new GlassBox(
            round($length + 2 * $glass, 3),
            round(self::WIDE * $length + 2 * $glass, 3),
            round(self::HIGH * $length + $glass, 3),
            $glass,
        );

        return self::filled($plan, $vessel, round(self::FILLED * $vessel->height(), 3));
    }

    /** In a low vessel the usual bed would stand out of the water: then there is none yet. */
    public static function filled(Plan $plan, Vessel $vessel, float $line): Plan
    {
        $bed = $plan->bed;
        $bare = $plan->withBed(new Bed(null, null))->withWaterLine(min($plan->waterLine, 0.02))->withVessel($vessel)->withWaterLine($line);

        return $bed->depth(Side::Back) < 0.4 * $vessel->height() ? $bare->withBed($bed) : $bare;
    }

    /**
     * What was typed, by place.
     *
     * @param array<mixed> $sent
     *
     * @return array<string, string>
     */
    public static function texts(array $sent): array
    {
        $texts = [];
        foreach (\is_array($sent['edits'] ?? null) ? $sent['edits'] : [] as $place => $typed) {
            if (\is_string($typed)) {
                $texts[(string) $place] = $typed;
            }
        }

        return $texts;
    }
}
