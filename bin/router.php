<?php

declare(strict_types=1);

/*
 * For PHP's built-in server only: files that exist are served as they are, all else goes to the application.
 * Without it, addresses with a dot ("…/plan.json") would be taken for files.
 */
$public = dirname(__DIR__).'/public';
$path = parse_url(is_string($_SERVER['REQUEST_URI'] ?? null) ? $_SERVER['REQUEST_URI'] : '/', \PHP_URL_PATH);
if (is_string($path) && is_file($public.$path) && !str_ends_with($path, '.php')) {
    return false;
}
require $public.'/index.php';
