<?php

declare(strict_types=1);

namespace Olvek\Page\Start;

use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Nature\Light\Lamp;
use Olvek\Core\Nature\Vessel\Preset;
use Olvek\Core\Nature\Vessel\VesselMeasure;
use Olvek\Core\Nature\Vessel\VesselShape;
use Olvek\Core\Planning\Plan\Field;
use Olvek\Core\Planning\Plan\Method;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Steps\Step;
use Olvek\Core\Simulation\Run\Snapshot;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Drawing\Elevation;
use Olvek\Service\Drawing\View;
use Olvek\Service\Editing\FieldView;
use Olvek\Service\Tank\Tank;
use Olvek\Service\Tank\TankRepository;

/** What the start page shows: vessels as drawings, one's own measures, methods, and the keeper's tanks. */
final readonly class StartPage
{
    public function __construct(private Catalogue $catalogue, private TankRepository $tanks)
    {
    }

    /**
     * @param array<mixed>          $sent   as the form sent it
     * @param array<string, string> $errors why it was refused, by place
     *
     * @return array<string, mixed>
     */
    public function of(Keeper $keeper, array $sent, array $errors): array
    {
        $edits = VesselForm::texts($sent);
        $measures = [];
        foreach (VesselMeasure::cases() as $measure) {
            $path = "vessel.$measure->value";
            $measures[] = [
                'field' => new FieldView(
                    $path,
                    Field::at($path)->label ?? $measure->value,
                    $edits[$path] ?? '',
                    Field::at($path)?->unit($keeper->units())->symbol() ?? '',
                    $errors[$path] ?? null,
                ),
                'shapes' => array_map(
                    static fn (VesselShape $s): string => $s->value,
                    array_values(
                        array_filter(
                            VesselShape::cases(),
                            static fn (VesselShape $s): bool => \in_array($measure->value, $s->measures(), true),
                        ),
                    ),
                ),
            ];
        }
        $known = [
            '',
            'name',
            'litres',
            'waterLine',
            'from',
            'vessel.shape',
            ...array_map(static fn (array $m): string => $m['field']->path, $measures),
        ];

        return [
            'picked' => \is_string($sent['vessel'] ?? null) ? $sent['vessel'] : (
                [] === $edits ? VesselForm::usual($keeper->units()) : VesselForm::OWN
            ),
            'heavy' => $keeper->units()->about(Dimension::Mass, 1000 * Step::HEAVY),
            'vessels' => $this->vessels($keeper->units()),
            'name' => new FieldView('name', 'name of the tank', $edits['name'] ?? '', '', $errors['name'] ?? null, [], true),
            'litres' => \is_string($sent['litres'] ?? null) ? $sent['litres'] : '',
            'shape' => new FieldView(
                'vessel.shape',
                'shape',
                $edits['vessel.shape'] ?? VesselShape::GlassBox->value,
                '',
                $errors['vessel.shape'] ?? null,
                array_combine(
                    array_column(VesselShape::cases(), 'value'),
                    array_map(static fn (VesselShape $s): string => $s->words(), VesselShape::cases()),
                ),
            ),
            'measures' => $measures,
            'line' => new FieldView(
                'waterLine',
                'water line (empty: nine tenths)',
                $edits['waterLine'] ?? '',
                $keeper->units()->length()->symbol(),
                $errors['waterLine'] ?? null,
            ),
            'volumeUnit' => $keeper->units()->volume()->symbol(),
            'methods' => array_combine(
                array_column(Method::cases(), 'value'),
                array_map(static fn (Method $m): string => $m->words(), Method::cases()),
            ),
            'tanks' => array_map(static fn (Tank $t): string => $t->name(), $this->tanks->active($keeper)),
            'errors' => $errors,
            'others' => array_diff_key($errors, array_flip($known)),
        ];
    }

    /**
     * @return list<array{id: string, name: string, litres: string, remarks: string, drawing: View, other: bool}> sizes of the keeper's
     * units first
     */
    private function vessels(UnitSystem $units): array
    {
        $vessels = [];
        $presets = array_values($this->catalogue->vessels);
        $order = array_flip(array_column(VesselShape::cases(), 'value'));
        usort($presets, static fn (Preset $a, Preset $b): int => [$order[$a->vessel->shape()->value], $a->vessel->grossVolume()]
            <=> [$order[$b->vessel->shape()->value], $b->vessel->grossVolume()]);
        foreach ($presets as $preset) {
            $vessels[] = [
                'id' => $preset->id,
                'name' => $preset->name,
                'litres' => $units->show(Dimension::Volume, $preset->vessel->grossVolume(), 0),
                'remarks' => $preset->remarks,
                'drawing' => $this->drawing($preset),
                'other' => VesselShape::GlassBox === $preset->vessel->shape() && $preset->isByTheInch() !== (UnitSystem::Us === $units),
            ];
        }
        usort($vessels, static fn (array $a, array $b): int => $a['other'] <=> $b['other']);

        return $vessels;
    }

    /** The vessel alone, with water in it. */
    private function drawing(Preset $preset): View
    {
        $plan = VesselForm::filled(Plan::starting('A vessel', $this->catalogue), $preset->vessel, $preset->waterLine);
        $plan = $plan->withInputs($plan->site, new Lamp(0.0, 0.0), $plan->water, $plan->feed);

        return Elevation::thumbnail($plan, Snapshot::planned($plan));
    }
}
