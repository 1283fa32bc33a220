<?php

declare(strict_types=1);

namespace Olvek\Service\Account;

use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\ResponseEvent;

/** Tells whose a page is, so that a device that keeps pages (public/log-worker.js) keeps one keeper's apart from another's. */
#[AsEventListener]
final readonly class KeeperHeader
{
    public const NAME = 'Olvek-Keeper';
    /** Pages that a device may keep. */
    private const KEPT = ['log', 'photos'];

    public function __construct(private Security $security)
    {
    }

    public function __invoke(ResponseEvent $event): void
    {
        if (!$event->isMainRequest() || !\in_array($event->getRequest()->attributes->get('_route'), self::KEPT, true)) {
            return;
        }
        $keeper = $this->security->getUser();
        if ($keeper instanceof Keeper) {
            $event->getResponse()->headers->set(self::NAME, $keeper->mark());
        }
    }
}
