<?php

declare(strict_types=1);

namespace Olvek\Tests\Site;

use Olvek\Service\Site\FormToken;
use Olvek\Tests\BenchTestCase;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Component\Routing\RouterInterface;
use Symfony\Component\Security\Http\Attribute\IsCsrfTokenValid;

/** A form changes something only where the browser says that it was sent from a page of ours. */
final class ForeignFormTest extends BenchTestCase
{
    /** The firewall's own, which check by themselves, and the programs', which bring a token of their own. */
    private const OTHERS = ['account_sign_in', 'account_sign_out', 'api_readings'];

    public function testEveryFormIsAskedWhereItComesFrom(): void
    {
        $asked = 0;
        foreach ($this->service(RouterInterface::class)->getRouteCollection() as $name => $route) {
            if ([] !== $route->getMethods() && [] === array_diff($route->getMethods(), ['GET', 'HEAD'])) {
                continue;
            }
            $controller = $route->getDefault('_controller');
            if (!\is_string($controller) || !str_starts_with($controller, 'Olvek\\') || \in_array($name, self::OTHERS, true)) {
                continue;
            }
            ++$asked;
            [$class, $method] = [...explode('::', $controller), '__invoke'];
            \assert(class_exists($class));
            $reflected = new \ReflectionClass($class);
            $says = [
                ...$reflected->getAttributes(IsCsrfTokenValid::class),
                ...$reflected->getMethod($method)->getAttributes(IsCsrfTokenValid::class),
            ];
            self::assertCount(1, $says, "$name does not ask");
            $attribute = $says[0]->newInstance();
            self::assertSame(FormToken::ID, $attribute->id, $name);
            self::assertContains($attribute->methods, [[], ['POST']], $name);
        }
        self::assertGreaterThan(50, $asked);
    }

    /** @param array<string, string> $says headers in which the browser says from where */
    #[TestWith(['csrf-token', ['HTTP_SEC_FETCH_SITE' => 'same-origin'], 303])]
    #[TestWith(['csrf-token', ['HTTP_ORIGIN' => 'http://localhost'], 303])]
    #[TestWith(['csrf-token', ['HTTP_ORIGIN' => 'http://localhost.example', 'HTTP_REFERER' => 'http://localhost.example/'], 422])]
    #[TestWith(['csrf-token', ['HTTP_SEC_FETCH_SITE' => 'cross-site', 'HTTP_ORIGIN' => 'http://localhost'], 422])]
    #[TestWith(['csrf-token', ['HTTP_SEC_FETCH_SITE' => 'same-site'], 422])]
    #[TestWith(['csrf-token', ['HTTP_ORIGIN' => 'null', 'HTTP_REFERER' => ''], 422])]
    #[TestWith(['', ['HTTP_SEC_FETCH_SITE' => 'same-origin'], 422])]
    #[TestWith([null, ['HTTP_SEC_FETCH_SITE' => 'same-origin'], 422])]
    public function testAFormFromElsewhereChangesNothing(?string $token, array $says, int $status): void
    {
        $this->browser->request('GET', '/');
        $this->browser->request(
            'POST',
            "/tanks/$this->tank/edit",
            ['base' => '1', 'edits' => ['light.hours' => '6'], ...null === $token ? [] : ['_token' => $token]],
            server: $says,
        );
        self::assertResponseStatusCodeSame($status);
        self::assertSame(303 === $status ? 2 : 1, $this->revisions());
        if (422 === $status) {
            self::assertSelectorTextContains('main', 'what you typed is still there');
        }
    }

    public function testAScriptIsToldSoToo(): void
    {
        $this->browser->request('POST', "/tanks/$this->tank/log", ['kind' => 'note', 'note' => 'x', '_token' => ''], server: [
            'HTTP_ACCEPT' => 'application/json',
        ]);
        self::assertResponseStatusCodeSame(422);
        $answer = (array) json_decode((string) $this->browser->getResponse()->getContent(), true);
        self::assertSame(['message', 'errors'], array_keys($answer));
        self::assertSame(['' => $answer['message']], $answer['errors']);
    }

    /** Two forms of one page are two changes, and the same form sent again is one. */
    public function testEachFormOfAPageIsAChangeOfItsOwn(): void
    {
        $page = $this->browser->request('GET', '/account');
        $changes = $page->filter('main input[name="_change"]')->extract(['value']);
        self::assertGreaterThan(2, \count($changes));
        self::assertSame($changes, array_unique($changes));
    }
}
