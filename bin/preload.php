<?php

declare(strict_types=1);

/*
 * Run by PHP as a server starts (opcache.preload), while its compiler is on: the core is all that is to be compiled as it runs. What starts a
 * request or a command turns the compiler off before it loads anything else (public/index.php, bin/console), so that frameworks and templates
 * are never traced. There PHP 8.2's tracer ends processes by signal 11: docs/decisions/0008-only-the-core-is-compiled.md.
 */
$core = new RecursiveDirectoryIterator(dirname(__DIR__).'/core/src', FilesystemIterator::SKIP_DOTS);
foreach (new RecursiveIteratorIterator($core) as $file) {
    assert($file instanceof SplFileInfo);
    if ('php' === $file->getExtension()) {
        opcache_compile_file($file->getPathname());
    }
}
