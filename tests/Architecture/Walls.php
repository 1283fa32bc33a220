<?php

declare(strict_types=1);

namespace Olvek\Tests\Architecture;

use PhpParser\Node;
use PhpParser\NodeFinder;
use PhpParser\NodeTraverser;
use PhpParser\NodeVisitor\NameResolver;
use PhpParser\ParserFactory;

/** Walls that run through methods, and that no rule of who may know which class sees. Each says what it finds wrong in a file's code. */
final class Walls
{
    /** Functions by which code reaches a file, the network, a clock, chance or the page. */
    private const REACHES_OUT = '/^(fopen|fwrite|fread|fgets|fputs|fsockopen|file|filemtime|file_.*|readfile|unlink|mkdir|rename|copy|glob'
        .'|scandir|is_file|is_dir|curl_.*|stream_.*|socket_.*|mail|header|setcookie|print_r|printf|vprintf|var_dump|error_log|time'
        .'|microtime|hrtime|date|localtime|getdate|s?rand|mt_s?rand|random_.*|uniqid|getenv|putenv|exec|shell_exec|system'
        .'|passthru|proc_open|u?sleep)$/';
    /** Rooms and classes whose work it is to ask the database. */
    private const STORES = '/^Olvek\\\\((Console|Service)\\\\Server\\\\.*|Service\\\\(.*Repository|Account\\\\Invitations'
        .'|Build\\\\BuildRecords|Log\\\\(EntryRows|ImportBatches)|Photo\\\\Photos|Tank\\\\Holdings|Site\\\\Sqlite.*))$/';
    private const ASKS = [
        'createQuery', 'createQueryBuilder', 'createNativeQuery', 'executeQuery', 'executeStatement', 'prepareStatement', 'fetchOne',
        'fetchAssociative', 'fetchAllAssociative', 'fetchFirstColumn', 'iterateAssociative', 'fetchNumeric',
    ];

    /**
     * The core only computes: it reads no file but its catalogue, no clock, and writes no output.
     *
     * @param list<string> $allowed functions that this file may call all the same
     *
     * @return list<string>
     */
    public static function reachesOut(string $code, array $allowed = []): array
    {
        $faults = [];
        foreach ((new NodeFinder())->findInstanceOf(self::parsed($code), Node::class) as $node) {
            $fault = self::reach($node);
            if (null !== $fault && !\in_array($fault, $allowed, true)) {
                $faults[] = "line {$node->getStartLine()}: $fault";
            }
        }

        return $faults;
    }

    /** What a piece of code reaches for; null for nothing. */
    private static function reach(Node $node): ?string
    {
        if ($node instanceof Node\Stmt\Echo_ || $node instanceof Node\Expr\Print_ || $node instanceof Node\Stmt\InlineHTML) {
            return 'output';
        }
        if ($node instanceof Node\Expr\Variable) {
            return \is_string($node->name) && 1 === preg_match('/^(_[A-Z]+|GLOBALS)$/', $node->name) ? $node->name : null;
        }
        if ($node instanceof Node\Expr\New_) {
            // A date that is given no day is read off the clock.
            $class = $node->class instanceof Node\Name ? $node->class->toString() : '';

            return [] === $node->args && \in_array($class, ['DateTimeImmutable', 'DateTime'], true) ? "new $class" : null;
        }
        $called = $node instanceof Node\Expr\FuncCall && $node->name instanceof Node\Name ? $node->name->getLast() : '';

        return 1 === preg_match(self::REACHES_OUT, $called) ? $called : null;
    }

    /** @return list<string> */
    public static function asksTheDatabase(string $code, string $class): array
    {
        if (1 === preg_match(self::STORES, $class)) {
            return [];
        }
        $isAsking = static fn (Node $node): bool => $node instanceof Node\Expr\MethodCall && $node->name instanceof Node\Identifier
            && \in_array($node->name->toString(), self::ASKS, true);

        return array_map(
            static fn (Node $node): string => "line {$node->getStartLine()}: a query outside a store",
            array_values((new NodeFinder())->find(self::parsed($code), $isAsking)),
        );
    }

    /**
     * @param array<string, true> $internal classes that only the core may use
     *
     * @return list<string>
     */
    public static function usesInternals(string $code, array $internal): array
    {
        $faults = [];
        foreach ((new NodeFinder())->findInstanceOf(self::parsed($code), Node\Name\FullyQualified::class) as $name) {
            if (isset($internal[$name->toString()])) {
                $faults[$name->toString()] = "line {$name->getStartLine()}: {$name->toString()} is the core’s own";
            }
        }

        return array_values($faults);
    }

    /** @return array<Node> with names in full */
    private static function parsed(string $code): array
    {
        $names = new NodeTraverser();
        $names->addVisitor(new NameResolver());

        return $names->traverse((new ParserFactory())->createForHostVersion()->parse($code) ?? []);
    }
}
