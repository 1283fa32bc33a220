<?php

declare(strict_types=1);

namespace Olvek\Service\Site;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\ResponseEvent;

/** Headers that keep a page to itself: no other host, no frames, no scripts but our own, and no copy in a cache. */
#[AsEventListener]
final readonly class Headers
{
    public function __construct(private Nonce $nonce)
    {
    }

    public function __invoke(ResponseEvent $event): void
    {
        if (!$event->isMainRequest()) {
            return;
        }
        $headers = $event->getResponse()->headers;
        $headers->set(
            'Content-Security-Policy',
            \sprintf(
                "default-src 'self'; script-src 'self' 'nonce-%s'; img-src 'self' data:; object-src 'none'; base-uri 'none'; "
                    ."frame-ancestors 'none'; form-action 'self'",
                $this->nonce->value(),
            ),
        );
        $headers->set('X-Content-Type-Options', 'nosniff');
        if (!$headers->has('Referrer-Policy')) {
            $headers->set('Referrer-Policy', 'same-origin');
        }
        // What says nothing of caching itself is a keeper's own business.
        if (!$headers->hasCacheControlDirective('max-age')) {
            $headers->set('Cache-Control', 'no-store, private');
        }
    }
}
