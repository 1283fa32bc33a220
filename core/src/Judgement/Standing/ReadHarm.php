<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Standing;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Judgement\Margin\AmmoniaMargin;
use Olvek\Core\Judgement\Margin\Harm\Harm;
use Olvek\Core\Judgement\Margin\Harm\HarmId;
use Olvek\Core\Judgement\Margin\Nitrite;
use Olvek\Core\Judgement\Margin\Outlook;
use Olvek\Core\Keeping\Log\Log;
use Olvek\Core\Nature\Water\Measure;
use Olvek\Core\Planning\Event\EventKind;

/** Ammonia and nitrite that a test has found with animals in: whatever a run makes of them, they harm today. */
final class ReadHarm
{
    /** @return list<Harm> */
    public static function of(Outlook $outlook, Log $log): array
    {
        $arrived = self::arrived($outlook);
        if (null === $arrived) {
            return [];
        }
        $harms = [];
        foreach ([Measure::Ammonia, Measure::Nitrite] as $measure) {
            $reading = $log->latest($measure);
            if (null === $reading || $reading->day < $arrived || $outlook->since - $reading->day > Log::FRESH) {
                continue;
            }
            $left = $reading->value * self::left($log, $reading->day);
            $harms[] = self::isGrave($outlook, $log, $measure, $left) ? new Harm(
                HarmId::Water,
                $measure->value,
                HarmId::Water->weight()->fails,
                $reading->day,
                new Message('harm.read', ['what' => $measure->value, 'ago' => $outlook->since - $reading->day]),
                [new Message('avert.read')],
            ) : null;
        }

        return array_values(array_filter($harms));
    }

    /** Day on which the first of those that are in came; null while none is: those that come later are not harmed today. */
    private static function arrived(Outlook $outlook): ?int
    {
        $days = [];
        foreach ($outlook->present->groups as $group) {
            if ($group->day <= $outlook->since) {
                $days[] = $group->day;
            }
        }

        return [] === $days ? null : min($days);
    }

    /** Share of what was read that water changes since have left. */
    private static function left(Log $log, int $day): float
    {
        $left = 1.0;
        foreach ($log->of(EventKind::Change) as $change) {
            $left *= $change->day >= $day ? 1.0 - $change->amount : 1.0;
        }

        return $left;
    }

    private static function isGrave(Outlook $outlook, Log $log, Measure $measure, float $value): bool
    {
        $c = $outlook->trace->columns;

        return Measure::Nitrite === $measure ? $value > Nitrite::ACT : AmmoniaMargin::isGrave(
            $value,
            $log->latest(Measure::Acidity)->value ?? $c['pH'][$outlook->since],
            $log->latest(Measure::Temperature)->value ?? $c['temperature'][$outlook->since],
        );
    }
}
