<?php

declare(strict_types=1);

namespace Olvek\Page\Server;

use Olvek\Service\Server\Health;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** For machines that watch this one: 200 where all is well, 503 where something is not; which thing, and no more. */
final class HealthController
{
    #[Route('/health', name: 'health', methods: ['GET'])]
    public function health(Health $health): Response
    {
        $troubles = array_keys($health->troubles());

        return new JsonResponse(
            ['status' => [] === $troubles ? 'ok' : 'trouble', 'troubles' => $troubles],
            [] === $troubles ? Response::HTTP_OK : Response::HTTP_SERVICE_UNAVAILABLE,
            ['Cache-Control' => 'no-store'],
        );
    }
}
