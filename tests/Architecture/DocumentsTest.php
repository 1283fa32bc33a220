<?php

declare(strict_types=1);

namespace Olvek\Tests\Architecture;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Finder\Finder;

/** Documents name classes and files that are there: what moved or went is found here, and not by a reader. */
final class DocumentsTest extends TestCase
{
    private const ROOT = __DIR__.'/../..';
    /** Where a name such as `Water\Oxygen` may be. */
    private const CODE = ['core/src', 'src', 'core/tests', 'tests'];
    private const FOLDERS = 'core|src|tests|templates|assets|bin|bench|config|demo|deploy|docs|e2e|migrations|public|schema';

    /** @return iterable<string, array{string}> */
    public static function documents(): iterable
    {
        foreach (['README.md', 'CONTRIBUTING.md', 'core/README.md'] as $document) {
            yield $document => [$document];
        }
        foreach ((new Finder())->files()->in(self::ROOT.'/docs')->name('*.md')->sortByName() as $file) {
            yield "docs/{$file->getRelativePathname()}" => ["docs/{$file->getRelativePathname()}"];
        }
    }

    #[DataProvider('documents')]
    public function testWhatItNamesIsThere(string $document): void
    {
        self::assertSame([], self::missing((string) file_get_contents(self::ROOT."/$document")));
    }

    public function testWhatIsGoneIsFound(): void
    {
        self::assertSame(['Run\Gone', 'core/src/Gone.php'], self::missing('`Run\Gone`, `Run\Runner`, `core/src/Gone.php`, `bin/formats`'));
    }

    /** @return list<string> classes with their rooms, and paths of files in the repository, that stand in backticks and nowhere else */
    private static function missing(string $text): array
    {
        preg_match_all('/`(?:Olvek\\\\(?:Core\\\\)?)?([A-Z]\w+(?:\\\\\w+)+)`/', $text, $classes);
        $gone = array_filter($classes[1], static fn (string $class): bool => !self::isClass($class));
        preg_match_all('#`((?:'.self::FOLDERS.')/[\w./-]+\.\w+)`#', $text, $files);
        $lost = array_filter($files[1], static fn (string $file): bool => !file_exists(self::ROOT."/$file"));

        return [...array_values($gone), ...array_values($lost)];
    }

    private static function isClass(string $class): bool
    {
        $path = str_replace('\\', '/', $class);
        foreach (self::CODE as $folder) {
            // With its wing or, as documents mostly do, without.
            foreach (["$folder/$path", "$folder/*/$path"] as $place) {
                if ([] !== glob(self::ROOT."/$place.php") || [] !== glob(self::ROOT."/$place", \GLOB_ONLYDIR)) {
                    return true;
                }
            }
        }

        return false;
    }
}
