<?php

declare(strict_types=1);

namespace Olvek\Tests\Site;

use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** The server compiles the run as it goes (bin/jit), the command line does not: both must say the same, bit for bit. */
#[Group('any-database')]
final class CompiledTest extends TestCase
{
    #[TestWith(['waiting-hall'])]
    #[TestWith(['ticket-window'])]
    #[TestWith(['galley'])]
    #[TestWith(['terrace'])]
    public function testACompiledRunSaysTheSame(string $plan): void
    {
        $root = \dirname(__DIR__, 2);
        $run = static function (string $flags) use ($root, $plan): array {
            exec(
                \sprintf(
                    'cd %s && bash -c %s',
                    escapeshellarg($root),
                    escapeshellarg(". bin/jit; php $flags tests/compiled.php demo/$plan.plan.json"),
                ),
                $lines,
                $status,
            );
            self::assertSame(0, $status);

            return $lines;
        };
        $plain = $run('-d opcache.enable_cli=0');
        self::assertCount(3, $plain);
        self::assertCount(1, array_unique($plain));
        // Which of its parts are compiled, and when, goes by where they lie in memory: so it is tried more than once.
        foreach ([16, 48, 64, 96, 127] as $hot) {
            self::assertSame($plain, $run('"${jit[@]}" -d opcache.jit_hot_loop='.$hot), "hot from $hot");
        }
    }
}
