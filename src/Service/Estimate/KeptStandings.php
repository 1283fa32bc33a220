<?php

declare(strict_types=1);

namespace Olvek\Service\Estimate;

use Olvek\Core\Judgement\Standing\EstimatedTank;
use Olvek\Core\Judgement\Standing\Standing;
use Olvek\Service\Log\LogReader;
use Olvek\Service\Site\ResultCache;
use Olvek\Service\Tank\Tank;

/** How running tanks stand, as last worked out: the one record that shelf, Bench and Today read. */
final readonly class KeptStandings
{
    /** Days for which it is kept, and for which the likeliest tank of an estimate is. J. */
    private const KEPT = 7;
    private const LIKELIEST = 60;

    public function __construct(private ResultCache $cache, private LogReader $logReader)
    {
    }

    /** How a tank stands in this plan, log and day; null where that was not worked out. */
    public function known(Tank $tank, int $day): ?Standing
    {
        $standing = $this->cache->known($this->name($tank, $day));

        return $standing instanceof Standing ? $standing : null;
    }

    /** How it stood when it was last worked out, whatever has changed since. */
    public function last(Tank $tank): ?Standing
    {
        $standing = $this->cache->known('standing.last.'.$tank->id()->toBase58());

        return $standing instanceof Standing ? $standing : null;
    }

    /** @return array<string, float> scores of the likeliest tank of the last estimate; none where there was none */
    public function likeliest(Tank $tank): array
    {
        /** @var array<string, float> $scores */
        $scores = $this->cache->known('standing.likeliest.'.$tank->id()->toBase58()) ?? [];

        return $scores;
    }

    public function put(Tank $tank, int $day, Standing $standing): void
    {
        $this->cache->put($this->name($tank, $day), $standing, self::KEPT * ResultCache::DAY);
        $this->cache->put('standing.last.'.$tank->id()->toBase58(), $standing, self::KEPT * ResultCache::DAY);
    }

    /** Keeps what an estimate came to, where that is not kept yet. */
    public function keep(Tank $tank, int $day, EstimatedTank $estimated): void
    {
        if (true === $this->known($tank, $day)?->isSure()) {
            return;
        }
        $this->put($tank, $day, $estimated->standing);
        $this->cache->put('standing.likeliest.'.$tank->id()->toBase58(), $estimated->likeliest, self::LIKELIEST * ResultCache::DAY);
    }

    private function name(Tank $tank, int $day): string
    {
        return 'standing.'.hash('xxh128', implode(' ', [
            $tank->planHash(),
            $tank->filledOn()?->format('Ymd') ?? '',
            $day,
            $this->logReader->mark($tank),
        ]));
    }
}
