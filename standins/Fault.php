<?php

declare(strict_types=1);

namespace Olvek\Standin;

/** How a stand-in can be made to fail, so that it can be seen what Olvek does then: POST /fault {"mode": "none|slow|wrong"}. */
final readonly class Fault
{
    private const SLOW_SECONDS = 6;

    public function __construct(private string $file)
    {
    }

    /** Takes a new mode, or fails as the last one says; true where the request is answered by that. */
    public function answers(string $method, string $path): bool
    {
        if ('POST' === $method && '/fault' === $path) {
            $asked = json_decode((string) file_get_contents('php://input'), true);
            $mode = \is_array($asked) && \in_array($asked['mode'] ?? null, ['none', 'slow', 'wrong'], true) ? $asked['mode'] : 'none';
            file_put_contents($this->file, $mode, \LOCK_EX);
            http_response_code(204);

            return true;
        }
        $mode = is_file($this->file) ? (string) file_get_contents($this->file) : 'none';
        if ('slow' === $mode) {
            sleep(self::SLOW_SECONDS);
        }
        if ('wrong' === $mode) {
            header('Content-Type: text/html');
            echo '<h1>It works!</h1>';

            return true;
        }

        return false;
    }
}
