<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Basis\Field;

use Olvek\Core\Basis\Field\Schema;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Nature\Light\Aspect;
use Olvek\Core\Planning\Change\Draft;
use Olvek\Core\Planning\Change\Reader;
use Olvek\Core\Planning\Plan\DocumentReader;
use Olvek\Core\Planning\Plan\FormatTables;
use Olvek\Core\Planning\Plan\InvalidPlan;
use Olvek\Core\Planning\Plan\PlanFields;
use Olvek\Core\Planning\Plan\RefusedEdit;
use Olvek\Core\Planning\Plan\SectionReader;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\TestCase;

/**
 * A field that is described on its property is in the document, the rules, the editor, the schema and the formats page, and nobody else was
 * told.
 */
final class DescribedOnceTest extends TestCase
{
    private static function fields(): PlanFields
    {
        return PlanFields::of(Drained::class);
    }

    /** @param array<string, mixed> $data */
    private static function read(array $data): Outlet
    {
        $root = DocumentReader::root(['outlet' => $data]);
        $outlet = (new SectionReader(Sample::catalogue()))->read(Outlet::class, $root->child('outlet'));
        $root->finish();

        return $outlet;
    }

    public function testTheDocument(): void
    {
        $outlet = new Outlet(0.3, 5, true, Aspect::South);
        $data = SectionReader::write($outlet);
        self::assertSame(['height' => 0.3, 'slots' => 5, 'guarded' => true, 'faces' => 'south'], $data);
        self::assertEquals($outlet, self::read($data));
        self::assertEquals(new Outlet(0.3), self::read(['height' => 0.3]), 'what may be left out');
        foreach (
            [
                [],
                ['height' => 'high'],
                ['height' => 0.3, 'slots' => 1.5],
                ['height' => 0.3, 'faces' => 'up'],
                ['height' => 0.3, 'spout' => 1],
            ] as $wrong
        ) {
            try {
                self::read($wrong);
                self::fail('taken: '.json_encode($wrong));
            } catch (InvalidPlan $refused) {
                self::assertCount(1, $refused->problems);
            }
        }
    }

    public function testTheRules(): void
    {
        $faults = [];
        foreach (self::fields()->numbers(new Drained(new Outlet(0.6, 10))) as [$place, $field, $value]) {
            $faults[$place] = str_replace("\u{00A0}", ' ', (string) $field->problem($value)?->message());
        }
        self::assertSame(
            [
                'outlet.height' => 'Height of the overflow: from 10 cm to 50 cm; this says 60 cm.',
                'outlet.slots' => 'Slots: from 1 to 9; this says 10.',
            ],
            $faults,
        );
        foreach (self::fields()->numbers(new Drained(new Outlet(0.5, 9))) as [, $bounded, $bound]) {
            self::assertNull($bounded->problem($bound), 'the bounds themselves are in');
        }
    }

    public function testTheEditor(): void
    {
        $draft = new Draft(['outlet' => SectionReader::write(new Outlet(0.3))], Sample::catalogue(), UnitSystem::Us, self::fields());
        $typed = static fn (string $place, string $text): ?string => Reader::value($place, $text, $draft)?->make($draft);
        self::assertSame('height of the overflow 11.8 in → 10 in', str_replace("\u{00A0}", ' ', (string) $typed('outlet.height', '10')));
        self::assertNull($typed('outlet.height', '10'), 'what is sent back as it was shown changes nothing');
        self::assertSame('snail guard: fitted', $typed('outlet.guarded', 'yes'));
        self::assertEqualsWithDelta(
            ['height' => 0.254, 'slots' => 3, 'guarded' => true, 'faces' => 'north'],
            $draft->get(['outlet']),
            1e-9,
        );
        $this->expectException(RefusedEdit::class);
        $typed('outlet.faces', 'up');
    }

    public function testTheSchemaAndTheFormatsPage(): void
    {
        self::assertSame(
            [
                'type' => 'object',
                'additionalProperties' => false,
                'required' => ['height'],
                'properties' => [
                    'height' => ['description' => 'm over the bottom', 'type' => 'number', 'minimum' => 0.1, 'maximum' => 0.5],
                    'slots' => ['description' => 'in its comb', 'type' => 'integer', 'minimum' => 1, 'maximum' => 9, 'default' => 3],
                    'guarded' => ['description' => 'keeps snails in', 'type' => 'boolean', 'default' => false],
                    'faces' => ['description' => 'where it looks', 'enum' => array_column(Aspect::cases(), 'value'), 'default' => 'north'],
                ],
            ],
            Schema::object(Outlet::class),
        );
        self::assertStringContainsString(
            '| `outlet.slots` | slots | 1–9, whole | in its comb; default 3 |',
            FormatTables::fields(Drained::class),
        );
    }

    public function testOnlyWhatMattersIsAsked(): void
    {
        self::assertSame(
            ['outlet.height', 'outlet.slots', 'outlet.guarded', 'outlet.faces'],
            array_keys(PlanFields::places(new Outlet(0.3), 'outlet')),
        );
        self::assertSame(['outlet.height', 'outlet.slots', 'outlet.faces'], array_keys(PlanFields::places(new Outlet(0.3, 1), 'outlet')));
    }
}
