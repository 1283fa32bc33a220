<?php

declare(strict_types=1);

namespace Olvek\Tests\Architecture\DeadCode;

use PhpParser\Node;
use PhpParser\Node\Expr\ClassConstFetch;
use PhpParser\Node\Expr\MethodCall;
use PhpParser\Node\Expr\NullsafeMethodCall;
use PhpParser\Node\Expr\StaticCall;
use PhpParser\Node\Identifier;
use PHPStan\Analyser\Scope;
use PHPStan\Collectors\Collector;
use PHPStan\Node\MethodCallableNode;
use PHPStan\Node\StaticMethodCallableNode;

/**
 * Names by which methods are called and constants are read, whoever has them.
 *
 * @implements Collector<Node\Expr, string>
 */
final class NamesInUse implements Collector
{
    public function getNodeType(): string
    {
        return Node\Expr::class;
    }

    public function processNode(Node $node, Scope $scope): ?string
    {
        if ($node instanceof Node\Scalar\String_) {
            // By name: callables, constant('…') in expressions, methods that attributes name.
            return 1 === preg_match('/^\w+$/', $node->value) ? $node->value : null;
        }
        if ($node instanceof MethodCallableNode || $node instanceof StaticMethodCallableNode) {
            return $node->getName() instanceof Identifier ? $node->getName()->toString() : null;
        }
        $named = $node instanceof MethodCall || $node instanceof NullsafeMethodCall
            || $node instanceof StaticCall || $node instanceof ClassConstFetch;

        return $named && $node->name instanceof Identifier ? $node->name->toString() : null;
    }
}
