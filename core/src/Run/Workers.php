<?php

declare(strict_types=1);

namespace Olvek\Core\Run;

/**
 * Does numbered pieces of work on as many processes as there are cores, where the system can fork; one after another where not.
 *
 * Only for the command line: a web server's process must not be forked.
 */
final readonly class Workers
{
    /** @param int $processes how many at once; 1 does all in this process */
    public function __construct(private int $processes = 2)
    {
    }

    /**
     * @template T
     *
     * @param \Closure(int): T              $work     gives a piece's result, which must survive serialisation
     * @param (\Closure(int, int): bool)|null $progress called with pieces done and of how many; false stops the rest
     *
     * @return array<int, T> results by number; fewer when stopped
     *
     * @throws \RuntimeException when a worker dies
     */
    public function map(int $pieces, \Closure $work, ?\Closure $progress = null): array
    {
        $results = [];
        if ($this->processes < 2 || !\function_exists('pcntl_fork')) {
            for ($n = 0; $n < $pieces; ++$n) {
                $results[$n] = $work($n);
                if (null !== $progress && !$progress($n + 1, $pieces)) {
                    break;
                }
            }

            return $results;
        }
        $sockets = $children = [];
        try {
            for ($worker = 0; $worker < $this->processes; ++$worker) {
                [$sockets[$worker], $children[$worker]] = $this->start($worker, $pieces, $work);
            }
            $this->gather($sockets, $pieces, $progress, $results);
        } finally {
            foreach ($children as $child) {
                posix_kill($child, \SIGTERM);
                pcntl_waitpid($child, $status);
            }
        }
        ksort($results);

        return $results;
    }

    /**
     * @param \Closure(int): mixed $work
     *
     * @return array{resource, int} the parent's end of the wire, and the child
     */
    private function start(int $worker, int $pieces, \Closure $work): array
    {
        $pair = stream_socket_pair(\STREAM_PF_UNIX, \STREAM_SOCK_STREAM, 0);
        if (false === $pair) {
            throw new \RuntimeException('no wire to a worker could be laid');
        }
        $child = pcntl_fork();
        if (-1 === $child) {
            throw new \RuntimeException('no worker could be started');
        }
        if (0 === $child) {
            fclose($pair[0]);
            for ($n = $worker; $n < $pieces; $n += $this->processes) {
                $packet = serialize($work($n));
                fwrite($pair[1], pack('NN', $n, \strlen($packet)).$packet);
            }
            fclose($pair[1]);
            // Gone without a word: nothing of the parent's may be shut down twice.
            posix_kill(posix_getpid(), \SIGKILL);
        }
        fclose($pair[1]);

        return [$pair[0], $child];
    }

    /**
     * @param array<int, resource>            $sockets
     * @param (\Closure(int, int): bool)|null $progress
     * @param array<int, mixed>               $results
     */
    private function gather(array $sockets, int $pieces, ?\Closure $progress, array &$results): void
    {
        while ([] !== $sockets) {
            $ready = $sockets;
            $none = null;
            if (false === stream_select($ready, $none, $none, 60)) {
                throw new \RuntimeException('the workers have gone silent');
            }
            foreach ($ready as $worker => $socket) {
                $head = self::read($socket, 8);
                if (null === $head) {
                    fclose($socket);
                    unset($sockets[$worker]);
                    continue;
                }
                /** @var array{1: int, 2: int} $sizes */
                $sizes = unpack('N2', $head);
                $packet = self::read($socket, $sizes[2]) ?? throw new \RuntimeException('a worker stopped in mid-sentence');
                $results[$sizes[1]] = unserialize($packet);
                if (null !== $progress && !$progress(\count($results), $pieces)) {
                    return;
                }
            }
        }
        if (\count($results) < $pieces) {
            throw new \RuntimeException('a worker died before its work was done');
        }
    }

    /** @param resource $socket */
    private static function read($socket, int $length): ?string
    {
        $text = '';
        while (\strlen($text) < $length) {
            $more = fread($socket, max(1, $length - \strlen($text)));
            if (false === $more || ('' === $more && feof($socket))) {
                return null;
            }
            $text .= $more;
        }

        return $text;
    }
}
