<?php

declare(strict_types=1);

namespace Olvek\Core\Margin;

use Olvek\Core\Animal\Shape;
use Olvek\Core\Plan\Plan;
use Olvek\Core\Unit\Decimal;
use Olvek\Core\Unit\Dimension;
use Olvek\Core\Unit\Provenance;
use Olvek\Core\Unit\UnitSystem;

/** Room, company and warmth for the animals. All C: welfare minima as the trade states them. */
final class Room
{
    private const LEAST = 1.0;
    private const GOOD = 1.2;
    /** L below which the trade keeps shrimp and snails only. C. */
    private const FISH_FROM = 10.0;

    public static function margin(Plan $plan, UnitSystem $units): Margin
    {
        $net = $plan->netWater();
        $shownNet = $units->show(Dimension::Volume, $net);
        if ([] === $plan->groups) {
            return new Margin('room', 'Room for animals', 9.0, self::LEAST, self::GOOD, null, 'no animals', 'There are no animals to make room for yet.', [new Term('free water', $shownNet)], '');
        }
        $counts = [];
        foreach ($plan->groups as $group) {
            $counts[$group->kind->id] = ($counts[$group->kind->id] ?? 0) + $group->count;
        }
        $needed = 0.0;
        $least = 0.0;
        $complaints = [];
        $terms = [new Term('free water', $shownNet)];
        $celsius = $plan->site->temperature;
        $seen = [];
        foreach ($plan->groups as $group) {
            $kind = $group->kind;
            if (isset($seen[$kind->id])) {
                continue;
            }
            $seen[$kind->id] = true;
            $count = $counts[$kind->id];
            $needed += $count * $kind->litresEach->value;
            $least = max($least, $kind->leastTank->value, Shape::Fish === $kind->shape ? self::FISH_FROM : 0.0);
            $terms[] = new Term(\sprintf('%d × %s', $count, $kind->common), \sprintf('%s each, no tank below %s', $units->show(Dimension::Volume, $kind->litresEach->value), $units->show(Dimension::Volume, $kind->leastTank->value)), Provenance::CommonPractice);
            if ($count < $kind->group->value) {
                $complaints[] = \sprintf('%s should be kept as %d or more', $kind->common, (int) $kind->group->value);
            }
            if ($celsius < $kind->coolest->value || $celsius > $kind->warmest->value) {
                $complaints[] = \sprintf('%s wants %s–%s, the water is at %s', $kind->common, Decimal::trimmed($units->temperature()->fromBase($kind->coolest->value), 0),
                    $units->show(Dimension::Temperature, $kind->warmest->value, 0), $units->show(Dimension::Temperature, $celsius));
            }
        }
        $ratio = $net / max($needed, $least);
        $need = $units->show(Dimension::Volume, max($needed, $least));
        $enough = $ratio >= self::LEAST;
        $value = [] === $complaints ? $ratio : min($ratio, ($enough ? self::LEAST + self::GOOD : self::LEAST) / 2);
        $sentence = $enough
            ? \sprintf('The animals ask for %s and have %s.', $need, $shownNet)
            : \sprintf('The animals ask for %s but have only %s.', $need, $shownNet);
        if ([] !== $complaints) {
            $sentence = ($enough ? '' : $sentence.' ').implode('; ', $complaints).'.';
        }

        return new Margin('room', 'Room for animals', $value, self::LEAST, self::GOOD, null, Decimal::trimmed($ratio, 1).' ×', $sentence, $terms,
            match (true) {
                !$enough => 'Fewer animals, a smaller kind, or a larger tank.',
                [] !== $complaints => 'Change the group or the warmth, or choose a kind that suits.',
                $ratio < self::GOOD => 'Leave a little room for young ones.',
                default => '',
            });
    }
}
