<?php

declare(strict_types=1);

namespace Olvek\Core\Plan;

use Olvek\Core\Catalogue\Catalogue;
use Olvek\Core\Event\EventKind;
use Olvek\Core\Unit\UnitSystem;
use Olvek\Core\Unit\UnreadableQuantity;
use Olvek\Core\Vessel\Shape;

/**
 * Applies edits, each a place and a typed text, to a plan's document and reads the whole back through the plan's rules.
 * Several edits count as one: either all hold together or nothing changes.
 *
 * Places are the paths of the document, numbers (Field) and choices (Choice), plus a few verbs: `school` (a whole recipe), `plants.add` (a kind), `plants.ID.remove`,
 * `plants.add.KIND` and `animals.add.KIND` (so many of it), the same for `animals` and `hardscape`, `events.add` (what to do), `vessel.shape`, `bed.soil.material` (a kind or "none"; also for `leaves`
 * and `cap`), `bed.soil.add` (a kind), `bed.soil.parts.KIND` (parts, 0 takes it out), `bed.soil.mix` ("coir 2, garden-compost 1"), `bed.doses.add` (a kind), `bed.doses.KIND` (grams, 0 takes it out),
 * `start.way` (which brings its bacteria and dose), `water.kind` and `topUp.kind` (a kind of water; for the latter also "same").
 */
final readonly class Editor
{
    /** Places that are whole by themselves. */
    private const WORDS = ['name', 'school', 'vessel.shape', 'water.kind', 'topUp.kind', 'start.way', 'light.kind', 'feeding.food'];

    private PlanDocument $document;
    private BedEditor $bed;
    private ThingEditor $things;

    /** lm per W of white diodes, where the kind of lamp is not told. M (70–130). */
    private const LUMENS_PER_WATT = 95.0;

    public function __construct(private Catalogue $catalogue)
    {
        $this->document = new PlanDocument($catalogue);
        $this->bed = new BedEditor($catalogue, $this->document);
        $this->things = new ThingEditor($catalogue, $this->document);
    }

    /** Whether some plan could have such a place; in a plan at hand it may still be missing. */
    public static function mayBePlace(string $place): bool
    {
        return \in_array($place, self::WORDS, true) || null !== Field::at($place) || null !== Choice::at($place)
            || 1 === preg_match(ThingEditor::PLACE, $place) || 1 === preg_match(BedEditor::DOSE, $place) || 1 === preg_match(BedEditor::LAYER, $place);
    }

    /**
     * @param array<string, string> $edits typed text by place
     *
     * @throws InvalidPlan with the places as paths
     */
    public function apply(Plan $plan, array $edits, UnitSystem $units): Edited
    {
        $draft = new Draft($this->document->toArray($plan));
        $words = [];
        $problems = [];
        foreach ($edits as $place => $typed) {
            if (!mb_check_encoding($typed, 'UTF-8')) {
                $problems[] = new Problem($place, 'This holds bytes that are no text. Type it anew.');
                continue;
            }
            try {
                $words[] = $this->edit($draft, $place, trim($typed), $units);
            } catch (UnreadableQuantity|RefusedEdit $refused) {
                $problems[] = new Problem($place, $refused->getMessage());
            }
        }
        if ([] !== $problems) {
            throw new InvalidPlan($problems);
        }
        $words = array_values(array_filter($words, static fn (?string $w): bool => null !== $w));

        return [] === $words ? new Edited($plan, []) : new Edited($this->document->fromArray($draft->data), $words);
    }

    /** @throws RefusedEdit|UnreadableQuantity */
    private function edit(Draft $draft, string $place, string $typed, UnitSystem $units): ?string
    {
        if (\in_array($place, self::WORDS, true)) {
            return match ($place) {
                'name' => $draft->put(['name'], $typed, 'name', $typed),
                'school' => $this->takeSchool($draft, $typed),
                'vessel.shape' => $this->setShape($draft, $typed),
                'start.way' => $this->setWay($draft, $typed),
                'light.kind' => $this->setLamp($draft, $typed),
                'feeding.food' => $this->setFood($draft, $typed),
                default => $this->setWater($draft, substr($place, 0, -5), $typed),
            };
        }
        $words = $this->bed->edit($draft, $place, $typed, $units);
        if (false !== $words) {
            return $words;
        }
        $words = $this->things->edit($draft, $place, $typed, $units);
        if (false !== $words) {
            return $words;
        }
        $choice = Choice::at($place);
        if (null === $choice) {
            $words = $draft->type(explode('.', $place), Field::at($place), $typed, $units);

            return null === $words ? null : $words.$this->lit($draft, $place);
        }
        $stored = $choice->read($typed);
        // A sealed vessel is never opened to feed.
        $unfed = 'site.sealed' === $place && true === $stored && null !== $draft->put(['feeding', 'grams'], 0.0, '', '');

        return $draft->put(explode('.', $place), $stored, "$choice->label:", $choice->options[$typed].($unfed ? ', nothing fed' : ''));
    }

    private function takeSchool(Draft $draft, string $typed): ?string
    {
        $school = School::tryFrom($typed) ?? throw new RefusedEdit('Choose a school from the list.');
        $before = $draft->data;
        foreach ($school->edits($this->document->fromArray($draft->data)) as $place => $text) {
            $this->edit($draft, $place, $text, UnitSystem::Metric);
        }
        $draft->put(['school'], $school->value, '', '');

        return $before === $draft->data ? null : 'school: '.$school->words();
    }

    /** A way of starting brings its bacteria; a dosed one its dose, which no other has. */
    private function setWay(Draft $draft, string $typed): ?string
    {
        $way = StartWay::tryFrom($typed) ?? throw new RefusedEdit('Choose a way of starting from the list.');
        $words = $draft->put(['start', 'way'], $typed, 'start', $way->words());
        if (null === $words) {
            return null;
        }
        if (null !== $way->inoculum()) {
            $draft->put(['start', 'inoculum'], $way->inoculum()->value, '', '');
        }
        $events = array_values(array_filter(Draft::records($draft->data['events']), static fn (array $e): bool => EventKind::Dose->value !== $e['do']));
        if (StartWay::Dosing === $way) {
            $events[] = ['id' => ThingEditor::freeId($events, 'e'), 'do' => EventKind::Dose->value, 'day' => StartWay::DOSED_ON, 'milligramsPerLitre' => StartWay::DOSE];
        }
        $draft->put(['events'], $events, '', '');

        return $words;
    }

    /** A lamp by its kind brings the share of its light that lands, and where its watts are known its lumens. */
    private function setLamp(Draft $draft, string $id): ?string
    {
        $kind = '' === $id ? null : $this->catalogue->lamps[$id] ?? throw new RefusedEdit('Choose a lamp from the list.');
        $words = $draft->put(['light', 'kind'], $kind?->id, 'lamp', null === $kind ? 'of no kind in particular' : mb_strtolower($kind->name));
        if (null === $words || null === $kind) {
            return $words;
        }
        $draft->put(['light', 'landing'], $kind->landing->value, '', '');

        return $words.$this->lit($draft, 'light.watts');
    }

    /** Watts tell the lumens by the lamp's kind; lumens typed over them put them out of date. */
    private function lit(Draft $draft, string $place): string
    {
        if ('light.lumens' === $place) {
            $draft->put(['light', 'watts'], 0.0, '', '');
        }
        $watts = $draft->get(['light', 'watts']);
        if ('light.watts' !== $place || !\is_float($watts) || $watts <= 0) {
            return '';
        }
        $kind = $draft->get(['light', 'kind']);
        $kind = \is_string($kind) ? $this->catalogue->lamps[$kind] ?? null : null;
        $lumens = $watts * ($kind->lumensPerWatt->value ?? self::LUMENS_PER_WATT);
        $draft->put(['light', 'lumens'], $lumens, '', '');

        return \sprintf(' (%.0f lm)', $lumens);
    }

    private function setFood(Draft $draft, string $id): ?string
    {
        $food = '' === $id ? null : $this->catalogue->foods[$id] ?? throw new RefusedEdit('Choose a food from the list.');
        if (null !== $food) {
            $draft->put(['feeding', 'protein'], $food->protein->value, '', '');
        }

        return $draft->put(['feeding', 'food'], $food?->id, 'food', null === $food ? 'of no kind in particular' : mb_strtolower($food->name));
    }

    private function setWater(Draft $draft, string $which, string $id): ?string
    {
        $label = 'topUp' === $which ? 'top-up water' : 'water';
        if ('' === $id) {
            return null;
        }
        if ('same' === $id && 'topUp' === $which) {
            return $draft->put(['topUp'], null, $label, 'the same as at filling');
        }
        $kind = $this->catalogue->waters[$id] ?? throw new RefusedEdit('Choose a water from the list.');
        $water = $kind->likely();

        return $draft->put([$which], SectionReader::write($water), $label, mb_strtolower($kind->name));
    }

    /**
     * Another shape of about the same size.
     */
    private function setShape(Draft $draft, string $typed): ?string
    {
        $shape = Shape::tryFrom($typed) ?? throw new RefusedEdit('Choose a shape from the list.');
        $plan = $this->document->fromArray($draft->data);
        if ($shape === $plan->vessel->shape()) {
            return null;
        }
        $draft->data['vessel'] = ['shape' => $shape->value, ...$shape->sizedLike($plan->vessel)];
        // What stood below the old rim must stand below the new.
        $rim = $shape->make($shape->sizedLike($plan->vessel))->height();
        $draft->data['waterLine'] = min($plan->waterLine, round(0.92 * $rim, 4));

        return 'shape '.$shape->words();
    }
}
