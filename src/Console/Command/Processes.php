<?php

declare(strict_types=1);

namespace Olvek\Console\Command;

use Symfony\Component\Process\PhpSubprocess;

/** Does pieces of work in several PHP processes at once (PieceCommand), each taking its share of the numbers. */
final readonly class Processes
{
    /** Microseconds between two looks at what has come. */
    private const REST = 20_000;

    /** @param int $count how many at once; 1 does all in this process */
    public function __construct(private string $console, private int $count = 2)
    {
    }

    /**
     * @param (\Closure(int, int): bool)|null $progress called with pieces done and of how many; false stops the rest
     *
     * @return array<int, mixed> results by number; fewer when stopped
     *
     * @throws \RuntimeException when a process dies before its work is done
     */
    public function map(Pieces $work, int $pieces, ?\Closure $progress = null): array
    {
        if ($this->count < 2) {
            return self::alone($work, $pieces, $progress);
        }
        $results = $running = $rests = [];
        for ($worker = 0; $worker < $this->count; ++$worker) {
            $running[$worker] = new PhpSubprocess([
                $this->console,
                PieceCommand::NAME,
                (string) $worker,
                (string) $this->count,
                (string) $pieces,
            ]);
            $running[$worker]->setTimeout(null);
            $running[$worker]->setInput(base64_encode(serialize($work)));
            $running[$worker]->start();
            $rests[$worker] = '';
        }
        try {
            while ([] !== $running) {
                foreach ($running as $worker => $process) {
                    // Asked before its output is read, so that nothing it wrote last is missed.
                    $ended = !$process->isRunning();
                    $lines = explode("\n", $rests[$worker].$process->getIncrementalOutput());
                    $rests[$worker] = array_pop($lines);
                    foreach ($lines as $line) {
                        [$n, $result] = self::read($line);
                        $results[$n] = $result;
                        if (null !== $progress && !$progress(\count($results), $pieces)) {
                            break 3;
                        }
                    }
                    if ($ended) {
                        if (!$process->isSuccessful()) {
                            throw new \RuntimeException('A process died before its work was done: '.trim($process->getErrorOutput()));
                        }
                        unset($running[$worker]);
                    }
                }
                usleep(self::REST);
            }
        } finally {
            array_walk($running, static fn (PhpSubprocess $p): ?int => $p->stop(0));
        }
        ksort($results);

        return $results;
    }

    /** A result as one line of text. */
    public static function write(int $n, mixed $result): string
    {
        return base64_encode(serialize([$n, $result]));
    }

    /** @return array{int, mixed} */
    private static function read(string $line): array
    {
        $told = unserialize((string) base64_decode($line, true));

        return \is_array($told) && \is_int($told[0] ?? null)
            ? [$told[0], $told[1] ?? null]
            : throw new \RuntimeException('A process said what nobody understands: '.mb_substr($line, 0, 200));
    }

    /**
     * @param (\Closure(int, int): bool)|null $progress
     *
     * @return array<int, mixed>
     */
    private static function alone(Pieces $work, int $pieces, ?\Closure $progress): array
    {
        $results = [];
        for ($n = 0; $n < $pieces; ++$n) {
            $results[$n] = $work->piece($n);
            if (null !== $progress && !$progress($n + 1, $pieces)) {
                break;
            }
        }

        return $results;
    }
}
