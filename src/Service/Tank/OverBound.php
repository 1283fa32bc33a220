<?php

declare(strict_types=1);

namespace Olvek\Service\Tank;

use Olvek\Service\Site\Refusal;
use Symfony\Component\HttpFoundation\Response;

/** More than one keeper may hold: nothing was saved. */
final class OverBound extends \RuntimeException implements Refusal
{
    public function status(): int
    {
        return Response::HTTP_INSUFFICIENT_STORAGE;
    }
}
