<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Bed;

use Olvek\Core\Basis\Field\Worded;

/** What keeps a zone of the bed apart from its neighbours. */
enum Edge: string implements Worded
{
    case None = 'none';
    case StonesAndWadding = 'stones-and-wadding';
    case Strip = 'strip';
    case Wall = 'wall';

    public function words(): string
    {
        return match ($this) {
            self::None => 'nothing: it slopes as it lies',
            self::StonesAndWadding => 'a rim of stones, gaps stuffed with wadding',
            self::Strip => 'a strip of glass or plastic',
            self::Wall => 'a wall of stones',
        };
    }
}
