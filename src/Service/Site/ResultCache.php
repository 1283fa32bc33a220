<?php

declare(strict_types=1);

namespace Olvek\Service\Site;

use Psr\Cache\CacheItemInterface;
use Psr\Cache\CacheItemPoolInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/** What took long to compute, kept for a while: never from one build of Olvek to the next, since rules may have changed. */
final readonly class ResultCache
{
    public const DAY = 86400;

    public function __construct(private CacheItemPoolInterface $cache, #[Autowire('%olvek.build%')] private string $build)
    {
    }

    /**
     * What is kept under a name; made and kept where nothing is.
     *
     * @template T
     *
     * @param \Closure(): T $make
     *
     * @return T
     */
    public function get(string $name, \Closure $make, int $seconds = self::DAY): mixed
    {
        $item = $this->cache->getItem("$name.$this->build");
        if (!$item->isHit()) {
            $this->cache->save($item->set($make())->expiresAfter($seconds));
        }

        return $item->get();
    }

    /** What is kept under a name; null where nothing is. */
    public function known(string $name): mixed
    {
        return $this->cache->getItem("$name.$this->build")->get();
    }

    /**
     * What is kept under several names, in their order; null where any is missing.
     *
     * @param list<string> $names
     *
     * @return list<mixed>|null
     */
    public function all(array $names): ?array
    {
        $all = [];
        /** @var iterable<CacheItemInterface> $items */
        $items = $this->cache->getItems(array_map(fn (string $name): string => "$name.$this->build", $names));
        foreach ($items as $item) {
            if (!$item->isHit()) {
                return null;
            }
            $all[] = $item->get();
        }

        return $all;
    }

    public function put(string $name, mixed $value, int $seconds = self::DAY): void
    {
        $this->cache->save($this->cache->getItem("$name.$this->build")->set($value)->expiresAfter($seconds));
    }
}
