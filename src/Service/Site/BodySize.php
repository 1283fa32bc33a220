<?php

declare(strict_types=1);

namespace Olvek\Service\Site;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Event\RequestEvent;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** Turns away bodies larger than anything a keeper has reason to send, before they are looked at: as announced, and as they really came. */
#[AsEventListener(priority: 250)]
final class BodySize
{
    /** Bytes. The largest plan Olvek takes (60 clumps, 30 groups) is some 25 KB. */
    public const MOST = 1_000_000;
    /** Bytes of a whole shelf as it was carried away, and where it is brought back. */
    public const MOST_SHELF = 1_000_000_000;
    public const SHELF = '/account/bring';
    /** Bytes of a photo with its form, and where photos come. */
    public const MOST_PHOTO = 16_000_000;
    private const PHOTO = '~^/tanks/[0-9a-f-]{36}/photos$~D';

    public function __invoke(RequestEvent $event): void
    {
        $request = $event->getRequest();
        if (!$event->isMainRequest() || $request->isMethodSafe()) {
            return;
        }
        [$most, $why] = match (true) {
            self::SHELF === $request->getPathInfo() => [
                self::MOST_SHELF,
                'This is larger than a gigabyte. Check that you chose a file that was downloaded from Olvek.',
            ],
            1 === preg_match(self::PHOTO, $request->getPathInfo()) => [
                self::MOST_PHOTO,
                'This is larger than 15 megabytes. Send the photo smaller; its details are not kept anyway.',
            ],
            default => [
                self::MOST,
                'This is larger than one megabyte. A plan is a few kilobytes; check that you chose the right file or text.',
            ],
        };
        if (self::measured($request) > $most) {
            throw new HttpException(413, $why);
        }
    }

    private static function measured(Request $request): int
    {
        $files = 0;
        $all = $request->files->all();
        array_walk_recursive($all, static function (mixed $file) use (&$files): void {
            $files +=
                $file instanceof UploadedFile
                    ? (int) $file->getSize() +
                        ($file->isValid() ? 0 : \PHP_INT_MAX >> 1) * (int) (\UPLOAD_ERR_INI_SIZE === $file->getError())
                    : 0;
        });

        return max((int) $request->headers->get('Content-Length', '0'), \strlen($request->getContent()), $files);
    }
}
