<?php

declare(strict_types=1);

namespace Olvek\Tests\Speech;

use Olvek\Core\Basis\Message\Message;
use PhpParser\Node;
use PhpParser\NodeFinder;
use PhpParser\NodeTraverser;
use PhpParser\NodeVisitor\NameResolver;
use PhpParser\ParserFactory;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Finder\Finder;
use Symfony\Component\Yaml\Yaml;

/** Each id has its text and each text its id; each text names the values that its message brings, and reads well with any of them. */
final class CatalogueTest extends TestCase
{
    private const ROOT = __DIR__.'/../..';
    /** Words in a sentence. J: half as many again as the mean that is wanted of pages. */
    private const LONGEST_SENTENCE = 24;

    /** @return array<string, string> by id */
    private static function texts(): array
    {
        $texts = [];
        $walk = static function (array $part, string $prefix) use (&$walk, &$texts): void {
            foreach ($part as $key => $text) {
                \is_array($text) ? $walk($text, "$prefix$key.") : $texts["$prefix$key"] = (string) $text;
            }
        };
        $walk((array) Yaml::parseFile(self::ROOT.'/translations/core+intl-icu.en.yaml'), '');

        return $texts;
    }

    /** @return array<string, list<list<string>>> names of the values that messages bring, by id, for each place that makes one */
    private static function made(): array
    {
        /** @var array<string, list<list<string>>>|null $read */
        static $read = null;

        return $read ??= self::read();
    }

    /** @return array<string, list<list<string>>> */
    private static function read(): array
    {
        $made = [];
        foreach ((new Finder())->files()->in([self::ROOT.'/core/src', self::ROOT.'/src'])->name('*.php') as $file) {
            if (!str_contains($file->getContents(), 'Message')) {
                continue;
            }
            $names = new NodeTraverser();
            $names->addVisitor(new NameResolver());
            $code = $names->traverse((new ParserFactory())->createForHostVersion()->parse($file->getContents()) ?? []);
            foreach ((new NodeFinder())->findInstanceOf($code, Node\Expr\New_::class) as $new) {
                $isMessage = $new->class instanceof Node\Name
                    && (Message::class === $new->class->toString()
                        || ('self' === $new->class->toString() && str_ends_with($file->getPathname(), 'Message/Message.php')));
                if ($isMessage) {
                    [$id, $values] = [$new->getArgs()[0]->value, ($new->getArgs()[1] ?? null)?->value];
                    $place = $file->getRelativePathname().':'.$new->getStartLine();
                    self::assertInstanceOf(Node\Scalar\String_::class, $id, "$place: an id is written out, so that it can be found");
                    $made[$id->value][] = self::keys($values, $place);
                }
            }
        }

        return $made;
    }

    /** @return list<string> */
    private static function keys(?Node\Expr $values, string $place): array
    {
        $keys = [];
        if (null !== $values) {
            self::assertInstanceOf(Node\Expr\Array_::class, $values, "$place: values are written out");
            foreach ($values->items as $item) {
                self::assertInstanceOf(Node\Scalar\String_::class, $item->key, $place);
                $keys[] = $item->key->value;
            }
        }
        sort($keys);

        return $keys;
    }

    public function testEachIdHasItsTextAndEachTextItsId(): void
    {
        self::assertSame([], array_diff(array_keys(self::made()), array_keys(self::texts())), 'ids without a text');
        self::assertSame([], array_diff(array_keys(self::texts()), array_keys(self::made())), 'texts that nothing says');
    }

    /** @return iterable<string, array{string, string}> */
    public static function all(): iterable
    {
        foreach (self::texts() as $id => $text) {
            yield $id => [$id, $text];
        }
    }

    #[DataProvider('all')]
    public function testATextNamesTheValuesOfItsMessage(string $id, string $text): void
    {
        $named = array_keys((new IcuText($text))->values);
        sort($named);
        foreach (self::made()[$id] ?? [] as $keys) {
            self::assertSame($keys, $named, $id);
        }
    }

    /** Said with one, none and many, and with every choice that it has. */
    #[DataProvider('all')]
    public function testATextReadsWell(string $id, string $text): void
    {
        $read = new IcuText($text);
        foreach ([0, 1, 2, 1234] as $number) {
            foreach (array_unique(array_merge(['other'], ...array_values($read->choices))) as $choice) {
                $values = array_map(
                    static fn (string $kind): string|int => match ($kind) {
                        'select' => $choice,
                        'plain' => 'vallisneria',
                        default => $number,
                    },
                    $read->values,
                );
                $said = \MessageFormatter::formatMessage('en', $text, $values);
                self::assertIsString($said, "$id: ".intl_get_error_message());
                self::assertDoesNotMatchRegularExpression('/[{}]|  |^\s|\s$| [.,;:]|−0\b/u', $said, $id);
                self::assertDoesNotMatchRegularExpression('/\b1 (day|week|month|kind|head|time)s\b/u', $said, $id);
            }
        }
    }

    /** Short sentences, and none that is joined to another by a colon where a full stop would do. */
    #[DataProvider('all')]
    public function testATextIsPlain(string $id, string $text): void
    {
        $plain = (string) preg_replace('/\{\w+[^{}]*(\{[^{}]*\}[^{}]*)*\}/u', 'x', $text);
        foreach ((array) preg_split('/(?<=[.?!])\s+/u', $plain) as $sentence) {
            self::assertLessThanOrEqual(self::LONGEST_SENTENCE, \count((array) preg_split('/\s+/u', (string) $sentence)), "$id: $sentence");
        }
        self::assertDoesNotMatchRegularExpression(self::RETIRED, $text, $id);
    }

    /** Calques and words that are said otherwise (docs/words.md). */
    private const RETIRED = '/\b(is none|is no [a-z]+|are none|nobody|told of|within the doubt|speaks for|shall|is seen to)\b/iu';

    public function testARetiredWordIsFound(): void
    {
        self::assertMatchesRegularExpression(self::RETIRED, 'The day is none.');
        self::assertDoesNotMatchRegularExpression(self::RETIRED, 'This isn’t a valid date.');
    }
}
