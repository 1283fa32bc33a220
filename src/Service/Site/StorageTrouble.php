<?php

declare(strict_types=1);

namespace Olvek\Service\Site;

use Doctrine\DBAL\Exception\DriverException;
use Psr\Log\LoggerInterface;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Event\ExceptionEvent;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** A full, read-only or missing database is told as what it is, to the keeper in words and to whoever runs Olvek in the log. */
#[AsEventListener(priority: 20)]
final readonly class StorageTrouble
{
    private const FULL = 'The server’s disk is full, so nothing was saved. Nothing that was saved before is lost. Keep this page open, '
        .'tell whoever runs this site, and send it again once there is room.';
    private const CLOSED = 'The server may only read its database at the moment, so nothing was saved. Tell whoever runs this site, and '
        .'send it again later.';
    private const OLD = 'The server is in the middle of an upgrade: its database is older than it is. Nothing was changed. Try again in a '
        .'few minutes; if it goes on, tell whoever runs this site.';
    /** What databases say, and what it means. */
    private const TROUBLES = [
        'database or disk is full' => [Response::HTTP_INSUFFICIENT_STORAGE, self::FULL],
        'disk I/O error' => [
            Response::HTTP_INSUFFICIENT_STORAGE,
            'The server’s disk does not take anything, so nothing was saved. Keep this page open, tell whoever runs this site, and send '
                .'it again later.',
        ],
        'No space left on device' => [Response::HTTP_INSUFFICIENT_STORAGE, self::FULL],
        'could not extend file' => [Response::HTTP_INSUFFICIENT_STORAGE, self::FULL],
        'readonly database' => [Response::HTTP_SERVICE_UNAVAILABLE, self::CLOSED],
        'read-only transaction' => [Response::HTTP_SERVICE_UNAVAILABLE, self::CLOSED],
        'unable to open database file' => [
            Response::HTTP_SERVICE_UNAVAILABLE,
            'The server’s database is not where it should be. Nothing was changed. Tell whoever runs this site.',
        ],
        'no such table' => [Response::HTTP_SERVICE_UNAVAILABLE, self::OLD],
        'no such column' => [Response::HTTP_SERVICE_UNAVAILABLE, self::OLD],
        'Undefined table' => [Response::HTTP_SERVICE_UNAVAILABLE, self::OLD],
        'Undefined column' => [Response::HTTP_SERVICE_UNAVAILABLE, self::OLD],
        'database is locked' => [
            Response::HTTP_SERVICE_UNAVAILABLE,
            'The server was too busy to save this, so nothing was saved. What you typed still stands here: send it again.',
        ],
    ];

    public function __construct(private LoggerInterface $logger)
    {
    }

    public function __invoke(ExceptionEvent $event): void
    {
        for ($cause = $event->getThrowable(); null !== $cause; $cause = $cause->getPrevious()) {
            [$status, $words] =
                $cause instanceof DriverException || $cause instanceof \PDOException ? self::meaning($cause->getMessage()) : [0, ''];
            if (0 !== $status) {
                $this->logger->critical('The database cannot be used: '.$cause->getMessage(), ['exception' => $event->getThrowable()]);
                $event->setThrowable(new HttpException($status, $words, $event->getThrowable()));
                if ('json' === $event->getRequest()->getPreferredFormat()) {
                    $event->setResponse(new JsonResponse(['message' => $words], $status));
                }

                return;
            }
        }
    }

    /** @return array{int, string} status and words; 0 and nothing where it is another trouble */
    private static function meaning(string $message): array
    {
        foreach (self::TROUBLES as $said => $meaning) {
            if (str_contains($message, $said)) {
                return $meaning;
            }
        }

        return [0, ''];
    }
}
