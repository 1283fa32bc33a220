<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Ask;

use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Basis\Unit\Words;
use Olvek\Core\Nature\Animal\AnimalKind;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Planning\Change\AddEvent;
use Olvek\Core\Planning\Change\AddGroup;
use Olvek\Core\Planning\Change\Change;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Plan\Clump;
use Olvek\Core\Planning\Plan\Field;
use Olvek\Core\Planning\Plan\Group;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\UsualAmount;

/**
 * Something that a keeper thinks of doing with a tank that runs, as changes of its plan: all of them events of days to come, so that the
 * past stays as it was.
 */
final readonly class Proposal
{
    /**
     * @param string|null $of      group, clump or kind that it concerns
     * @param float|null  $amount  as $number stores it
     * @param Number|null $number  what may be typed in its place
     * @param string      $words   "six more shrimp"
     * @param list<Change> $changes
     */
    private function __construct(
        public Topic $topic,
        public ?string $of,
        public ?float $amount,
        public ?Number $number,
        public string $words,
        public array $changes,
    ) {
    }

    /**
     * @param Now         $now    how the tank stands
     * @param int         $day    on which it is to be done, after today
     * @param string|null $of     group (More), kind (AnimalKind) or clump (Thin)
     * @param float|null  $amount heads, hours, share of the surface left, g of food a day, days between changes, days away; the usual one
     *     where it is not told
     *
     * @return self|null null where it cannot be asked of this tank
     */
    public static function of(Topic $topic, Now $now, int $day, ?string $of, ?float $amount, Catalogue $catalogue, UnitSystem $units): ?self
    {
        return match ($topic) {
            Topic::More => self::more($now, $day, self::group($now->plan, $of), $amount),
            Topic::Kind => self::kind($now, $day, $catalogue->animals[$of ?? ''] ?? null, $amount),
            Topic::Light => self::light($now, $day, $amount, $units),
            Topic::Fertilise => self::fertilise($day, $amount),
            Topic::Thin => self::thin($now, $day, self::floater($now->plan, $of), $amount, $units),
            Topic::Feed => self::feed($now, $day, $amount, $units),
            Topic::Changes => self::changes($now, $day, $amount),
            Topic::Away => self::away($day, $amount),
        };
    }

    private static function more(Now $now, int $day, ?Group $group, ?float $amount): ?self
    {
        if (null === $group || !$now->isIn($group)) {
            return null;
        }
        $number = self::number('count', EventKind::Stock);
        $count = (int) ($amount ?? max(1.0, $group->kind->group->value));

        return new self(
            Topic::More,
            $group->id,
            (float) $count,
            $number,
            \sprintf('%d more %s', $count, Words::animals($count, $group->kind->common)),
            [
                new AddEvent(EventKind::Stock, $day, $group->id, (float) $count),
                new AddEvent(EventKind::Feed, $day, null, round($now->food + UsualAmount::food($group->kind, $count), 3)),
            ],
        );
    }

    private static function kind(Now $now, int $day, ?AnimalKind $kind, ?float $amount): ?self
    {
        if (null === $kind) {
            return null;
        }
        $count = (int) ($amount ?? UsualAmount::heads($kind, $now->plan));

        return new self(
            Topic::Kind,
            $kind->id,
            (float) $count,
            (Field::at('animals.x.count') ?? throw new \LogicException('animals are not counted'))->number,
            $count.' '.Words::animals($count, $kind->common),
            [
                new AddGroup($kind->id, $count, $day),
                new AddEvent(EventKind::Feed, $day, null, round($now->food + UsualAmount::food($kind, $count), 3)),
            ],
        );
    }

    private static function light(Now $now, int $day, ?float $hours, UnitSystem $units): ?self
    {
        if ($now->plan->lamp->watts <= 0 && $now->plan->lamp->lumens <= 0) {
            return null;
        }
        $number = self::number('hours', EventKind::Light);
        $hours ??= min(24.0, $now->hours + 1);

        return new self(Topic::Light, null, $hours, $number, \sprintf('the lamp on for %s a day', $number->say($hours, $units)), [
            new AddEvent(EventKind::Light, $day, null, $hours),
        ]);
    }

    private static function fertilise(int $day, ?float $nitrogen): self
    {
        $number = self::number('nitrogen', EventKind::Fertilise);

        return new self(Topic::Fertilise, null, $nitrogen ?? $number->usual, $number, 'one dose of liquid fertiliser', [
            new AddEvent(EventKind::Fertilise, $day, null, $nitrogen ?? $number->usual),
        ]);
    }

    private static function thin(Now $now, int $day, ?Clump $clump, ?float $left, UnitSystem $units): ?self
    {
        $left ??= 0.3;
        if (null === $clump || $now->cover <= 0.0) {
            return null;
        }
        $cut = 1 - min(1.0, $left / $now->cover);
        $number = new Number('of the surface left', Dimension::Share, 0.0, 1.0, decimals: 0);
        $least = self::number('share', EventKind::Trim)->from;

        return new self(
            Topic::Thin,
            $clump->id,
            $left,
            $number,
            \sprintf('%s thinned to %s of the surface', $clump->kind->common, $number->say($left, $units)),
            $cut < $least ? [] : [new AddEvent(EventKind::Trim, $day, $clump->id, round($cut, 2))],
        );
    }

    private static function feed(Now $now, int $day, ?float $grams, UnitSystem $units): ?self
    {
        if ($now->food <= 0.0 && null === $grams) {
            return null;
        }
        $number = self::number('grams', EventKind::Feed);
        $grams ??= round($now->food / 2, 3);

        return new self(Topic::Feed, null, $grams, $number, \sprintf('%s of food a day', $number->say($grams, $units)), [
            new AddEvent(EventKind::Feed, $day, null, $grams),
        ]);
    }

    private static function changes(Now $now, int $day, ?float $every): self
    {
        $every ??= $now->changeEvery > 0 ? 0.0 : 14.0;

        return new self(
            Topic::Changes,
            null,
            $every,
            self::number('every', EventKind::Changes),
            0.0 === $every ? 'no more water changes' : 'a third of the water changed '.Words::every((int) $every),
            [new AddEvent(EventKind::Changes, $day, null, $every)],
        );
    }

    private static function away(int $day, ?float $days): self
    {
        $days ??= 21.0;

        return new self(
            Topic::Away,
            null,
            $days,
            self::number('days', EventKind::Holiday),
            'away for '.(0.0 === fmod($days, 7.0) ? Words::count((int) ($days / 7), 'week') : Words::count((int) $days, 'day')),
            [new AddEvent(EventKind::Holiday, $day, null, $days)],
        );
    }

    private static function number(string $value, EventKind $kind): Number
    {
        return $kind->values()[$value];
    }

    private static function group(Plan $plan, ?string $id): ?Group
    {
        return array_column($plan->groups, null, 'id')[$id ?? ''] ?? null;
    }

    private static function floater(Plan $plan, ?string $id): ?Clump
    {
        $clump = array_column($plan->clumps, null, 'id')[$id ?? ''] ?? null;

        return true === $clump?->kind->role->coversSurface() ? $clump : null;
    }
}
