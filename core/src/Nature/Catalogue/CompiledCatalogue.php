<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Catalogue;

use Olvek\Core\Basis\Unit\Estimate;

/**
 * A catalogue as PHP code that makes it again, for servers: reading the files takes some ten times as long, and a request knows nothing of
 * the one before. Numbers that are alike are made once.
 */
final class CompiledCatalogue
{
    /** @var array<string, int> places in the list of numbers, by the code that makes them */
    private array $estimates = [];

    private function __construct()
    {
    }

    /** @return string a PHP file that returns the arguments of Catalogue::fromCompiled() */
    public static function code(Catalogue $catalogue): string
    {
        $compiler = new self();
        $tables = $compiler->value(get_object_vars($catalogue));

        return \sprintf("<?php\n\$e = [%s];\nreturn %s;\n", implode(', ', array_keys($compiler->estimates)), $tables);
    }

    private function value(mixed $value): string
    {
        return match (true) {
            $value instanceof \UnitEnum => '\\'.$value::class.'::'.$value->name,
            $value instanceof Estimate => $this->estimate($value),
            \is_object($value) => $this->object($value),
            \is_array($value) => '['.implode(', ', array_map(
                fn (int|string $key, mixed $one): string => var_export($key, true).' => '.$this->value($one),
                array_keys($value),
                $value,
            )).']',
            default => var_export($value, true),
        };
    }

    private function estimate(Estimate $estimate): string
    {
        $code = \sprintf(
            '\%s::of(%s, \%s::%s, %s, %s)',
            Estimate::class,
            var_export($estimate->value, true),
            $estimate->provenance::class,
            $estimate->provenance->name,
            var_export($estimate->low, true),
            var_export($estimate->high, true),
        );
        $this->estimates[$code] ??= \count($this->estimates);

        return '$e['.$this->estimates[$code].']';
    }

    private function object(object $object): string
    {
        $class = new \ReflectionClass($object);
        $arguments = [];
        foreach ($class->getConstructor()?->getParameters() ?? [] as $parameter) {
            if (!$parameter->isPromoted()) {
                // Made from more than it keeps: shapes of vessels.
                return 'unserialize('.var_export(serialize($object), true).')';
            }
            $arguments[] = $this->value($class->getProperty($parameter->name)->getValue($object));
        }

        return \sprintf('new \%s(%s)', $object::class, implode(', ', $arguments));
    }
}
