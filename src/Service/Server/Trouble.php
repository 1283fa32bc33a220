<?php

declare(strict_types=1);

namespace Olvek\Service\Server;

/** Why a backup was not made, or not restored: with a message for whoever runs Olvek. */
final class Trouble extends \RuntimeException
{
}
