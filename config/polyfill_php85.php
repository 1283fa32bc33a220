<?php

declare(strict_types=1);

/*
 * Symfony 7.4 asks for one function of PHP 8.5. Its polyfill package is not on
 * every registry, so the function is defined here and the package replaced in composer.json.
 */
if (!function_exists('get_error_handler')) {
    function get_error_handler(): ?callable
    {
        $handler = set_error_handler(null);
        restore_error_handler();

        return $handler;
    }
}
