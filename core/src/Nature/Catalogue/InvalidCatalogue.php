<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Catalogue;

use Olvek\Core\CoreException;

/** A catalogue file breaks its own rules; the message names file and line. */
final class InvalidCatalogue extends \RuntimeException implements CoreException
{
    public static function at(string $file, int $line, string $why): self
    {
        return new self(\sprintf('%s, line %d: %s', basename($file), $line, $why));
    }
}
