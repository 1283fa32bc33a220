<?php

declare(strict_types=1);

namespace Olvek\Tests\Bench;

use Olvek\Service\Account\KeeperRepository;
use Olvek\Tests\BenchTestCase;
use Symfony\Component\Routing\RouterInterface;

final class RightsTest extends BenchTestCase
{
    /** Every route that names a tank, asked by the wrong keeper, by nobody, and for tanks that are none. */
    public function testNobodyElseReadsOrChangesATank(): void
    {
        $other = $this->service(KeeperRepository::class)->enrol('Odd', 'Odd', 'another long word');
        $foreign = $this->newTank($other);
        $routes = array_filter(
            $this->service(RouterInterface::class)->getRouteCollection()->all(),
            static fn ($route): bool => str_contains($route->getPath(), '{tank}'),
        );
        self::assertGreaterThanOrEqual(50, \count($routes));
        foreach ($routes as $name => $route) {
            self::assertStringNotContainsString('{', self::address($route->getPath(), $foreign), "$name is asked by a whole address");
        }
        foreach ($routes as $name => $route) {
            foreach ($route->getMethods() as $method) {
                foreach ([$foreign, '01890000-0000-7000-8000-000000000000', 'nonsense'] as $tank) {
                    $this->browser->request($method, self::address($route->getPath(), $tank), [
                        'base' => 1,
                        'edits' => ['name' => 'Taken'],
                    ]);
                    self::assertResponseStatusCodeSame(404, "$method $name $tank");
                }
            }
        }
        self::assertSame('Waiting hall', $this->stored($foreign)->name());
        self::assertSame(1, $this->stored($foreign)->head());
        $this->browser->getCookieJar()->clear();
        foreach ($routes as $name => $route) {
            foreach ($route->getMethods() as $method) {
                $this->browser->request($method, self::address($route->getPath(), $foreign));
                $address = self::address($route->getPath(), $foreign);
                self::assertResponseRedirects('GET' === $method ? "/sign-in?to=$address" : '/sign-in', null, "$method $name");
            }
        }
    }

    private static function address(string $path, string $tank): string
    {
        return strtr($path, [
            '{tank}' => $tank,
            '{list}' => 'plants',
            '{margin}' => 'oxygen',
            '{harm}' => 'losses',
            '{part}' => '0',
            '{question}' => 'trim',
            '{kind}' => 'neocaridina-davidi',
            '{method}' => 'thin-soil',
            '{number}' => '1',
            '{step}' => 'soil',
            '{name}' => 'front',
            '{batch}' => '01890000-0000-7000-8000-000000000001',
            '{entry}' => '01890000-0000-7000-8000-000000000001',
            '{photo}' => '01890000-0000-7000-8000-000000000002',
            '{size}' => 'strip',
            '{task}' => 'look',
            '{due}' => '2026-01-01',
            '{event}' => 'e1',
        ]);
    }

    public function testTheShelfShowsOnlyOnesOwn(): void
    {
        $other = $this->service(KeeperRepository::class)->enrol('Odd', 'Odd', 'another long word');
        $foreign = $this->newTank($other);
        $this->browser->request('GET', '/');

        self::assertSelectorExists("a[href=\"/tanks/$this->tank\"]");
        self::assertSelectorNotExists("a[href=\"/tanks/$foreign\"]");
    }

    public function testAStrangerWithScriptsIsToldToSignIn(): void
    {
        $this->browser->getCookieJar()->clear();
        $this->browser->request('POST', "/tanks/$this->tank/edit", server: ['HTTP_ACCEPT' => 'application/json']);
        self::assertResponseStatusCodeSame(401);
        self::assertStringContainsString('Sign in again', (string) $this->browser->getResponse()->getContent());
    }
}
