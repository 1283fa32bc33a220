<?php

declare(strict_types=1);

namespace Olvek\Service\Site;

use Symfony\Component\HttpFoundation\Response;

/** What must be right before anything is answered: there is a secret. */
final class ServerSettings
{
    /**
     * @param array<mixed> $environment
     *
     * @return Response|null null where all is right
     */
    public static function refusal(array $environment): ?Response
    {
        if ('' === self::text($environment, 'APP_SECRET')) {
            error_log('Olvek: APP_SECRET is empty. Put 32 random bytes in hex into .env.local or the environment.');

            return self::plain(
                Response::HTTP_INTERNAL_SERVER_ERROR,
                'This server isn’t set up yet: APP_SECRET is empty. If you run it, the README says how to set it.',
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

    public static function plain(int $status, string $words): Response
    {
        return new Response($words."\n", $status, [
            'Content-Type' => 'text/plain; charset=utf-8',
            'Cache-Control' => 'no-store',
            'X-Content-Type-Options' => 'nosniff',
        ]);
    }
}
