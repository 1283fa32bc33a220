<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Plan;

use Olvek\Core\Plan\Editor;
use Olvek\Core\Plan\Field;
use Olvek\Core\Plan\PlanDocument;
use Olvek\Core\Tests\Sample;
use Olvek\Core\Unit\UnitSystem;
use PHPUnit\Framework\TestCase;

final class EditorTest extends TestCase
{
    public function testSaysWhatChanged(): void
    {
        $editor = new Editor(Sample::catalogue());
        $edited = $editor->apply(Sample::planted(), ['bed.soil.back' => '1 1/4 in', 'plants.c1.pieces' => '50', 'light.hours' => '8'], UnitSystem::Metric);

        self::assertSame(0.03175, $edited->plan->bed->soil?->back);
        self::assertSame(['soil at the back 2.5 cm → 3.18 cm', 'Asian marshweed, pieces 40 → 50'], str_replace("\u{00A0}", ' ', $edited->words));
    }

    public function testAFieldSentBackAsShownChangesNothing(): void
    {
        $plan = Sample::edit(Sample::planted(), ['bed.soil.back' => '3.333 cm', 'water.nitrate' => '7.77']);
        $editor = new Editor(Sample::catalogue());
        foreach (UnitSystem::cases() as $units) {
            $shown = [];
            $data = (new PlanDocument(Sample::catalogue()))->toArray($plan);
            $flat = new \RecursiveIteratorIterator(new \RecursiveArrayIterator($data));
            foreach ($flat as $value) {
                $keys = array_map(static fn (int $d): string => self::text($flat->getSubIterator($d)?->key()), range(0, $flat->getDepth()));
                if (\in_array($keys[0], ['plants', 'animals'], true)) {
                    $keys[1] = ('plants' === $keys[0] ? 'c' : 'a').((int) $keys[1] + 1);
                }
                $field = Field::at(implode('.', $keys));
                if (null !== $field && (\is_float($value) || \is_int($value))) {
                    $shown[$field->path] = $field->show((float) $value, $units);
                }
            }
            self::assertGreaterThan(15, \count($shown));
            self::assertArrayHasKey('bed.soil.back', $shown);

            $edited = $editor->apply($plan, $shown, $units);
            self::assertSame([], $edited->words);
            self::assertSame($plan, $edited->plan);
        }
    }

    public function testMixesAreMadeByParts(): void
    {
        $plan = Sample::edit(Sample::planted(), ['bed.soil.add' => 'coir']);
        $plan = Sample::edit($plan, ['bed.soil.parts.coir' => '3']);
        self::assertEqualsWithDelta([0.25, 0.75], array_column($plan->bed->soil->mix->shares ?? [], 1), 1e-12);
        $plan = Sample::edit($plan, ['bed.soil.parts.bagged-topsoil' => '0']);
        self::assertSame('coir', $plan->bed->soil?->mix->shares[0][0]->id);
        $plan = Sample::edit($plan, ['bed.soil.material' => 'none']);
        self::assertNull($plan->bed->soil);
        self::assertSame(0.025, Sample::edit($plan, ['bed.soil.material' => 'peat'])->bed->soil?->front);
    }

    public function testTheShapeIsChosen(): void
    {
        $plan = Sample::edit(Sample::planted(), ['vessel.shape' => 'cylinder']);
        self::assertSame(['diameter' => 0.3, 'height' => 0.36, 'glass' => 0.006], $plan->vessel->measures());
        $plan = Sample::edit($plan, ['vessel.diameter' => '10 in']);
        self::assertSame(0.254, $plan->vessel->outerWidth());
        $box = Sample::edit($plan, ['vessel.shape' => 'glass-box']);
        self::assertSame(['length' => 0.254, 'width' => 0.254, 'height' => 0.36, 'glass' => 0.006], $box->vessel->measures());
        $this->expectException(\Olvek\Core\Plan\InvalidPlan::class);
        Sample::edit($plan, ['vessel.length' => '30 cm']);
    }

    public function testAddingAndTakingOut(): void
    {
        $plan = Sample::planted();
        $plan = Sample::edit($plan, ['plants.c1.remove' => '1']);
        $plan = Sample::edit($plan, ['plants.add' => 'salvinia-natans', 'name' => 'Ticket window']);
        self::assertSame(['c2', 'c1'], array_map(static fn ($c) => $c->id, $plan->clumps));
        self::assertSame('Ticket window', $plan->name);
        $plan = Sample::edit($plan, ['animals.a1.remove' => '1']);
        self::assertSame([], $plan->groups);
        self::assertSame(0.0, $plan->feed->grams, 'food stops with the last animal');
    }

    private static function text(mixed $key): string
    {
        return \is_int($key) || \is_string($key) ? (string) $key : '';
    }
}
