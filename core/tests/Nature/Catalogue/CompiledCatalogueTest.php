<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Nature\Catalogue;

use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Nature\Catalogue\CompiledCatalogue;
use PHPUnit\Framework\TestCase;

final class CompiledCatalogueTest extends TestCase
{
    public function testItsCodeMakesTheSameCatalogue(): void
    {
        $shipped = Catalogue::shipped();
        $file = (string) tempnam(sys_get_temp_dir(), 'olvek');
        try {
            file_put_contents($file, CompiledCatalogue::code($shipped));
            $made = Catalogue::fromCompiled($file);
        } finally {
            unlink($file);
        }
        self::assertEquals($shipped, $made);
        self::assertSame(array_keys($shipped->plants), array_keys($made->plants), 'in the same order');
        self::assertSame(var_export($shipped->animals, true), var_export($made->animals, true), 'and of the same types');
    }
}
