<?php

declare(strict_types=1);

namespace Olvek\Core\Basis\Unit;

/** The physical dimensions in which Olvek reads and shows quantities. */
enum Dimension: string
{
    case Length = 'length';
    case Area = 'area';
    case Volume = 'volume';
    case Mass = 'mass';
    case Temperature = 'temperature';
    case TemperatureDifference = 'temperature difference';
    case Hardness = 'hardness';
    case Duration = 'duration';
    case Share = 'share';
    case LuminousFlux = 'luminous flux';
    case PhotonFluxDensity = 'photon flux density';
    case Count = 'count';
    case Acidity = 'acidity';
    case Concentration = 'concentration';
    case Conductivity = 'conductivity';
}
