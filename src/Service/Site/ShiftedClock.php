<?php

declare(strict_types=1);

namespace Olvek\Service\Site;

use Symfony\Component\Clock\ClockInterface as Clock;
use Symfony\Component\DependencyInjection\Attribute\AsDecorator;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\HttpFoundation\RequestStack;

/**
 * A clock that a cookie moves ahead, so that a test can live through a tank's weeks in a minute. Only where OLVEK_TEST_CLOCK
 * is set: anywhere else the cookie means nothing.
 */
#[AsDecorator('clock')]
final readonly class ShiftedClock implements Clock
{
    private const COOKIE = 'olvek-days-ahead';

    public function __construct(
        private Clock $inner,
        private RequestStack $requests,
        #[Autowire('%env(bool:OLVEK_TEST_CLOCK)%')] private bool $movable,
    ) {
    }

    public function now(): \DateTimeImmutable
    {
        $days = $this->movable ? (int) $this->requests->getMainRequest()?->cookies->get(self::COOKIE, '0') : 0;

        return 0 === $days ? $this->inner->now() : $this->inner->now()->modify(\sprintf('%+d days', max(-4000, min(4000, $days))));
    }

    public function sleep(float|int $seconds): void
    {
        $this->inner->sleep($seconds);
    }

    public function withTimeZone(\DateTimeZone|string $timezone): static
    {
        return new self($this->inner->withTimeZone($timezone), $this->requests, $this->movable);
    }
}
