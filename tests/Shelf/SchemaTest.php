<?php

declare(strict_types=1);

namespace Olvek\Tests\Shelf;

use Olvek\Core\Catalogue\Catalogue;
use Olvek\Core\Plan\InvalidPlan;
use Olvek\Core\Plan\Plan;
use Olvek\Core\Plan\PlanDocument;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\TestCase;

/** The published schema against an independent validator, and against what the core's own reader says. */
final class SchemaTest extends TestCase
{
    private static function valid(string $json): bool
    {
        $validator = new Validator();
        $schema = json_decode((string) file_get_contents(__DIR__.'/../../schema/plan.schema.json'), flags: \JSON_THROW_ON_ERROR);
        self::assertIsObject($schema);

        return $validator->validate(json_decode($json, flags: \JSON_THROW_ON_ERROR), $schema)->isValid();
    }

    public function testPlansThatOlvekWritesFollowTheSchema(): void
    {
        $catalogue = Catalogue::shipped();
        $document = new PlanDocument($catalogue);
        self::assertTrue(self::valid($document->toJson(Plan::starting('New', $catalogue))));
        $files = glob(__DIR__.'/../../demo/*.plan.json');
        self::assertIsArray($files);
        self::assertCount(4, $files);
        foreach ($files as $file) {
            $json = (string) file_get_contents($file);
            self::assertTrue(self::valid($json), $file);
            self::assertTrue(self::valid($document->toJson($document->fromJson($json))), $file);
        }
    }

    /** What the schema refuses, the reader refuses too. */
    public function testTheReaderIsAtLeastAsStrict(): void
    {
        $document = new PlanDocument(Catalogue::shipped());
        $good = json_decode((string) file_get_contents(__DIR__.'/../../demo/galley.plan.json'), true, flags: \JSON_THROW_ON_ERROR);
        self::assertIsArray($good);
        $wrongs = [
            ['version' => 2], ['name' => ''], ['waterLine' => 0], ['vessel' => ['shape' => 'teapot']], ['vessel' => ['glass' => 1]], ['vessel' => ['shape' => 'cylinder']], ['vessel' => ['length' => 0.3]], ['site' => ['sealed' => 'yes']], ['site' => ['aspect' => 'up']], ['hardscape' => [['litres' => 0]]], ['plants' => [['planting' => 'upside-down']]], ['topUp' => ['pH' => 7]], ['light' => ['hours' => 25]],
            ['plants' => [['pieces' => 0]]], ['plants' => [['id' => 'A B']]], ['animals' => [['day' => -1]]], ['start' => ['inoculum' => 'prayer']], ['bed' => ['soil' => ['mix' => [['parts' => 0]]]]],
            ['care' => ['changeShare' => 2]], ['feeding' => ['protein' => 0.9]], ['water' => ['pH' => 3]], ['site' => ['temperature' => 50]], ['surprise' => true], ['light' => ['colour' => 1]],
        ];
        foreach ($wrongs as $wrong) {
            $data = array_replace_recursive($good, $wrong);
            $json = json_encode($data, \JSON_THROW_ON_ERROR);
            self::assertFalse(self::valid($json), $json);
            try {
                $document->fromArray($data);
                self::fail('taken: '.json_encode($wrong, \JSON_THROW_ON_ERROR));
            } catch (InvalidPlan $refused) {
                self::assertNotSame([], $refused->problems);
            }
        }
    }
}
