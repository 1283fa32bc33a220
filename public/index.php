<?php

declare(strict_types=1);

use Olvek\Kernel;
use Olvek\Service\Site\ServerSettings;
use Symfony\Component\Dotenv\Dotenv;
use Symfony\Component\HttpFoundation\Request;

// Nothing but the core, which is there already, is compiled as it runs: bin/preload.php.
ini_set('opcache.jit', 'off');
require dirname(__DIR__).'/vendor/autoload.php';

umask(0o027);
header_remove('X-Powered-By');
(new Dotenv())->bootEnv(dirname(__DIR__).'/.env', 'prod');

$environment = $_SERVER['APP_ENV'];
assert(is_string($environment));
$kernel = new Kernel($environment, (bool) $_SERVER['APP_DEBUG']);
$request = Request::createFromGlobals();
$response = ServerSettings::refusal($_SERVER) ?? $kernel->handle($request);
$response->send();
$kernel->terminate($request, $response);
