<?php

declare(strict_types=1);

namespace Olvek\Service\Work;

/**
 * Answers of this controller or action may take long: the web server gives them to a pool of processes of their own, so that nobody who
 * asks for a page waits behind them. deploy/nginx.conf.in has the addresses (`bin/formats` writes them there).
 */
#[\Attribute(\Attribute::TARGET_CLASS | \Attribute::TARGET_METHOD)]
final readonly class SlowPool
{
    /** @param string $query whether only with this word in the query; '' for always */
    public function __construct(public string $query = '')
    {
    }
}
