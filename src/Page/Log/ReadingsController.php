<?php

declare(strict_types=1);

namespace Olvek\Page\Log;

use Olvek\Service\Account\Keeper;
use Olvek\Service\Log\PostedReadings;
use Olvek\Service\Work\Deadline;
use Olvek\Service\Work\SlowPool;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\RateLimiter\RateLimiterFactory;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Readings that devices post, as JSON lines, and the description of how they do it (schema/readings.openapi.json). */
final class ReadingsController extends AbstractController
{
    /** Lines in one request. J: a day of a probe that reads every minute. */
    public const MOST = 1500;
    /** Seconds for which readings are written in one request. */
    private const PATIENCE = 15.0;

    #[SlowPool]
    #[Route('/api/readings', name: 'api_readings', methods: ['POST'])]
    public function take(
        Request $request,
        #[CurrentUser] Keeper $keeper,
        PostedReadings $readings,
        #[Autowire(service: 'limiter.readings')] RateLimiterFactory $often,
    ): Response {
        $allowed = $often->create($keeper->id()->toBase58())->consume();
        if (!$allowed->isAccepted()) {
            return new JsonResponse(
                ['message' => 'This is posted too often. Gather readings, and post them together.'],
                Response::HTTP_TOO_MANY_REQUESTS,
                ['Retry-After' => (string) max(1, $allowed->getRetryAfter()->getTimestamp() - time())],
            );
        }
        $lines = preg_split('/\r?\n/', $request->getContent(), self::MOST + 1, \PREG_SPLIT_NO_EMPTY);
        if (false === $lines || [] === $lines || \count($lines) > self::MOST) {
            return new JsonResponse(
                ['message' => \sprintf('Send 1 to %d lines, each a JSON object.', self::MOST)],
                Response::HTTP_UNPROCESSABLE_ENTITY,
            );
        }
        $report = $readings->take($keeper, $lines, new Deadline(self::PATIENCE));

        return new JsonResponse(
            ['kept' => $report->kept, 'known' => $report->known, 'refused' => $report->refused]
                + ('' === $report->stopped ? [] : ['message' => $report->stopped]),
            0 === $report->kept + $report->known ? Response::HTTP_UNPROCESSABLE_ENTITY : Response::HTTP_OK,
        );
    }

    /** Where programs look for what this interface is. */
    #[Route('/api', name: 'api', methods: ['GET'])]
    #[Route('/api/readings.openapi.json', name: 'api_description', methods: ['GET'])]
    public function description(Request $request, #[Autowire('%kernel.project_dir%/schema/readings.openapi.json')] string $file): Response
    {
        $description = json_decode((string) file_get_contents($file), true, flags: \JSON_THROW_ON_ERROR);
        \assert(\is_array($description));
        $description['servers'] = [['url' => $request->getSchemeAndHttpHost().$request->getBasePath()]];

        return (new JsonResponse($description))->setEncodingOptions(\JSON_PRETTY_PRINT | \JSON_UNESCAPED_SLASHES | \JSON_UNESCAPED_UNICODE);
    }
}
