<?php

declare(strict_types=1);

namespace Olvek\Tests\Server;

use Olvek\Service\Server\SlowAddresses;
use Olvek\Service\Work\SlowPool;
use Olvek\Service\Work\WorkQueue;
use Olvek\Tests\Services;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Bundle\FrameworkBundle\Test\KernelTestCase;

/** nginx gives what takes long to a pool of its own, by the addresses that the routes have now. */
final class SlowAddressesTest extends KernelTestCase
{
    use Services;

    public function testTheSitesMapIsMadeFromTheRoutes(): void
    {
        $site = (string) file_get_contents(\dirname(__DIR__, 2).'/deploy/nginx.conf.in');
        $lines = implode("\n", $this->service(SlowAddresses::class)->lines());
        self::assertStringContainsString("    # slow: bin/formats\n$lines\n    # /slow\n", $site, 'run bin/formats');
    }

    #[TestWith(['GET /tanks/01890000-0000-7000-8000-000000000001/solve/stock/x'])]
    #[TestWith(['GET /tanks/01890000-0000-7000-8000-000000000001/solve/depth'])]
    #[TestWith(['GET /tanks/01890000-0000-7000-8000-000000000001/method/humus-bed?parts=1'])]
    #[TestWith(['GET /tanks/01890000-0000-7000-8000-000000000001/methods'])]
    #[TestWith(['GET /tanks/01890000-0000-7000-8000-000000000001/stress'])]
    #[TestWith(['GET /tanks/01890000-0000-7000-8000-000000000001/deciding'])]
    #[TestWith(['GET /tanks/01890000-0000-7000-8000-000000000001/today/estimate'])]
    #[TestWith(['GET /tanks/01890000-0000-7000-8000-000000000001/today/ask?topic=lamp'])]
    #[TestWith(['GET /tanks/01890000-0000-7000-8000-000000000001/report'])]
    #[TestWith(['GET /tanks/01890000-0000-7000-8000-000000000001/weeks?x=1&ahead=1'])]
    #[TestWith(['GET /compare?a=b'])]
    #[TestWith(['GET /tanks/01890000-0000-7000-8000-000000000001/read?sign=x'])]
    #[TestWith(['GET /tanks/new/plans/0?vessel=box-60'])]
    #[TestWith(['GET /tanks/new/plans/0/sure?vessel=box-60'])]
    #[TestWith(['POST /tanks/01890000-0000-7000-8000-000000000001/log/import'])]
    #[TestWith(['POST /api/readings'])]
    #[TestWith(['POST /tanks/01890000-0000-7000-8000-000000000001/photos'])]
    #[TestWith(['GET /tanks/01890000-0000-7000-8000-000000000001/photos.zip'])]
    #[TestWith(['POST /account/bring/on'])]
    #[TestWith(['GET /account/everything.zip'])]
    #[TestWith(['GET /', false])]
    #[TestWith(['GET /tanks/01890000-0000-7000-8000-000000000001', false])]
    #[TestWith(['GET /tanks/01890000-0000-7000-8000-000000000001/photos', false])]
    #[TestWith(['GET /tanks/01890000-0000-7000-8000-000000000001/photosxzip', false])]
    #[TestWith(['GET /tanks/01890000-0000-7000-8000-000000000001/weeks', false])]
    #[TestWith(['GET /tanks/01890000-0000-7000-8000-000000000001/log', false])]
    public function testWhichPoolARequestGoesTo(string $request, bool $slow = true): void
    {
        $found = false;
        foreach ($this->service(SlowAddresses::class)->lines() as $line) {
            self::assertSame(1, preg_match('/^    "~(.+)" @RUN@/', $line, $match), $line);
            $found = $found || 1 === preg_match("~$match[1]~", $request);
        }
        self::assertSame($slow, $found);
    }

    /** Whoever asks for long work says that an answer may take long. */
    public function testNoControllerOfLongWorkIsForgotten(): void
    {
        $root = \dirname(__DIR__, 2).'/src/';
        $asks = 0;
        $files = glob("$root*/*/*Controller.php");
        self::assertIsArray($files);
        foreach ($files as $file) {
            $class = 'Olvek\\'.strtr(substr($file, \strlen($root), -4), '/', '\\');
            self::assertTrue(class_exists($class));
            $reflected = new \ReflectionClass($class);
            if (!self::reaches($class, [])) {
                continue;
            }
            ++$asks;
            $says = [] !== $reflected->getAttributes(SlowPool::class);
            foreach ($reflected->getMethods() as $method) {
                $says = $says || [] !== $method->getAttributes(SlowPool::class);
            }
            self::assertTrue($says, $class);
        }
        self::assertGreaterThan(7, $asks);
    }

    /** @param list<string> $path */
    private static function reaches(string $class, array $path): bool
    {
        if (WorkQueue::class === $class) {
            return true;
        }
        if (\in_array($class, $path, true) || !str_starts_with($class, 'Olvek\\') || !class_exists($class)) {
            return false;
        }
        foreach ((new \ReflectionClass($class))->getConstructor()?->getParameters() ?? [] as $parameter) {
            $type = $parameter->getType();
            if ($type instanceof \ReflectionNamedType && self::reaches($type->getName(), [...$path, $class])) {
                return true;
            }
        }

        return false;
    }
}
