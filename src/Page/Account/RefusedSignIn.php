<?php

declare(strict_types=1);

namespace Olvek\Page\Account;

use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\HttpKernelInterface;
use Symfony\Component\Security\Core\Exception\AuthenticationException;
use Symfony\Component\Security\Http\Authentication\AuthenticationFailureHandlerInterface;
use Symfony\Component\Security\Http\SecurityRequestAttributes;

/** Shows the sign-in page again at once, with the reason; of a stranger nothing is kept between requests. */
final readonly class RefusedSignIn implements AuthenticationFailureHandlerInterface
{
    public function __construct(#[Autowire(service: 'http_kernel')] private HttpKernelInterface $kernel)
    {
    }

    public function onAuthenticationFailure(Request $request, AuthenticationException $exception): Response
    {
        $request->getSession()->remove(SecurityRequestAttributes::LAST_USERNAME);
        $request->getSession()->save();
        $again = $request->duplicate([], null, [
            '_controller' => SignInController::class.'::signIn',
            '_route' => 'account_sign_in',
            SecurityRequestAttributes::AUTHENTICATION_ERROR => $exception,
            SecurityRequestAttributes::LAST_USERNAME => mb_scrub($request->request->getString('name')),
        ]);

        return $this->kernel->handle($again, HttpKernelInterface::SUB_REQUEST);
    }
}
