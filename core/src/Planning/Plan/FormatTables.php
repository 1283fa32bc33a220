<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Plan;

use Olvek\Core\Basis\Field\Fields;
use Olvek\Core\Basis\Field\KindOf;
use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Basis\Field\OneOf;
use Olvek\Core\Basis\Field\Property;
use Olvek\Core\Basis\Field\YesNo;

/** The tables of docs/formats.md that are made from descriptions, as Markdown (written by bin/formats). */
final class FormatTables
{
    /**
     * Every place of a plan that holds one number, word or yes.
     *
     * @param class-string $class of a plan
     */
    public static function fields(string $class = Plan::class): string
    {
        $rows = [];
        foreach (PlanFields::of($class)->properties() as $place => $property) {
            $default = $property->isRequired() ? '' : self::value($property->default);
            $meaning = array_diff([$property->told->help, '' === $default ? '' : "default $default"], ['']);
            $rows[] = \sprintf(
                '| `%s` | %s | %s | %s |',
                str_replace('*', 'ID', $place),
                $property->told->label,
                self::type($property),
                implode('; ', $meaning),
            );
        }

        return "| place | on its control | value | meaning |\n|---|---|---|---|\n".implode("\n", $rows);
    }

    /** Rules between values, a line each. */
    public static function rules(): string
    {
        $lines = ['| rule | what it asks |', '|---|---|'];
        foreach (PlanRule::cases() as $rule) {
            $lines[] = "| `$rule->value` | {$rule->words()} |";
        }

        return implode("\n", $lines);
    }

    /** Every kind of event, and what tells one. */
    public static function events(): string
    {
        $rows = [];
        foreach (EventDocument::kinds() as $kind) {
            $values = null === $kind->of() ? [] : ["`{$kind->of()}` (id)"];
            foreach (self::values($kind->type()) as $name => $property) {
                $values[] = \sprintf(
                    '`%s` %s%s%s',
                    $name,
                    self::type($property),
                    '' === $property->told->help ? '' : " {$property->told->help}",
                    $property->isRequired() ? '' : ' (may be left out)',
                );
            }
            $happens = $kind->happens();
            $where = array_diff(
                [$kind->isDated() ? '' : 'no day', $happens->planned ? 'plan' : '', null === $happens->done ? '' : 'log'],
                [''],
            );
            $rows[] = \sprintf('| %s | %s | %s | %s |', $kind->value, $happens->words, implode(', ', $values), implode(', ', $where));
        }

        return "| do | what happens | beside `day` | also in |\n|---|---|---|---|\n".implode("\n", $rows);
    }

    /**
     * @param class-string $class
     *
     * @return array<string, Property>
     */
    private static function values(string $class): array
    {
        $values = array_filter(Fields::of($class), static fn (Property $p): bool => $p->told instanceof Number);
        foreach (Fields::nested($class) as $nested) {
            $values = [...$values, ...self::values($nested->class)];
        }

        return $values;
    }

    private static function type(Property $property): string
    {
        $told = $property->told;
        if ($told instanceof Number) {
            return \sprintf(
                '%s–%s%s',
                self::bound($told->orZero ? min(0.0, $told->from) : $told->from),
                self::bound($told->to),
                $property->isWhole() ? ', whole' : '',
            );
        }

        return match (true) {
            $told instanceof YesNo => 'true, false',
            $told instanceof KindOf => 'id in the catalogue or null',
            $told instanceof OneOf => implode(', ', array_column($property->enum()::cases(), 'value')),
            default => '',
        };
    }

    private static function bound(float $value): string
    {
        return str_replace('-', '−', (string) $value);
    }

    private static function value(mixed $default): string
    {
        return match (true) {
            $default instanceof \BackedEnum => (string) $default->value,
            \is_bool($default) => $default ? 'true' : 'false',
            \is_int($default), \is_float($default) => self::bound((float) $default),
            default => '',
        };
    }
}
