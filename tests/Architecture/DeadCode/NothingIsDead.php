<?php

declare(strict_types=1);

namespace Olvek\Tests\Architecture\DeadCode;

use PhpParser\Node;
use PHPStan\Analyser\Scope;
use PHPStan\Node\CollectedDataNode;
use PHPStan\Rules\Rule;
use PHPStan\Rules\RuleErrorBuilder;

/**
 * Finds methods and constants whose name nobody says: neither code nor a template. What only tests call is dead too.
 *
 * @implements Rule<CollectedDataNode>
 */
final class NothingIsDead implements Rule
{
    /** What is called from outside of what is analysed here: by the command line's scripts and benches. */
    private const OUTSIDE = ['bench', 'bin', 'standins', 'deploy', 'public'];

    public function getNodeType(): string
    {
        return CollectedDataNode::class;
    }

    public function processNode(Node $node, Scope $scope): array
    {
        $used = self::elsewhere();
        foreach ($node->get(NamesInUse::class) as $file => $names) {
            if (!str_contains($file, '/tests/')) {
                $used += array_fill_keys($names, true);
            }
        }
        $errors = [];
        foreach ($node->get(DeclaredMembers::class) as $file => $members) {
            foreach (array_merge(...$members) as [$name, $line]) {
                // A template says testDue of isTestDue.
                $said = lcfirst((string) preg_replace('/^(?:is|get|has)(?=[A-Z])/', '', $name));
                if (!isset($used[$name]) && !isset($used[$said])) {
                    $errors[] = RuleErrorBuilder::message("Nobody but tests says $name.")
                        ->file($file)->line($line)->identifier('olvek.dead')->build();
                }
            }
        }

        return $errors;
    }

    /** @return array<string, true> names in templates and in scripts beside the application */
    private static function elsewhere(): array
    {
        $root = \dirname(__DIR__, 3);
        $used = [];
        foreach (['templates', ...self::OUTSIDE] as $folder) {
            $files = new \RecursiveDirectoryIterator("$root/$folder", \FilesystemIterator::SKIP_DOTS);
            foreach (new \RecursiveIteratorIterator($files) as $file) {
                \assert($file instanceof \SplFileInfo);
                preg_match_all('/(?:[.>:]|\\\\)(\w+)/', (string) file_get_contents($file->getPathname()), $names);
                $used += array_fill_keys($names[1], true);
            }
        }

        return $used;
    }
}
