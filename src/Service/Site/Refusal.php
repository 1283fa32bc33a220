<?php

declare(strict_types=1);

namespace Olvek\Service\Site;

/** An exception whose message is meant for the keeper, and with which status it is answered wherever nobody answers better. */
interface Refusal extends \Throwable
{
    public function status(): int;
}
