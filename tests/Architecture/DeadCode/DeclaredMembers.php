<?php

declare(strict_types=1);

namespace Olvek\Tests\Architecture\DeadCode;

use PhpParser\Node;
use PhpParser\Node\Stmt\ClassConst;
use PhpParser\Node\Stmt\ClassMethod;
use PHPStan\Analyser\Scope;
use PHPStan\Collectors\Collector;

/**
 * Methods and constants that the code declares and that nobody outside calls for their own sake.
 *
 * @implements Collector<Node\Stmt, list<array{string, int}>>
 */
final class DeclaredMembers implements Collector
{
    public function getNodeType(): string
    {
        return Node\Stmt::class;
    }

    /** @return list<array{string, int}>|null names and lines */
    public function processNode(Node $node, Scope $scope): ?array
    {
        if (1 !== preg_match('~/(core/src|src)/~', $scope->getFile())) {
            return null;
        }
        // What those may use who have only the core says so itself.
        if (str_contains($node->getDocComment()?->getText() ?? '', '@api')) {
            return null;
        }
        if ($node instanceof ClassConst) {
            return array_map(static fn (Node\Const_ $c): array => [$c->name->toString(), $c->getStartLine()], array_values($node->consts));
        }
        if (!$node instanceof ClassMethod || str_starts_with($node->name->toString(), '__') || [] !== $node->attrGroups) {
            return null;
        }
        $class = $scope->getClassReflection();
        // What a parent or an interface asks for is called through it.
        foreach (null === $class ? [] : [...$class->getParents(), ...$class->getInterfaces()] as $above) {
            if ($above->hasNativeMethod($node->name->toString())) {
                return null;
            }
        }

        return [[$node->name->toString(), $node->getStartLine()]];
    }
}
