<?php

declare(strict_types=1);

use Olvek\Kernel;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Component\Console\Input\ArrayInput;
use Symfony\Component\Console\Output\BufferedOutput;
use Symfony\Component\Dotenv\Dotenv;
use Symfony\Component\Filesystem\Filesystem;

require dirname(__DIR__).'/vendor/autoload.php';

(new Dotenv())->bootEnv(dirname(__DIR__).'/.env', 'test');

// A fresh cache and a fresh database, made by the migrations that make a real one. Beside it a suite on another database may be running.
$kernel = new Kernel('test', false);
$url = $_SERVER['DATABASE_URL'] ?? '';
$database = is_string($url) && str_starts_with($url, 'sqlite:') ? dirname(__DIR__).'/var/test.db' : null;
(new Filesystem())->remove([
    $kernel->getCacheDir(),
    ...null === $database ? [] : [$database, $database.'-wal', $database.'-shm'],
]);
$console = new Application($kernel);
$console->setAutoExit(false);
$output = new BufferedOutput();
if (0 !== $console->run(new ArrayInput(['command' => 'doctrine:migrations:migrate', '--no-interaction' => true]), $output)) {
    throw new RuntimeException('The test database could not be made: '.$output->fetch());
}
$kernel->shutdown();
