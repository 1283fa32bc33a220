<?php

declare(strict_types=1);

namespace Olvek\Tests\Editing;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Planning\Plan\PlanFields;
use Olvek\Core\Tests\Basis\Field\Drained;
use Olvek\Core\Tests\Basis\Field\Outlet;
use Olvek\Service\Editing\Controls;
use Olvek\Service\Editing\FieldView;
use PHPUnit\Framework\TestCase;

final class ControlsTest extends TestCase
{
    /** @return array<string, FieldView> by place */
    private static function form(UnitSystem $units, Outlet $outlet): array
    {
        $data = [
            'outlet' => [
                'height' => $outlet->height,
                'slots' => $outlet->slots,
                'guarded' => $outlet->guarded,
                'faces' => $outlet->faces->value,
            ],
        ];
        $controls = new Controls(
            $data,
            $units,
            ['outlet.slots' => 'many'],
            ['outlet.slots' => 'Type a whole number.'],
            PlanFields::of(Drained::class),
        );
        $form = [];
        foreach (array_merge(...$controls->section($outlet, 'outlet')) as $view) {
            $form[$view->path] = $view;
        }

        return $form;
    }

    /** A field gets its control from its description alone, in the keeper's units, with what was typed and refused. */
    public function testEveryFieldHasItsControl(): void
    {
        $form = self::form(UnitSystem::Metric, new Outlet(0.3));
        self::assertSame(['outlet.height', 'outlet.slots', 'outlet.guarded', 'outlet.faces'], array_keys($form));
        self::assertSame(
            ['height of the overflow', '30', 'cm'],
            [$form['outlet.height']->label, $form['outlet.height']->value, $form['outlet.height']->unit],
        );
        self::assertSame(['many', 'Type a whole number.'], [$form['outlet.slots']->value, $form['outlet.slots']->error]);
        self::assertSame(['no' => 'none', 'yes' => 'fitted'], $form['outlet.guarded']->options);
        self::assertSame('north', $form['outlet.faces']->value);
        self::assertSame(
            ['11.8', 'in'],
            [
                self::form(UnitSystem::Us, new Outlet(0.3))['outlet.height']->value,
                self::form(UnitSystem::Us, new Outlet(0.3))['outlet.height']->unit,
            ],
        );
    }
}
