<?php

declare(strict_types=1);

namespace Olvek\Core\Change;

use Olvek\Core\Event\EventKind;
use Olvek\Core\Plan\Field;
use Olvek\Core\Plan\RefusedEdit;
use Olvek\Core\Unit\UnreadableQuantity;

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
        $number = static fn (string $name): float|int => (
            Field::at("$list.x.$name") ?? throw new \LogicException("$list have no $name")
        )->read($typed, $draft->units);

        return match ($list) {
            'plants' => new AddClump($kind, (int) $number('pieces'), $placed),
            'animals' => new AddGroup($kind, (int) $number('count')),
            'hardscape' => new AddPiece($kind, (float) $number('litres'), $placed),
            default => new AddEvent(self::kind($kind), (int) $number('day')),
        };
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
