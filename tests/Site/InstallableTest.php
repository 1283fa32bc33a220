<?php

declare(strict_types=1);

namespace Olvek\Tests\Site;

use Olvek\Tests\BenchTestCase;

/** A phone can install Olvek: every page names the manifest, whose icons are there in their sizes. */
final class InstallableTest extends BenchTestCase
{
    private const PUBLIC = __DIR__.'/../../public/';

    public function testEveryPageNamesTheManifest(): void
    {
        $page = $this->browser->request('GET', '/almanac');
        self::assertSame('/manifest.webmanifest', $page->filter('link[rel="manifest"]')->attr('href'));
        self::assertFileExists(self::PUBLIC.ltrim((string) $page->filter('link[rel="apple-touch-icon"]')->attr('href'), '/'));
        self::assertCount(2, $page->filter('meta[name="theme-color"]'));
    }

    public function testItsIconsAreThere(): void
    {
        /** @var array{start_url: string, display: string, icons: list<array<'src'|'sizes'|'type'|'purpose', string>>} $manifest */
        $manifest = json_decode((string) file_get_contents(self::PUBLIC.'manifest.webmanifest'), true, flags: \JSON_THROW_ON_ERROR);
        self::assertSame(['.', 'standalone'], [$manifest['start_url'], $manifest['display']]);
        $sizes = [];
        foreach ($manifest['icons'] as $icon) {
            if ('image/png' === $icon['type']) {
                $size = getimagesize(self::PUBLIC.$icon['src']);
                self::assertIsArray($size);
                self::assertSame("$size[0]x$size[1]", $icon['sizes']);
                $sizes[] = $size[0];
                self::assertStringContainsString('maskable', $icon['purpose']);
            } else {
                self::assertFileExists(self::PUBLIC.$icon['src']);
            }
        }
        self::assertSame([192, 512], $sizes, 'what browsers ask for');
    }
}
