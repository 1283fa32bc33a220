<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin\Harm;

use Olvek\Core\Basis\Message\Amount;
use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Judgement\Margin\KindWater;
use Olvek\Core\Judgement\Margin\Outlook;
use Olvek\Core\Nature\Animal\AnimalKind;

/** Kinds whose water is not such as they are kept in for years. */
final class WrongWater implements HarmCriterion
{
    /** Days that count as the start. J. */
    private const FIRST = 60;

    public static function of(Outlook $outlook): array
    {
        $harms = [];
        foreach (self::kinds($outlook) as [$kind, $from]) {
            $pH = KindWater::spread($outlook->trace->columns['pH'], $from);
            $gh = KindWater::spread($outlook->trace->columns['generalHardness'], $from);
            $ways = KindWater::ways($kind, $pH, $gh);
            $worst = KindWater::worst($ways);
            if ('hard' === $worst && $ways['hard'] > 0.0) {
                $harms[] = self::tooHard($outlook, $kind, $from, $gh, $ways['hard']);
                continue;
            }
            $sour = \in_array($worst, ['acid', 'alkaline'], true);
            $harms[] = new Harm(
                HarmId::Waters,
                $kind->id,
                max(0.0, $ways[$worst]),
                $from,
                $sour
                    ? new Message('harm.ph', [
                        'kind' => $kind->common,
                        'way' => $worst,
                        'edge' => $ways[$worst] < 1.0 ? 'yes' : 'no',
                        'pH' => 'acid' === $worst ? $pH[0] : $pH[1],
                        'from' => $kind->kept->acidest->value,
                        'to' => $kind->kept->alkalinest->value,
                    ])
                    : new Message('harm.hardness', [
                        'kind' => $kind->common,
                        'way' => 'soft',
                        'edge' => $ways[$worst] < 1.0 ? 'yes' : 'no',
                        'gh' => Amount::hardness($gh[0]),
                        'kept' => Amount::hardness($kind->kept->softest->value),
                    ]),
                [new Message('avert.waters', ['way' => $worst])],
            );
        }

        return $harms;
    }

    /**
     * Water that is too hard from the start, or that topping up makes so.
     *
     * @param array{float, float} $gh °dH
     */
    private static function tooHard(Outlook $outlook, AnimalKind $kind, int $from, array $gh, float $way): Harm
    {
        $column = $outlook->trace->columns['generalHardness'];
        $first = \array_slice($column, $from, self::FIRST);
        $atFirst = KindWater::ways($kind, [$kind->acidest->value, $kind->acidest->value], [$gh[0], max([0.0, ...$first])])['hard'];
        $weight = HarmId::Waters->weight();
        // Water that is at the edge from the start and too hard in the end has crept there as well.
        $creeps = $atFirst < ($way < $weight->fails ? $weight->tight : $weight->fails);
        $day = $from;
        while ($day < $outlook->lastDay() && $column[$day] <= $kind->kept->hardest->value) {
            ++$day;
        }
        $much = Amount::hardness($gh[1]);
        $kept = Amount::hardness($kind->kept->hardest->value);

        return $creeps
            ? new Harm(
                HarmId::Minerals,
                $kind->id,
                $way,
                $day,
                new Message('harm.minerals', ['kind' => $kind->common, 'gh' => $much, 'kept' => $kept, 'when' => $outlook->when($day)]),
                [new Message('avert.minerals')],
            )
            : new Harm(
                HarmId::Waters,
                $kind->id,
                $way,
                $from,
                new Message('harm.hardness', [
                    'kind' => $kind->common,
                    'way' => 'hard',
                    'edge' => $way < 1.0 ? 'yes' : 'no',
                    'gh' => $much,
                    'kept' => $kept,
                ]),
                [new Message('avert.waters', ['way' => 'hard'])],
            );
    }

    /** @return array<string, array{AnimalKind, int}> each kind that is in or comes within the run, and its first day that counts */
    public static function kinds(Outlook $outlook): array
    {
        $kinds = [];
        foreach ($outlook->present->groups as $group) {
            if ($group->day < $outlook->lastDay()) {
                $day = max($outlook->since, $group->day);
                $kinds[$group->kind->id] = [$group->kind, min($day, $kinds[$group->kind->id][1] ?? $day)];
            }
        }

        return $kinds;
    }
}
