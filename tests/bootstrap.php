<?php

declare(strict_types=1);

use Olvek\Kernel;
use Olvek\Tests\KeptContainer;
use Olvek\Tests\MigratedDatabase;
use Symfony\Component\Dotenv\Dotenv;

require dirname(__DIR__).'/vendor/autoload.php';

(new Dotenv())->bootEnv(dirname(__DIR__).'/.env', 'test');

$kernel = new Kernel('test', false);
KeptContainer::prepare($kernel);
// Beside this suite one on another database may be running.
$url = $_SERVER['DATABASE_URL'] ?? '';
MigratedDatabase::prepare($kernel, is_string($url) && str_starts_with($url, 'sqlite:') ? dirname(__DIR__).'/var/test.db' : '');
