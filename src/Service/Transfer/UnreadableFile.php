<?php

declare(strict_types=1);

namespace Olvek\Service\Transfer;

/** A file that is nothing Olvek has made, or not as it was made: nothing of it was taken. */
final class UnreadableFile extends \RuntimeException
{
}
