<?php

declare(strict_types=1);

namespace Olvek\Service\Site;

use Symfony\Component\HttpFoundation\Response;

/** A form that the browser says was not sent from a page of ours, or of which it says nothing. */
final class ForeignForm extends \RuntimeException implements Refusal
{
    public function __construct()
    {
        parent::__construct(
            'This form wasn’t sent from one of Olvek’s own pages, so nothing was changed. Go back: what you typed is still there. '
            .'Reload the page if sending it again doesn’t work.',
        );
    }

    public function status(): int
    {
        return Response::HTTP_UNPROCESSABLE_ENTITY;
    }
}
