<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Change;

use Olvek\Core\Basis\Unit\QuantityReader;
use Olvek\Core\Basis\Unit\Unit;
use Olvek\Core\Basis\Unit\UnreadableQuantity;
use Olvek\Core\Nature\Vessel\VesselShape;
use Olvek\Core\Planning\Plan\Choice;
use Olvek\Core\Planning\Plan\Field;
use Olvek\Core\Planning\Plan\Method;
use Olvek\Core\Planning\Plan\PlanFields;
use Olvek\Core\Planning\Plan\RefusedEdit;
use Olvek\Core\Planning\Plan\StartWay;

/**
 * The border at which typed text becomes a change, and nowhere else: a place and what was typed there, in the keeper's units or any other.
 *
 * Places are the paths of the document, numbers (Field) and choices (Choice), and a few verbs: `method` (a whole recipe), `plants.add` (a
 * kind), `plants.add.KIND` (so many of it; "12 at 30 80 on hand" says where, in percent from left and front, and that it is there already),
 * `plants.ID.remove`, the same for `animals` and `hardscape`, `events.add` (what is to happen), `events.add.KIND` (on which day, of whom,
 * how much: "250 a1 6"),
 * `events.ID.remove`, `events.ID.clump` and `.group`,
 * `vessel.shape`, `bed.soil.material` (a kind or "none"; also for `leaves` and `cap`), `bed.soil.add` (a kind), `bed.soil.parts.KIND`
 * (parts, 0 takes it out),
 * `bed.soil.mix` ("coir 2, garden-compost 1"), `bed.doses.add` (a kind), `bed.doses.KIND` (grams, 0 takes it out), `start.way` (which
 * brings its bacteria and dose),
 * `light.kind`, `feeding.food`, `water.kind` and `topUp.kind` (a kind; for the latter also "same").
 */
final readonly class Reader
{
    /** Places that are whole by themselves. */
    private const WORDS = ['name', 'method', 'vessel.shape', 'water.kind', 'topUp.kind', 'start.way', 'light.kind', 'feeding.food'];

    private BedReader $bed;
    private ItemReader $items;

    public function __construct()
    {
        $this->bed = new BedReader();
        $this->items = new ItemReader();
    }

    /** Whether some plan could have such a place; in a plan at hand it may still be missing. */
    public static function mayBePlace(string $place): bool
    {
        return \in_array($place, self::WORDS, true)
            || null !== Field::at($place)
            || null !== Choice::at($place)
            || null !== PlanFields::of()->kindOf($place)
            || ItemReader::isPlace($place)
            || BedReader::isPlace($place);
    }

    /**
     * @return Change|null null where the text says what stands there
     *
     * @throws RefusedEdit|UnreadableQuantity
     */
    public function read(string $place, string $typed, Draft $draft): ?Change
    {
        if (!mb_check_encoding($typed, 'UTF-8')) {
            throw new RefusedEdit('This holds bytes that are no text. Type it anew.');
        }
        $typed = trim($typed);
        if (\in_array($place, self::WORDS, true)) {
            return self::word($place, $typed);
        }

        return match (true) {
            BedReader::isPlace($place) => $this->bed->read($place, $typed, $draft),
            ItemReader::isPlace($place) => $this->items->read($place, $typed, $draft),
            default => self::value($place, $typed, $draft),
        };
    }

    /**
     * A number or a choice at a place of the document.
     *
     * @throws RefusedEdit|UnreadableQuantity
     */
    public static function value(string $place, string $typed, Draft $draft): ?Change
    {
        $choice = $draft->choice($place);
        if (null !== $choice) {
            return new Choose($place, $choice->read($typed));
        }
        if (null !== $draft->kindOf($place)) {
            return new TakeKind($place, $typed);
        }
        $field = $draft->field($place);
        $stored = $draft->get($draft->keys($place));
        // A field that is sent back as it was shown is left as it is: showing rounds, and rounding must not change.
        if ((\is_int($stored) || \is_float($stored)) && $typed === $field->show((float) $stored, $draft->units)) {
            return null;
        }
        $lamp = self::lamp($place, $typed);
        if (null !== $lamp) {
            return $lamp;
        }
        $value = $field->read($typed, $draft->units);

        return match ($place) {
            SetLamp::WATTS => SetLamp::watts((float) $value),
            SetLamp::LUMENS => SetLamp::lumens((float) $value),
            default => new SetNumber($place, $value),
        };
    }

    /** A lamp's strength with its unit says which of the two it is, in whichever field it stands: "18 W", "1800 lm". */
    private static function lamp(string $place, string $typed): ?SetLamp
    {
        if (
            !\in_array($place, [SetLamp::WATTS, SetLamp::LUMENS], true)
            || 1 !== preg_match('/^(.*\d)\s*(w|watts?|lm|lumens?)$/iD', $typed, $match)
        ) {
            return null;
        }

        return 'w' === strtolower($match[2][0])
            ? SetLamp::watts(QuantityReader::read($match[1], Unit::Piece))
            : SetLamp::lumens(QuantityReader::read($match[1], Unit::Lumen));
    }

    private static function word(string $place, string $typed): ?Change
    {
        return match ($place) {
            'name' => new Rename($typed),
            'method' => new TakeMethod(Method::tryFrom($typed) ?? throw new RefusedEdit('Choose a method from the list.')),
            'vessel.shape' => new Reshape(VesselShape::tryFrom($typed) ?? throw new RefusedEdit('Choose a shape from the list.')),
            'start.way' => new StartBy(StartWay::tryFrom($typed) ?? throw new RefusedEdit('Choose a way of starting from the list.')),
            'light.kind' => new TakeLamp($typed),
            'feeding.food' => new TakeFood($typed),
            default => '' === $typed ? null : new TakeWater(substr($place, 0, -5), $typed),
        };
    }
}
