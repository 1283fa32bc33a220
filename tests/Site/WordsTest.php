<?php

declare(strict_types=1);

namespace Olvek\Tests\Site;

use PHPUnit\Framework\TestCase;

/** Words that were retired (docs/words.md) stand on no page and in no text of the code. */
final class WordsTest extends TestCase
{
    public function testNoRetiredWordIsSaid(): void
    {
        $retired = self::retired();
        self::assertGreaterThan(30, \count($retired));
        $found = [];
        foreach (self::texts() as $file => $texts) {
            foreach ($texts as $text) {
                foreach ($retired as $word) {
                    if (1 === preg_match('/\b'.preg_quote($word, '/').'/iu', $text)) {
                        $found[] = \sprintf('%s: “%s” in “%s”', $file, $word, mb_substr(trim($text), 0, 100));
                    }
                }
            }
        }
        self::assertSame([], $found);
    }

    /** A word that is retired is found where it stands, so that the test above can fail. */
    public function testTheyAreFoundInTextsAndNowhereElse(): void
    {
        self::assertSame(
            ['What a school lays', 'Begin from a school'],
            self::inTemplate('{# school #}<p class="school">What a school lays</p>{{ school.words }}{{ "Begin from a school" }}'),
        );
        self::assertSame(
            ['It is reckoned.'],
            self::inPhp('<?php // reckoned'."\n".'$reckoned = \'It is reckoned.\'; $x = [\'reckon\' => 1];'),
        );
    }

    /** @return list<string> */
    private static function retired(): array
    {
        $page = (string) file_get_contents(__DIR__.'/../../docs/words.md');
        preg_match_all('/^\| ([^|]+) \| [^|]+ \|$/m', substr($page, (int) strpos($page, '## Retired')), $rows);
        $words = [];
        // What is retired in one place only is told in brackets, and cannot be searched for.
        $found = array_filter(
            \array_slice($rows[1], 1),
            static fn (string $row): bool => !str_contains($row, '(') && !str_contains($row, '---'),
        );
        foreach ($found as $row) {
            $words[] = $row;
        }

        return $words;
    }

    /** @return iterable<string, list<string>> texts that a keeper may read, by file */
    private static function texts(): iterable
    {
        $root = \dirname(__DIR__, 2);
        foreach (['templates', 'translations', 'src', 'core/src'] as $folder) {
            foreach (
                new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator("$root/$folder", \FilesystemIterator::SKIP_DOTS)) as $file
            ) {
                \assert($file instanceof \SplFileInfo);
                $code = 'data' === basename($file->getPath()) ? '' : (string) file_get_contents($file->getPathname());
                yield substr($file->getPathname(), \strlen($root) + 1) => 'php' === $file->getExtension()
                    ? self::inPhp($code)
                    : self::inTemplate($code);
            }
        }
    }

    /** @return list<string> texts outside of tags and expressions, and sentences within them */
    private static function inTemplate(string $code): array
    {
        $code = (string) preg_replace('/\{#.*?#\}/s', '', $code);
        preg_match_all('/\{[{%].*?[%}]\}/s', $code, $expressions);
        preg_match_all('/["\']([^"\']* [^"\']*)["\']/', implode("\n", $expressions[0]), $said);
        preg_match_all('/(?:aria-label|title|placeholder)="([^"{]+)"/', $code, $labels);
        $plain = explode(
            "\n",
            (string) preg_replace('/\s{2,}/', "\n", strip_tags((string) preg_replace('/\{[{%].*?[%}]\}/s', '  ', $code))),
        );

        return array_values(array_filter([...$plain, ...$said[1], ...$labels[1]], static fn (string $text): bool => '' !== trim($text)));
    }

    /** @return list<string> strings with more than one word in them */
    private static function inPhp(string $code): array
    {
        $texts = [];
        foreach (\PhpToken::tokenize($code) as $token) {
            if ($token->is([\T_CONSTANT_ENCAPSED_STRING, \T_ENCAPSED_AND_WHITESPACE]) && str_contains(trim($token->text, '\'" '), ' ')) {
                $texts[] = trim($token->text, '\'"');
            }
        }

        return $texts;
    }
}
