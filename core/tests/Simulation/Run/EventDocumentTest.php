<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Simulation\Run;

use Olvek\Core\Planning\Plan\EventDocument;
use Olvek\Core\Planning\Plan\InvalidPlan;
use Olvek\Core\Simulation\Run\Runner;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\TestCase;

final class EventDocumentTest extends TestCase
{
    public function testEveryKindOfEventIsRead(): void
    {
        $plan = Sample::planted();
        $events = (new EventDocument($plan))->fromJson(
            (string) json_encode([
                'events' => [
                    ['do' => 'dose', 'day' => 3, 'milligramsPerLitre' => 2],
                    ['do' => 'change', 'day' => 4, 'share' => 0.5],
                    ['do' => 'feed', 'day' => 30, 'grams' => 0.1],
                    ['do' => 'light', 'day' => 10, 'hours' => 10, 'strength' => 0.6],
                    ['do' => 'lamp-off', 'day' => 20, 'days' => 3],
                    ['do' => 'spell', 'day' => 40, 'days' => 5, 'degrees' => 6],
                    ['do' => 'holiday', 'day' => 50, 'days' => 14],
                    ['do' => 'stock', 'day' => 45, 'group' => 'a1', 'count' => 2],
                    ['do' => 'deaths', 'day' => 55, 'group' => 'a1', 'share' => 0.2],
                    ['do' => 'plant', 'day' => 12, 'clump' => 'c2', 'pieces' => 3],
                    ['do' => 'trim', 'day' => 33, 'clump' => 'c1', 'share' => 0.4],
                    ['do' => 'leaves', 'day' => 9, 'grams' => 3],
                    ['do' => 'top-up-water', 'day' => 25, 'pH' => 6, 'kh' => 0.2, 'gh' => 0.2, 'nitrate' => 0],
                    ['do' => 'mulm-out', 'day' => 22, 'share' => 0.5],
                    ['do' => 'thin-floaters', 'above' => 0.6, 'to' => 0.3],
                    ['do' => 'trim-above', 'above' => 80, 'to' => 50],
                    ['do' => 'trim-overgrown', 'above' => 3, 'to' => 1.5],
                ],
            ]),
        );
        self::assertCount(17, $events);
        $trace = (new Runner($plan))->run(60, $events);
        self::assertGreaterThan(1.5, $trace->columns['ammonia'][3]);
        self::assertSame(29.0, $trace->columns['temperature'][42]);
        self::assertSame(23.0, $trace->columns['temperature'][45]);
        $hardness = $trace->columns['generalHardness'];
        $rise = static fn (int $from, int $to): float => $hardness[$to] - $hardness[$from];
        self::assertLessThan(0.2 * $rise(10, 22), $rise(27, 39), 'soft top-up water stops the creep');
    }

    public function testFaultsAreNamedByTheirPlace(): void
    {
        try {
            (new EventDocument(Sample::planted()))->fromJson(
                '{"events": [{"do": "dance", "day": 3}, {"do": "trim", "day": -1, "clump": "c9", "share": 2}, {"do": "dose", "day": 1}, '
                    .'{"do": "change", "day": 2, "share": 0.1, "litres": 3}]}',
            );
            self::fail('taken');
        } catch (InvalidPlan $refused) {
            self::assertSame(
                ['events.0.do', 'events.1.day', 'events.1.clump', 'events.1.share', 'events.2.milligramsPerLitre'],
                array_column($refused->problems, 'path'),
            );
        }
    }
}
