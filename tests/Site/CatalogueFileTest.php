<?php

declare(strict_types=1);

namespace Olvek\Tests\Site;

use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Service\Site\CatalogueFile;
use Symfony\Bundle\FrameworkBundle\Test\KernelTestCase;

final class CatalogueFileTest extends KernelTestCase
{
    public function testItIsWrittenBesideTheContainerAndIsTheCatalogue(): void
    {
        $directory = self::getContainer()->getParameter('kernel.build_dir');
        self::assertIsString($directory);
        $file = self::getContainer()->get(CatalogueFile::class);
        self::assertInstanceOf(CatalogueFile::class, $file);
        $file->warmUp($directory);
        self::assertEquals(Catalogue::shipped(), Catalogue::fromCompiled("$directory/catalogue.php"));
        self::assertEquals(Catalogue::shipped(), self::getContainer()->get(Catalogue::class));
    }
}
