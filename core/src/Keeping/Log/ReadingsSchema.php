<?php

declare(strict_types=1);

namespace Olvek\Core\Keeping\Log;

use Olvek\Core\Basis\Unit\Ion;
use Olvek\Core\Nature\Water\Measure;

/** What files and devices may say of readings, for the description of the readings API and the formats page (bin/formats writes both). */
final class ReadingsSchema
{
    /** Properties of a posted line's readings, a line each, as they stand in schema/readings.openapi.json. */
    public static function properties(): string
    {
        return implode(",\n", array_map(
            static fn (Measure $measure): string => \sprintf('%s"%s": %s', str_repeat(' ', 28), $measure->value, self::property($measure)),
            Measure::ofTank(),
        ));
    }

    /** A row for every measure, of whatever it is read. */
    public static function table(): string
    {
        $rows = ['| id | what is read | unit | least and most | of | a kit’s ions |', '|---|---|---|---|---|---|'];
        foreach (Measure::cases() as $measure) {
            $measured = $measure->measured();
            [$least, $most] = $measured->bounds;
            $rows[] = \sprintf(
                '| `%s` | %s | %s | %s–%s | %s | %s |',
                $measure->value,
                $measured->label,
                trim("$measured->unit $measured->remark"),
                $least,
                $most,
                $measured->of ?? 'the tank',
                implode(', ', array_map(static fn (Ion $ion): string => $ion->value, $measured->ions)),
            );
        }

        return implode("\n", $rows);
    }

    private static function property(Measure $measure): string
    {
        $measured = $measure->measured();
        $described = trim("$measured->label, $measured->unit $measured->remark", ', ');

        return \sprintf(
            '{"type": "number", "minimum": %s, "maximum": %s, "description": %s}',
            $measured->bounds[0],
            $measured->bounds[1],
            json_encode($described, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES),
        );
    }
}
