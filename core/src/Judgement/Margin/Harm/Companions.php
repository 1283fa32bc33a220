<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin\Harm;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Judgement\Margin\Outlook;
use Olvek\Core\Judgement\Margin\Room;
use Olvek\Core\Nature\Animal\AnimalKind;
use Olvek\Core\Nature\Animal\CompanyRule;
use Olvek\Core\Nature\Animal\Temper;
use Olvek\Core\Planning\Plan\Stock;

/** Animals that fight, hunt or bite one another. */
final class Companions implements HarmCriterion
{
    /** What a quarrel in too little room counts: it may go well. J. */
    private const QUARREL = 0.7;

    public static function of(Outlook $outlook): array
    {
        $stock = $outlook->present;
        $litres = $outlook->plan->vessel->grossVolume();
        $harms = [];
        $kinds = [];
        foreach ($stock->groups as $group) {
            $kinds[$group->kind->id] = $group->kind;
        }
        foreach ($kinds as $kind) {
            $harms[] = self::males($stock, $litres, $kind);
            foreach ($kinds as $other) {
                if ($other->id !== $kind->id) {
                    $harms[] = self::between($stock, $litres, $kind, $other);
                }
            }
        }

        return array_values(array_filter($harms));
    }

    private static function males(Stock $stock, float $litres, AnimalKind $kind): ?Harm
    {
        $males = $stock->males($kind);
        if ($males < 2) {
            return null;
        }
        $never = \in_array(CompanyRule::OneMale, $kind->company, true);
        if (!$never && !Room::fights($kind, $males, $litres)) {
            return null;
        }

        return new Harm(
            HarmId::Company,
            $kind->id,
            $never ? 1.0 : self::QUARREL,
            $stock->arrival($kind),
            $never
                ? new Message('harm.males-kill', ['kind' => $kind->common])
                : new Message('harm.males-fight', ['kind' => $kind->common]),
            [new Message('avert.one-male', ['kind' => $kind->common])],
        );
    }

    /** What one kind does to another. */
    private static function between(Stock $stock, float $litres, AnimalKind $kind, AnimalKind $other): ?Harm
    {
        [$one, $two] = [$kind->common, $other->common];
        $apart = [new Message('avert.apart', ['kind' => $one, 'other' => $two])];
        $day = max($stock->arrival($kind), $stock->arrival($other));

        return match (true) {
            Room::eats($kind, $other) => new Harm(
                HarmId::Company,
                $other->id,
                1.0,
                $day,
                new Message('harm.hunts', ['kind' => $one, 'other' => $two]),
                $apart,
            ),
            \in_array(CompanyRule::Nips, $kind->company, true)
            && \in_array(CompanyRule::LongFins, $other->company, true) => new Harm(
                HarmId::Company,
                $other->id,
                1.0,
                $day,
                new Message('harm.nips', ['kind' => $one, 'other' => $two]),
                $apart,
            ),
            $other->id > $kind->id
            && Temper::Quarrelsome === $kind->temper
            && Temper::Quarrelsome === $other->temper
            && Room::areTooClose($kind, $other, $litres) => new Harm(
                HarmId::Company,
                $other->id,
                self::QUARREL,
                $day,
                new Message('harm.quarrel', ['kind' => $one, 'other' => $two]),
                $apart,
            ),
            default => null,
        };
    }
}
