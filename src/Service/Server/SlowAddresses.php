<?php

declare(strict_types=1);

namespace Olvek\Service\Server;

use Olvek\Service\Work\SlowPool;
use Symfony\Component\Routing\Route;
use Symfony\Component\Routing\RouterInterface;

/** The addresses whose answers may take long, as nginx's map names them: read off the routes, so that none is renamed behind its back. */
final readonly class SlowAddresses
{
    public const POOL = '@RUN@/php-slow.sock';

    public function __construct(private RouterInterface $router)
    {
    }

    /** @return list<string> lines of a map of "$request_method $request_uri" */
    public function lines(): array
    {
        $lines = [];
        foreach ($this->router->getRouteCollection() as $route) {
            $slow = self::attribute($route);
            if (null !== $slow) {
                $lines[] = \sprintf('    "%s" %s;', self::pattern($route, $slow->query), self::POOL);
            }
        }
        sort($lines);

        return array_values(array_unique($lines));
    }

    private static function pattern(Route $route, string $query): string
    {
        $methods = [] === $route->getMethods() ? '[A-Z]+' : implode('|', $route->getMethods());
        // Braces would have to be escaped, and an id is told by where it stands; one that has a default may be left out at the end.
        $path = preg_replace_callback(
            '~(/)?\{(\w+)\}~',
            static fn (array $found): string => $route->hasDefault($found[2]) ? "($found[1][^/?]+)?" : "$found[1][^/?]+",
            str_replace('.', '[.]', $route->getPath()),
        );

        return "~^($methods) $path".('' === $query ? '([?]|$)' : "[?]([^#]*&)?$query");
    }

    private static function attribute(Route $route): ?SlowPool
    {
        $controller = $route->getDefault('_controller');
        [$class, $method] = [...explode('::', \is_string($controller) ? $controller : ''), '__invoke'];
        if (!method_exists($class, $method)) {
            return null;
        }
        $action = new \ReflectionMethod($class, $method);
        foreach ([$action, $action->getDeclaringClass()] as $place) {
            foreach ($place->getAttributes(SlowPool::class) as $attribute) {
                return $attribute->newInstance();
            }
        }

        return null;
    }
}
