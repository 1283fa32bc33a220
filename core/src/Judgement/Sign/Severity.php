<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Sign;

/** How much a cause asks of its keeper. */
enum Severity: string
{
    case Harmless = 'harmless';
    case Mend = 'mend';
    case Urgent = 'urgent';
    case Vet = 'vet';

    public function words(): string
    {
        return match ($this) {
            self::Harmless => 'harmless',
            self::Mend => 'can be mended in time',
            self::Urgent => 'act today',
            self::Vet => 'for a vet',
        };
    }
}
