<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Change;

use Olvek\Core\Basis\Unit\UnreadableQuantity;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Plan\Field;
use Olvek\Core\Planning\Plan\RefusedEdit;

/**
 * Reads what is typed of a plan's lists: clumps, groups of animals, stones and wood, zones of the bed, planned events.
 *
 * @internal
 */
final readonly class ItemReader
{
    /** A list, an id or "add", and what of it. */
    private const PLACE = '/^(plants|animals|hardscape|zones|events)\.([a-z0-9-]+)(?:\.([a-zA-Z0-9-]+))?$/D';

    public static function isPlace(string $place): bool
    {
        return 1 === preg_match(self::PLACE, $place);
    }

    /** @throws RefusedEdit|UnreadableQuantity */
    public function read(string $place, string $typed, Draft $draft): ?Change
    {
        [$list, $id, $what] = [...explode('.', $place, 3), '', ''];
        if ('add' === $id && 'zones' === $list && '' !== $what) {
            throw new RefusedEdit('Olvek does not know this part of a plan.');
        }
        if ('add' === $id) {
            return '' === $what ? self::add($list, $typed) : self::addSoMany($list, $what, $typed, $draft);
        }
        // Said before what was typed is looked at: what is gone cannot be changed.
        $draft->index($list, $id);

        return match (true) {
            'remove' === $what => new Remove($list, $id),
            'events' === $list && \in_array($what, ['clump', 'group'], true) => new Retarget($id, $what, $typed),
            default => Reader::value($place, $typed, $draft),
        };
    }

    private static function add(string $list, string $typed): Change
    {
        return match ($list) {
            'plants' => new AddClump($typed),
            'animals' => new AddGroup($typed),
            'hardscape' => new AddPiece($typed),
            'zones' => new AddZone($typed),
            default => self::addEvent($typed),
        };
    }

    private static function addSoMany(string $list, string $kind, string $typed, Draft $draft): Change
    {
        [$typed, $placed] = \in_array($list, ['plants', 'hardscape'], true) ? Placed::read($typed) : [$typed, new Placed()];
        $number = static fn (string $name): float|int => self::number("$list.x.$name", $typed, $draft);

        return match ($list) {
            'plants' => new AddClump($kind, (int) $number('pieces'), $placed),
            'animals' => self::addAnimals($kind, $typed, $draft),
            'hardscape' => new AddPiece($kind, (float) $number('litres'), $placed),
            default => self::addPlanned(self::kind($kind), $typed, $draft),
        };
    }

    /** How many, and from which day: "6", "6 on 250". */
    private static function addAnimals(string $kind, string $typed, Draft $draft): AddGroup
    {
        $parts = explode(' on ', $typed, 2);
        $day = $parts[1] ?? null;

        return new AddGroup(
            $kind,
            (int) self::number('animals.x.count', $parts[0], $draft),
            null === $day ? null : (int) self::number('animals.x.day', $day, $draft),
        );
    }

    /** On which day, of whom and how much of it: "250", "250 a1 6", "250 9 h". */
    private static function addPlanned(EventKind $kind, string $typed, Draft $draft): AddEvent
    {
        [$day, $rest] = [...explode(' ', $typed, 2), ''];
        $of = null;
        if (null !== $kind->of() && '' !== $rest) {
            [$of, $rest] = [...explode(' ', $rest, 2), ''];
        }
        $amount = $kind->amount();
        if ('' !== $rest && null === $amount) {
            throw new RefusedEdit('Say the day alone: there is nothing to count.');
        }

        return new AddEvent(
            $kind,
            (int) self::number('events.x.day', $day, $draft),
            $of,
            '' === $rest ? null : $amount?->read($rest, $draft->units),
        );
    }

    /** @throws UnreadableQuantity */
    private static function number(string $place, string $typed, Draft $draft): float|int
    {
        return (Field::at($place) ?? throw new \LogicException("there is no $place"))->read($typed, $draft->units);
    }

    /** With or without the day: "change 42". */
    private static function addEvent(string $typed): Change
    {
        $kind = explode(' ', $typed, 2)[0];
        $day = explode(' ', $typed, 2)[1] ?? null;
        if (null !== $day && (!ctype_digit($day) || \strlen($day) > 4)) {
            throw new RefusedEdit('Say the day as a number after the word: change 42.');
        }

        return new AddEvent(self::kind($kind), null === $day ? null : (int) $day);
    }

    private static function kind(string $typed): EventKind
    {
        $kind = EventKind::named($typed);

        return null !== $kind && $kind->happens()->planned ? $kind : throw new RefusedEdit('Choose from the list what is to happen.');
    }
}
