<?php

declare(strict_types=1);

namespace Olvek\Service\Site;

use Symfony\Component\HttpFoundation\Response;

/** Two windows changed the same thing at the same moment, and the other was faster: nothing of this one was saved. */
class ConcurrentChange extends \RuntimeException implements Refusal
{
    public function __construct(
        string $words = 'This was changed in another window at the same moment, so it was not kept. What you typed still stands here: '
            .'look, and send it again.',
    ) {
        parent::__construct($words);
    }

    public function status(): int
    {
        return Response::HTTP_CONFLICT;
    }
}
