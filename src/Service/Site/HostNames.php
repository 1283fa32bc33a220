<?php

declare(strict_types=1);

namespace Olvek\Service\Site;

use Symfony\Component\DependencyInjection\EnvVarProcessorInterface;

/** Reads the names of a server, with commas between them, as the framework wants them: `%env(hosts:NAME)%`. */
final class HostNames implements EnvVarProcessorInterface
{
    /** Names under which a server may be asked for that was told none. */
    private const OWN = '127.0.0.1,localhost,[::1]';

    public static function getProvidedTypes(): array
    {
        return ['hosts' => 'string'];
    }

    public function getEnv(string $prefix, string $name, \Closure $getEnv): string
    {
        $names = $getEnv($name);

        return self::patterns(\is_string($names) ? $names : '');
    }

    /** @return string patterns with commas between them, each for one whole name */
    public static function patterns(string $names): string
    {
        return implode(
            ',',
            array_map(
                static fn (string $name): string => '^'.preg_quote(trim($name), '{').'$',
                explode(',', '' === trim($names) ? self::OWN : $names),
            ),
        );
    }
}
