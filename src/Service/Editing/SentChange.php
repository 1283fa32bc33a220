<?php

declare(strict_types=1);

namespace Olvek\Service\Editing;

use Symfony\Component\HttpFoundation\RequestStack;
use Symfony\Component\Uid\Uuid;

/**
 * The id that the request's form gave its change (Site\FormToken makes it, or a script): a form that is sent twice, by two presses or since
 * no answer came, carries the same one.
 */
final readonly class SentChange
{
    public const FIELD = '_change';

    public function __construct(private RequestStack $requests)
    {
    }

    /** null where nothing was sent by a form, or not such an id */
    public function id(): ?string
    {
        $sent = $this->requests->getMainRequest()?->request->all()[self::FIELD] ?? null;

        return \is_string($sent) && Uuid::isValid($sent) ? strtolower($sent) : null;
    }
}
