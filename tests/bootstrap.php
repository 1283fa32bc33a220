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

// A fresh cache and a fresh database, made by the migrations that make a real one.
$files = new Filesystem();
$files->remove([
    dirname(__DIR__).'/var/cache/test',
    ...array_map(static fn (string $end): string => dirname(__DIR__).'/var/test.db'.$end, ['', '-wal', '-shm']),
]);
$kernel = new Kernel('test', false);
$console = new Application($kernel);
$console->setAutoExit(false);
$output = new BufferedOutput();
if (0 !== $console->run(new ArrayInput(['command' => 'doctrine:migrations:migrate', '--no-interaction' => true]), $output)) {
    throw new RuntimeException('The test database could not be made: '.$output->fetch());
}
$kernel->shutdown();
