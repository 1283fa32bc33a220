<?php

declare(strict_types=1);

namespace Olvek\Core\Basis\Unit;

/** Where a number comes from. The mark stands in code, data and interface alike. */
enum Provenance: string
{
    case Published = 'P';
    case CommonPractice = 'C';
    case Memory = 'M';
    case Judgement = 'J';

    public function words(): string
    {
        return match ($this) {
            self::Published => 'published',
            self::CommonPractice => 'common practice',
            self::Memory => 'from memory of the literature',
            self::Judgement => 'judgement',
        };
    }
}
