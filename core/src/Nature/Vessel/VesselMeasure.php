<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Vessel;

use Olvek\Core\Basis\Field\Fields;
use Olvek\Core\Basis\Field\InvalidValue;
use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\Unit;

/** What a tape measure reads of vessels, outside, m; a shape says which it has. */
enum VesselMeasure: string
{
    #[Number('length', Dimension::Length, 0.08, 5.0, 'along the front; along the back where the front is bowed', decimals: 2)]
    case Length = 'length';
    #[Number('width, front to back', Dimension::Length, 0.08, 5.0, 'from front to back; at the sides where the front is '
        .'bowed', decimals: 2)]
    case Width = 'width';
    #[Number('diameter', Dimension::Length, 0.08, 5.0, 'at the widest, across the mouth where it widens to the top', decimals: 2)]
    case Diameter = 'diameter';
    #[Number('height', Dimension::Length, 0.08, 5.0, decimals: 2)]
    case Height = 'height';
    #[Number('foot', Dimension::Length, 0.08, 5.0, 'diameter at the bottom', decimals: 2)]
    case Foot = 'foot';
    #[Number('bow depth', Dimension::Length, 0.01, 3.0, 'by which the front stands out in the middle', decimals: 2)]
    case Bow = 'bow';
    #[Number('mouth', Dimension::Length, 0.01, 3.0, 'across the opening', decimals: 2)]
    case Mouth = 'mouth';
    #[Number('lowest point of the lip', Dimension::Length, 0.01, 3.0, 'above the lowest point of the flask', decimals: 2)]
    case Lip = 'lip';
    #[Number('glass thickness', Dimension::Length, 0.002, 0.03, 'of the panes', decimals: 2, metric: Unit::Millimetre, us: Unit::Inch)]
    case Glass = 'glass';
    #[Number('wall thickness', Dimension::Length, 0.001, 0.06, 'of the wall', decimals: 2, metric: Unit::Millimetre, us: Unit::Inch)]
    case Wall = 'wall';

    /**
     * Checks each measure of a vessel by itself, at the end of its construction; how they go together is Vessel::broken().
     *
     * @throws InvalidValue
     */
    public static function check(Vessel $vessel): void
    {
        $wrong = [];
        foreach ($vessel->measures() as $name => $metres) {
            $field = Fields::of(self::class)[$name]->told ?? null;
            if ($field instanceof Number && !$field->allows($metres)) {
                $wrong[] = $name;
            }
        }
        if ([] !== $wrong) {
            throw new InvalidValue($vessel::class, $wrong);
        }
    }
}
