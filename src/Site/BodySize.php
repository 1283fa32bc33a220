<?php

declare(strict_types=1);

namespace Olvek\Site;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\RequestEvent;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** Turns away bodies larger than anything a keeper has reason to send, before they are looked at. */
#[AsEventListener(priority: 250)]
final class BodySize
{
    /** Bytes. The largest plan Olvek takes (60 clumps, 30 groups) is some 15 KB. */
    public const MOST = 1_000_000;

    public function __invoke(RequestEvent $event): void
    {
        $length = $event->getRequest()->headers->get('Content-Length');
        if ($event->isMainRequest() && is_numeric($length) && (int) $length > self::MOST) {
            throw new HttpException(413, 'This is larger than one megabyte. A plan is a few kilobytes; check that you chose the right file or text.');
        }
    }
}
