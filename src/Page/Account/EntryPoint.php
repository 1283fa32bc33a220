<?php

declare(strict_types=1);

namespace Olvek\Page\Account;

use Olvek\Core\Planning\Change\Reader;
use Olvek\Service\Account\SessionAge;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\RedirectResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;
use Symfony\Component\Security\Core\Exception\AuthenticationException;
use Symfony\Component\Security\Http\EntryPoint\AuthenticationEntryPointInterface;
use Symfony\Component\Security\Http\Util\TargetPathTrait;

/**
 * Sends a stranger to the sign-in page. What a keeper had typed when the session ended is kept in it, and the Bench offers it again after
 * sign-in; of somebody who was never signed in nothing is kept at all.
 */
final readonly class EntryPoint implements AuthenticationEntryPointInterface
{
    use TargetPathTrait;

    public const PENDING = 'olvek.pending_edits';
    /** Bytes of typed text that are kept. A form of the largest plan is some 12 KB. */
    public const MOST = 20_000;

    public function __construct(private UrlGeneratorInterface $urls)
    {
    }

    public function start(Request $request, ?AuthenticationException $authException = null): Response
    {
        if ('json' === $request->getPreferredFormat()) {
            return new JsonResponse(
                [
                    'message' => 'You are signed out. Sign in again in another window, then repeat this change; what you typed still '
                        .'stands here.',
                ],
                Response::HTTP_UNAUTHORIZED,
            );
        }
        $tank = $request->attributes->get('tank');
        if (!$request->hasPreviousSession() || !SessionAge::wasSignedIn($request->getSession())) {
            // The firewall has noted where the stranger wanted to go; the address tells it as well, and leaves no file behind.
            $this->removeTargetPath($request->getSession(), 'main');

            return new RedirectResponse(
                $this->urls->generate(
                    'account_sign_in',
                    $request->isMethodSafe() && '/' !== $request->getPathInfo() ? ['to' => $request->getRequestUri()] : [],
                ),
            );
        }
        if ('bench_edit' === $request->attributes->get('_route') && \is_string($tank)) {
            $request->getSession()->set(self::PENDING, ['tank' => $tank, 'edits' => self::worthKeeping($request->request->all('edits'))]);
            $this->saveTargetPath($request->getSession(), 'main', $this->urls->generate('bench', ['tank' => $tank]));
        }

        return new RedirectResponse($this->urls->generate('account_sign_in'));
    }

    /**
     * @param array<mixed> $sent
     *
     * @return array<string, string> typed text by place: only places that a plan can have, and none where it is too much
     */
    private static function worthKeeping(array $sent): array
    {
        $edits = [];
        $bytes = 0;
        foreach ($sent as $place => $typed) {
            if (\is_string($typed) && Reader::mayBePlace((string) $place) && mb_check_encoding($typed, 'UTF-8')) {
                $edits[(string) $place] = $typed;
                $bytes += \strlen((string) $place) + \strlen($typed);
            }
        }

        return $bytes > self::MOST ? [] : $edits;
    }
}
