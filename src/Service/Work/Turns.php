<?php

declare(strict_types=1);

namespace Olvek\Service\Work;

use Psr\Cache\CacheItemPoolInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Lock\LockFactory;

/**
 * One piece of work at a time for each keeper, so that nobody holds the site alone. A turn ends when its work is done, and by itself a
 * little after the longest work could have taken, should whoever did it have died.
 */
final readonly class Turns
{
    /** Seconds beyond the patience for a piece of work: it is asked for between runs, and counted work does not ask. */
    private const GRACE = 30;

    public function __construct(
        private CacheItemPoolInterface $cache,
        private LockFactory $locks,
        #[Autowire('%env(float:OLVEK_PATIENCE)%')] private float $patience,
    ) {
    }

    /**
     * @param bool $again whether work that has the turn already has it once more: it is one piece of work, however often it is asked for
     *
     * @return bool whether it is this work's turn now
     */
    public function take(string $keeper, string $name, bool $again = true): bool
    {
        return $this->alone($keeper, function () use ($keeper, $name, $again): bool {
            $item = $this->cache->getItem(self::key($keeper));
            if ($item->isHit() && (!$again || $item->get() !== $name)) {
                return false;
            }

            return $this->cache->save($item->set($name)->expiresAfter((int) ceil($this->patience) + self::GRACE));
        });
    }

    /** Ends the turn of a piece of work, if it has it. */
    public function give(string $keeper, string $name): void
    {
        $this->alone($keeper, function () use ($keeper, $name): bool {
            $item = $this->cache->getItem(self::key($keeper));

            return $item->isHit() && $item->get() === $name && $this->cache->deleteItem(self::key($keeper));
        });
    }

    /** Whether a piece of work has the turn: it is under way. */
    public function has(string $keeper, string $name): bool
    {
        return $this->cache->getItem(self::key($keeper))->get() === $name;
    }

    /** @param \Closure(): bool $do */
    private function alone(string $keeper, \Closure $do): bool
    {
        $lock = $this->locks->createLock('turn.'.$keeper);
        $lock->acquire(true);
        try {
            return $do();
        } finally {
            $lock->release();
        }
    }

    private static function key(string $keeper): string
    {
        return 'turn.'.$keeper;
    }
}
