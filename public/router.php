<?php

declare(strict_types=1);

/*
 * For PHP's built-in server only: files that exist are served as they are, all else goes to the application.
 * Without it, addresses with a dot ("…/plan.json") would be taken for files.
 */
$path = parse_url(is_string($_SERVER['REQUEST_URI'] ?? null) ? $_SERVER['REQUEST_URI'] : '/', \PHP_URL_PATH);
if ('cli-server' === \PHP_SAPI && is_string($path) && is_file(__DIR__.$path) && !str_ends_with($path, '.php')) {
    return false;
}
require __DIR__.'/index.php';
