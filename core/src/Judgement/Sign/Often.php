<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Sign;

/**
 * How often one thing is there where another is, in the words that keepers use. Data holds the words; the numbers stand here once.
 *
 * M: Mosteller & Youtz (1990), Quantifying probabilistic expressions, Statistical Science 5, 2–34: the mean numbers that people give
 * for such words, rounded. J that the outermost are held off certainty: no keeper has seen every tank.
 */
enum Often: string
{
    case Always = 'always';
    case Usually = 'usually';
    case Often = 'often';
    case Sometimes = 'sometimes';
    case Seldom = 'seldom';
    case Never = 'never';

    /** Share (0–1) of such tanks. */
    public function chance(): float
    {
        return match ($this) {
            self::Always => 0.95,
            self::Usually => 0.75,
            self::Often => 0.6,
            self::Sometimes => 0.3,
            self::Seldom => 0.1,
            self::Never => 0.01,
        };
    }
}
