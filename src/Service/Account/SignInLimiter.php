<?php

declare(strict_types=1);

namespace Olvek\Service\Account;

use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\HttpFoundation\RateLimiter\AbstractRequestRateLimiter;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\RateLimiter\RateLimiterFactory;
use Symfony\Component\Security\Http\SecurityRequestAttributes;

/**
 * How often one may try to sign in: a few times a minute for a name from an address, and many times for an address, behind which a whole
 * house may sit. Both are counted under a lock, so that many tries at once count as many.
 */
final class SignInLimiter extends AbstractRequestRateLimiter
{
    public function __construct(
        #[Autowire(service: 'limiter.sign_in_address')] private readonly RateLimiterFactory $address,
        #[Autowire(service: 'limiter.sign_in_name')] private readonly RateLimiterFactory $name,
        #[Autowire('%kernel.secret%')] private readonly string $secret,
    ) {
    }

    protected function getLimiters(Request $request): array
    {
        $name = $request->attributes->get(SecurityRequestAttributes::LAST_USERNAME, '');
        $name = \is_string($name) ? SignInName::fold($name) ?? '' : '';
        $from = (string) $request->getClientIp();

        return [$this->address->create($this->blind($from)), $this->name->create($this->blind("$name-$from"))];
    }

    /** Neither names nor addresses stand in the cache. */
    private function blind(string $text): string
    {
        return hash_hmac('sha256', $text, $this->secret);
    }
}
