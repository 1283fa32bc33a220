<?php

declare(strict_types=1);

namespace Olvek\Tests\Shelf;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Judgement\Solve\Compose\WishDocument;
use Olvek\Core\Judgement\Solve\Compose\WishSchema;
use Olvek\Core\Keeping\Log\ReadingsSchema;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Plan\FormatTables;
use Olvek\Core\Planning\Plan\InvalidPlan;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Core\Planning\Plan\PlanSchema;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\TestCase;

/** The published schema against an independent validator, and against what the core's own reader says. */
final class SchemaTest extends TestCase
{
    private static function valid(string $json, string $what = 'plan'): bool
    {
        $validator = new Validator();
        $schema = json_decode((string) file_get_contents(__DIR__.'/../../schema/'.$what.'.schema.json'), flags: \JSON_THROW_ON_ERROR);
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

    public function testWishesThatOlvekWritesFollowTheirSchema(): void
    {
        $catalogue = Catalogue::shipped();
        $wishes = new WishDocument($catalogue);
        $vessel = ['shape' => 'bowl', 'diameter' => 0.3, 'height' => 0.25, 'mouth' => 0.19, 'glass' => 0.004];
        $least = ['format' => 'olvek.wish', 'version' => 1, 'vessel' => $vessel];
        foreach (
            [
                [],
                ['light' => 'none', 'water' => ['kind' => 'rain'], 'taste' => 'jungle', 'method' => 'thin-soil'],
                ['light' => ['lumens' => 900], 'animals' => [['kind' => 'heterandria-formosa', 'count' => 6]]],
            ] as $more
        ) {
            $json = json_encode([...$least, ...$more], \JSON_THROW_ON_ERROR);
            self::assertTrue(self::valid($json, 'wish'), $json);
            self::assertTrue(self::valid($wishes->toJson($wishes->fromJson($json)), 'wish'), $json);
        }
        self::assertFalse(self::valid(json_encode([...$least, 'light' => 'bright'], \JSON_THROW_ON_ERROR), 'wish'));
        self::assertFalse(self::valid(json_encode([...$least, 'colour' => 'blue'], \JSON_THROW_ON_ERROR), 'wish'));
    }

    public function testWhatIsPublishedIsWhatTheDescriptionsSay(): void
    {
        self::assertSame(PlanSchema::json(), file_get_contents(__DIR__.'/../../schema/plan.schema.json'), 'run bin/formats');
        self::assertSame(WishSchema::json(), file_get_contents(__DIR__.'/../../schema/wish.schema.json'), 'run bin/formats');
        $page = (string) file_get_contents(__DIR__.'/../../docs/formats.md');
        self::assertStringContainsString("\n".FormatTables::fields()."\n<!-- /fields -->", $page, 'run bin/formats');
        self::assertStringContainsString("\n".FormatTables::events()."\n<!-- /events -->", $page, 'run bin/formats');
        self::assertStringContainsString("\n".ReadingsSchema::table()."\n<!-- /readings -->", $page, 'run bin/formats');
        $api = (string) file_get_contents(__DIR__.'/../../schema/readings.openapi.json');
        self::assertStringContainsString("{\n".ReadingsSchema::properties()."\n", $api, 'run bin/formats');
    }

    public function testEveryKindOfEventThatAPlanMayHoldFollowsTheSchema(): void
    {
        $catalogue = Catalogue::shipped();
        $document = new PlanDocument($catalogue);
        $plan = $document->fromJson((string) file_get_contents(__DIR__.'/../../demo/galley.plan.json'));
        foreach (EventKind::plannable() as $kind) {
            $plan = (new Editor($catalogue))->apply($plan, ["events.add.$kind->value" => '30'], UnitSystem::Metric)->plan;
        }
        self::assertTrue(self::valid($document->toJson($plan)));
        $data = $document->toArray($plan);
        self::assertIsArray($data['events']);
        $data['events'][0] = [...(array) $data['events'][0], 'party' => 1];
        self::assertFalse(self::valid((string) json_encode($data)), 'each takes the values of its kind only');
    }

    /** What the schema refuses, the reader refuses too. */
    public function testTheReaderIsAtLeastAsStrict(): void
    {
        $document = new PlanDocument(Catalogue::shipped());
        $good = json_decode((string) file_get_contents(__DIR__.'/../../demo/galley.plan.json'), true, flags: \JSON_THROW_ON_ERROR);
        self::assertIsArray($good);
        $wrongs = [
            ['version' => 2],
            ['name' => ''],
            ['waterLine' => 0],
            ['vessel' => ['shape' => 'teapot']],
            ['vessel' => ['glass' => 1]],
            ['vessel' => ['shape' => 'cylinder']],
            ['vessel' => ['length' => 0.3]],
            ['site' => ['sealed' => 'yes']],
            ['site' => ['aspect' => 'up']],
            ['hardscape' => [['litres' => 0]]],
            ['plants' => [['planting' => 'upside-down']]],
            ['topUp' => ['pH' => 7]],
            ['light' => ['hours' => 25]],
            ['plants' => [['pieces' => 0]]],
            ['plants' => [['id' => 'A B']]],
            ['animals' => [['day' => -1]]],
            ['start' => ['inoculum' => 'prayer']],
            ['bed' => ['soil' => ['mix' => [['parts' => 0]]]]],
            ['care' => ['changeShare' => 2]],
            ['feeding' => ['protein' => 0.9]],
            ['water' => ['pH' => 3]],
            ['site' => ['temperature' => 50]],
            ['surprise' => true],
            ['light' => ['colour' => 1]],
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
