<?php

declare(strict_types=1);

namespace Olvek\Tests;

use Symfony\Component\Config\ConfigCache;
use Symfony\Component\Filesystem\Filesystem;
use Symfony\Component\HttpKernel\KernelInterface;

/**
 * What the framework compiled for the last run of the tests, kept as long as nothing that it was made from has changed.
 *
 * Results of computations, sessions, and what depends on the core's data or on assets are thrown away at each start: nothing watches their
 * sources.
 */
final class KeptContainer
{
    private const UNWATCHED = ['pools', 'sessions', 'asset_mapper', 'catalogue.php'];

    public static function prepare(KernelInterface $kernel): void
    {
        $files = new Filesystem();
        $folder = $kernel->getCacheDir();
        $container = "$folder/".str_replace('\\', '_', $kernel::class).'TestContainer.php';
        if (!self::isFresh($container)) {
            $files->remove($folder);

            return;
        }
        $files->remove(array_map(static fn (string $name): string => "$folder/$name", self::UNWATCHED));
        foreach (['url_matching_routes.php', 'url_generating_routes.php'] as $routes) {
            if (!self::isFresh("$folder/$routes")) {
                $files->remove("$folder/$routes");
            }
        }
    }

    /** Asks as a development server does: classes by their signatures, all else by its time. */
    private static function isFresh(string $path): bool
    {
        return (new ConfigCache($path, true))->isFresh();
    }
}
