<?php

declare(strict_types=1);

namespace Olvek\Page\Start;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Plan\Choice;
use Olvek\Core\Planning\Plan\Field;
use Olvek\Core\Planning\Plan\InvalidPlan;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\Problem;
use Olvek\Core\Planning\Plan\Refused;
use Olvek\Service\Editing\FieldView;

/** What a running tank has: its light, lid, bed, technique and water. Usual values stand for what is left empty. */
final readonly class RunningFacts
{
    /** Places of the plan that are asked for, each with its label where the plan's own doesn't ask well. */
    private const ASKED = [
        'light.lumens' => 'light: “18 W” or “1800 lm”',
        'light.hours' => 'hours of light a day',
        'site.aspect' => 'daylight from',
        'site.lid' => 'lid',
        self::SOIL => 'depth of the soil',
        self::CAP => 'depth of the sand or gravel over it',
        'water.kind' => 'filled with',
        'site.temperature' => 'temperature of the water',
        'equipment.heating' => 'heating',
        'equipment.device' => 'pump or filter',
    ];
    /** Depths that stand for front and back. */
    private const SOIL = 'bed.soil';
    private const CAP = 'bed.cap';

    public function __construct(private Editor $editor, private Catalogue $catalogue)
    {
    }

    /**
     * @param array<string, string> $typed  by place
     * @param array<string, string> $errors
     *
     * @return list<FieldView>
     */
    public function fields(array $typed, array $errors, UnitSystem $units): array
    {
        $fields = [];
        foreach (self::ASKED as $place => $label) {
            $choice = Choice::at($place);
            $number = Field::at(self::depth($place) ? "$place.back" : $place);
            $options = match (true) {
                'water.kind' === $place => array_map(static fn ($w): string => $w->name, $this->catalogue->waters),
                null !== $choice => $choice->options,
                default => [],
            };
            $fields[] = new FieldView(
                $place,
                $label,
                $typed[$place] ?? '',
                null === $number ? '' : $number->unit($units)->symbol(),
                $errors[$place] ?? null,
                [] === $options ? [] : ['' => 'don’t know', ...$options],
            );
        }

        return $fields;
    }

    /**
     * The plan with all that was typed of it.
     *
     * @param array<string, string> $typed by place
     *
     * @throws Refused with the places as they are asked for
     */
    public function apply(Plan $plan, array $typed, UnitSystem $units): Plan
    {
        $edits = [];
        foreach (array_intersect_key($typed, self::ASKED) as $place => $text) {
            if ('' === trim($text)) {
                continue;
            }
            if (self::depth($place)) {
                $edits["$place.front"] = $edits["$place.back"] = $text;
                continue;
            }
            $edits[$place] = $text;
        }
        if (isset($edits['site.temperature']) && 'none' !== ($edits['equipment.heating'] ?? 'none')) {
            // A heater is set to the temperature of the water.
            $edits['equipment.target'] = $edits['site.temperature'];
        }
        try {
            return [] === $edits ? $plan : $this->editor->apply($plan, $edits, $units)->plan;
        } catch (InvalidPlan $invalid) {
            throw FormRefused::all(array_map(
                static fn (Problem $p): Problem => $p->movedTo(self::asked($p->path)),
                $invalid->problems,
            ));
        }
    }

    /** Whether a fault stands beside one of these fields. */
    public static function asks(string $place): bool
    {
        return isset(self::ASKED[$place]);
    }

    private static function depth(string $place): bool
    {
        return self::SOIL === $place || self::CAP === $place;
    }

    /** The place that was asked for, where a fault lies in it. */
    private static function asked(string $path): string
    {
        foreach ([self::SOIL, self::CAP] as $depth) {
            if (str_starts_with($path, "$depth.")) {
                return $depth;
            }
        }

        return 'equipment.target' === $path ? 'site.temperature' : $path;
    }
}
