<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Planning\Plan;

use Olvek\Core\Planning\Plan\InvalidPlan;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\TestCase;

final class PlanDocumentTest extends TestCase
{
    public function testRoundTripIsIdentity(): void
    {
        $document = new PlanDocument(Sample::catalogue());
        for ($seed = 1; $seed <= 200; ++$seed) {
            $plan = Sample::random($seed);
            $json = $document->toJson($plan);

            self::assertEquals($plan, $document->fromJson($json));
            self::assertSame($json, $document->toJson($document->fromJson($json)));
        }
    }

    public function testEveryWrongThingIsNamedByItsPath(): void
    {
        $document = new PlanDocument(Sample::catalogue());
        $data = array_replace_recursive($document->toArray(Sample::planted()), [
            'waterLine' => 'high',
            'vessel' => ['shape' => 'teapot'],
            'bed' => ['soil' => ['mix' => [['material' => 'moon-dust']]]],
            'plants' => [['kind' => 'plastic-palm'], ['pieces' => 2.5]],
            'light' => ['hours' => null],
            'start' => null,
        ]);

        try {
            $document->fromArray($data);
            self::fail('the plan was taken');
        } catch (InvalidPlan $refused) {
            $paths = array_column($refused->problems, 'path');
            sort($paths);
            self::assertSame(
                [
                    'bed.soil.mix',
                    'bed.soil.mix.0.material',
                    'light.hours',
                    'plants.c1.kind',
                    'plants.c2.pieces',
                    'start',
                    'start.inoculum',
                    'vessel.shape',
                    'waterLine',
                ],
                $paths,
            );
        }
    }

    public function testUnknownKeysAreRefusedNotDropped(): void
    {
        $document = new PlanDocument(Sample::catalogue());
        $data = array_replace_recursive($document->toArray(Sample::planted()), ['light' => ['colour' => 6500]]);

        $this->expectException(InvalidPlan::class);
        $this->expectExceptionMessage('light.colour');
        $document->fromArray($data);
    }

    public function testHostileDocumentsAreRefusedWithReasons(): void
    {
        $document = new PlanDocument(Sample::catalogue());
        $deep = str_repeat('[', 100).str_repeat(']', 100);
        foreach (
            [
                '',
                '[]',
                'null',
                '{',
                '3',
                '{"format":"olvek.plan"}',
                '{"format":"olvek.plan","version":2}',
                $deep,
                '{"a":'.$deep.'}',
                "\xFF",
            ] as $json
        ) {
            try {
                $document->fromJson($json);
                self::fail("taken: $json");
            } catch (InvalidPlan $refused) {
                self::assertNotSame('', $refused->problems[0]->message());
            }
        }
    }

    /** Random damage to a good document: it is either refused with reasons or a plan that keeps its rules. */
    public function testDamagedDocumentsNeverSlipThrough(): void
    {
        $document = new PlanDocument(Sample::catalogue());
        $dice = new \Random\Randomizer(new \Random\Engine\Mt19937(7));
        $junk = [null, 'x', -1, -0.5, 1e12, [], ['a' => 1], [1], true, 99999999];
        $refusals = 0;
        for ($n = 0; $n < 1000; ++$n) {
            $data = $document->toArray(Sample::random($n % 20));
            $at = &$data;
            do {
                $key = Sample::pick($dice, $at);
                $at = &$at[$key];
            } while (\is_array($at) && [] !== $at && $dice->getInt(0, 4) > 0);
            $at = $junk[$dice->getInt(0, \count($junk) - 1)];
            unset($at);
            try {
                $again = $document->fromArray($data);
                self::assertEquals($again, $document->fromArray($document->toArray($again)));
            } catch (InvalidPlan $refused) {
                ++$refusals;
                self::assertNotSame('', $refused->getMessage());
            }
        }
        self::assertGreaterThan(700, $refusals);
    }

    /** A document as the first release wrote it, without what has come since: it reads, and stays what it was. */
    public function testOlderDocumentsOfTheSameVersionStillRead(): void
    {
        $document = new PlanDocument(Sample::catalogue());
        $data = $document->toArray(Sample::planted());
        unset($data['hardscape'], $data['topUp']);
        $data['site'] = ['temperature' => 23.0];
        \assert(\is_array($data['bed']) && \is_array($data['plants']));
        unset($data['bed']['doses']);
        foreach ($data['plants'] as $n => $plant) {
            \assert(\is_array($plant));
            unset($plant['row'], $plant['planting']);
            $data['plants'][$n] = $plant;
        }
        self::assertEquals(Sample::planted(), $document->fromArray($data));
    }

    public function testEverythingThatAPlanHoldsComesBack(): void
    {
        $document = new PlanDocument(Sample::catalogue());
        $plan = Sample::edit(Sample::planted(), [
            'hardscape.add' => 'tufa',
            'bed.doses.add' => 'root-tab',
            'topUp.kind' => 'rain',
            'site.aspect' => 'west',
            'site.sky' => '35',
            'site.lid' => 'yes',
            'site.swing' => '3',
            'plants.c2.planting' => 'deep',
            'plants.c1.row' => '12',
            'vessel.shape' => 'bow-front',
        ]);
        self::assertEquals($plan, $document->fromJson($document->toJson($plan)));
    }
}
