<?php

declare(strict_types=1);

namespace Olvek\Tests\Site;

use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Tests\BenchTestCase;
use Symfony\Component\Translation\TranslatorBagInterface;

/** The help page: short, complete, and reached from everywhere. */
final class HelpTest extends BenchTestCase
{
    /** Sentences of an entry. */
    private const SENTENCES = 3;
    /** Words of a sentence. J. */
    private const WORDS = 24;

    public function testItIsReachedFromEveryPageAndSaysAll(): void
    {
        $page = $this->browser->click($this->browser->request('GET', '/almanac')->selectLink('Help')->link());
        self::assertResponseIsSuccessful();
        self::assertCount(15, $page->filter('#questions dt'), 'the fifteen things a keeper asks most');
        self::assertCount(7, $page->filter('#pages dt'));
        self::assertSame($this->terms(), $page->filter('.help-list dt')->each(static fn ($term): string => trim($term->text())));
        self::assertGreaterThan(6, $page->filter('.help-picture path')->count());
        foreach ($page->filter('.help-nav a')->extract(['href']) as $place) {
            self::assertCount(1, $page->filter($place), $place);
        }
    }

    /** @return array<string, string> by id */
    private function texts(): array
    {
        $translator = self::getContainer()->get('translator');
        self::assertInstanceOf(TranslatorBagInterface::class, $translator);
        /** @var array<string, string> $texts */
        $texts = $translator->getCatalogue('en')->all('help');

        return $texts;
    }

    /** @return list<string> questions first, then pages, then the glossary */
    private function terms(): array
    {
        $terms = array_filter($this->texts(), static fn (string $id): bool => str_ends_with($id, '.term'), \ARRAY_FILTER_USE_KEY);
        $of = static fn (string $section): array => array_filter(
            $terms,
            static fn (string $id): bool => str_starts_with($id, "$section."),
            \ARRAY_FILTER_USE_KEY,
        );

        return array_values([...$of('questions'), ...$of('pages'), ...array_diff_key($terms, $of('questions'), $of('pages'))]);
    }

    public function testEveryEntryIsShort(): void
    {
        foreach ($this->texts() as $id => $text) {
            if (str_ends_with($id, '.picture')) {
                self::assertArrayHasKey($text, Catalogue::shipped()->plants, $id);
                continue;
            }
            $sentences = preg_split('/(?<=[.?!])\s+/', $text);
            self::assertIsArray($sentences);
            self::assertLessThanOrEqual(self::SENTENCES, \count($sentences), $id);
            foreach ($sentences as $sentence) {
                self::assertLessThanOrEqual(self::WORDS, str_word_count($sentence), "$id: $sentence");
            }
        }
    }

    public function testAStrangerSignsInFirst(): void
    {
        $this->browser->getCookieJar()->clear();
        $this->browser->request('GET', '/help');
        self::assertResponseRedirects('/sign-in?to=/help');
    }
}
