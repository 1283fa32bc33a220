<?php

declare(strict_types=1);

namespace Olvek\Account;

use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\RedirectResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;
use Symfony\Component\Security\Core\Exception\AuthenticationException;
use Symfony\Component\Security\Http\EntryPoint\AuthenticationEntryPointInterface;

/**
 * Sends a stranger to the sign-in page. What a keeper had typed when the session ended is kept in the new session,
 * and the Bench offers it again after sign-in.
 */
final readonly class EntryPoint implements AuthenticationEntryPointInterface
{
    public const PENDING = 'olvek.pending_edits';

    public function __construct(private UrlGeneratorInterface $urls)
    {
    }

    public function start(Request $request, ?AuthenticationException $authException = null): Response
    {
        if ('json' === $request->getPreferredFormat()) {
            return new JsonResponse(['message' => 'You are signed out. Sign in again in another window, then repeat this change; what you typed still stands here.'], Response::HTTP_UNAUTHORIZED);
        }
        if ('bench_edit' === $request->attributes->get('_route')) {
            $tank = $request->attributes->get('tank');
            if (\is_string($tank)) {
                $request->getSession()->set(self::PENDING, ['tank' => $tank, 'edits' => $request->request->all('edits')]);
                $request->getSession()->set('_security.main.target_path', $this->urls->generate('bench', ['tank' => $tank]));
            }
        }

        return new RedirectResponse($this->urls->generate('account_sign_in'));
    }
}
