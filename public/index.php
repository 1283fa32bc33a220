<?php

declare(strict_types=1);

use Olvek\Kernel;
use Symfony\Component\Dotenv\Dotenv;
use Symfony\Component\HttpFoundation\Request;

require dirname(__DIR__).'/vendor/autoload.php';

(new Dotenv())->bootEnv(dirname(__DIR__).'/.env', 'prod');

$environment = $_SERVER['APP_ENV'];
assert(is_string($environment));
$proxies = $_SERVER['TRUSTED_PROXIES'] ?? '';
if (is_string($proxies) && '' !== $proxies) {
    Request::setTrustedProxies(explode(',', $proxies), Request::HEADER_X_FORWARDED_FOR | Request::HEADER_X_FORWARDED_HOST | Request::HEADER_X_FORWARDED_PORT | Request::HEADER_X_FORWARDED_PROTO);
}
$kernel = new Kernel($environment, (bool) $_SERVER['APP_DEBUG']);
$request = Request::createFromGlobals();
$response = $kernel->handle($request);
$response->send();
$kernel->terminate($request, $response);
