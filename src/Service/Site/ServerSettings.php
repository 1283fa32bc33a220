<?php

declare(strict_types=1);

namespace Olvek\Service\Site;

use Symfony\Component\HttpFoundation\Exception\SuspiciousOperationException;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;

/** What must be right before anything is answered: a secret, the names this server goes by, and the proxies it believes. */
final class ServerSettings
{
    /** Names under which a server may be asked for that was told none. */
    private const OWN = '127.0.0.1,localhost,[::1]';

    /** @param array<mixed> $environment */
    public static function set(array $environment): void
    {
        $proxies = self::text($environment, 'TRUSTED_PROXIES');
        if ('' !== $proxies) {
            Request::setTrustedProxies(
                explode(',', $proxies),
                Request::HEADER_X_FORWARDED_FOR |
                    Request::HEADER_X_FORWARDED_HOST |
                    Request::HEADER_X_FORWARDED_PORT |
                    Request::HEADER_X_FORWARDED_PROTO,
            );
        }
        $names = self::text($environment, 'OLVEK_HOSTS');
        Request::setTrustedHosts(
            array_map(
                static fn (string $name): string => '^'.preg_quote(trim($name), '#').'$',
                explode(',', '' === $names ? self::OWN : $names),
            ),
        );
    }

    /**
     * @param array<mixed> $environment
     *
     * @return Response|null null where all is right
     */
    public static function refusal(Request $request, array $environment): ?Response
    {
        if ('' === self::text($environment, 'APP_SECRET')) {
            error_log('Olvek: APP_SECRET is empty. Put 32 random bytes in hex into .env.local or the environment.');

            return self::plain(
                Response::HTTP_INTERNAL_SERVER_ERROR,
                'This server is not set up yet: it has no secret (APP_SECRET). Whoever runs it finds how in the README.',
            );
        }
        try {
            $request->getHost();
        } catch (SuspiciousOperationException) {
            return self::plain(
                Response::HTTP_MISDIRECTED_REQUEST,
                'This server does not go by that name. Whoever runs it tells it its names with OLVEK_HOSTS.',
            );
        }

        return null;
    }

    /** @param array<mixed> $environment */
    private static function text(array $environment, string $name): string
    {
        $value = $environment[$name] ?? '';

        return \is_string($value) ? $value : '';
    }

    private static function plain(int $status, string $words): Response
    {
        return new Response($words."\n", $status, [
            'Content-Type' => 'text/plain; charset=utf-8',
            'Cache-Control' => 'no-store',
            'X-Content-Type-Options' => 'nosniff',
        ]);
    }
}
