<?php

declare(strict_types=1);

namespace Olvek\Service\Device;

use Symfony\Contracts\HttpClient\Exception\ExceptionInterface;
use Symfony\Contracts\HttpClient\Exception\HttpExceptionInterface;
use Symfony\Contracts\HttpClient\HttpClientInterface;

/** Talks HTTP to one device, never for long and never for more than it should have to say. */
final readonly class DeviceHttp
{
    /** Seconds for a whole answer: a page that asks must not seem to hang. */
    public const PATIENCE = 2.0;
    /** Bytes of an answer. */
    private const MOST = 65536;

    public function __construct(private HttpClientInterface $http, public string $device, private string $address)
    {
    }

    /**
     * @param array<string, mixed>|null $body sent as JSON
     *
     * @return string what was answered
     *
     * @throws DeviceTrouble
     */
    public function ask(string $method, string $path, ?array $body = null): string
    {
        $from = microtime(true);
        try {
            $response = $this->http->request($method, $this->address.$path, [
                'timeout' => self::PATIENCE,
                'max_duration' => self::PATIENCE,
                'max_redirects' => 0,
                ...null === $body ? [] : ['json' => $body],
            ]);
            $text = '';
            foreach ($this->http->stream($response) as $chunk) {
                $text .= $chunk->getContent();
                if (\strlen($text) > self::MOST) {
                    $response->cancel();
                    throw DeviceTrouble::wrong($this->device, 'it sent too much data.');
                }
            }
        } catch (HttpExceptionInterface $refused) {
            throw DeviceTrouble::wrong($this->device, \sprintf('it refuses with status %d.', $refused->getResponse()->getStatusCode()));
        } catch (ExceptionInterface) {
            // Whatever went wrong: what took all of the patience was slow, what failed before was not there.
            throw microtime(true) - $from < 0.9 * self::PATIENCE
                ? DeviceTrouble::silent($this->device)
                : DeviceTrouble::slow($this->device, self::PATIENCE);
        }

        return $text;
    }

    /**
     * Reads one JSON object.
     *
     * @return array<string, mixed>
     *
     * @throws DeviceTrouble
     */
    public function object(string $json): array
    {
        $data = json_decode($json, true, 16);
        if (!\is_array($data) || array_is_list($data)) {
            throw DeviceTrouble::wrong($this->device, 'that is no JSON object.');
        }

        /** @var array<string, mixed> $data */
        return $data;
    }
}
