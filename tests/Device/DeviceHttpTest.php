<?php

declare(strict_types=1);

namespace Olvek\Tests\Device;

use Olvek\Service\Device\DeviceHttp;
use Olvek\Service\Device\DeviceTrouble;
use Olvek\Service\Device\HttpLampTimer;
use Olvek\Service\Device\HttpWaterProbe;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Symfony\Component\HttpClient\Exception\TransportException;
use Symfony\Component\HttpClient\MockHttpClient;
use Symfony\Component\HttpClient\Response\MockResponse;

/** What devices may answer that cannot be so: each is told as what it is, none is believed. */
final class DeviceHttpTest extends TestCase
{
    private const SAMPLE = ['at' => '2026-05-01T10:00:00+00:00', 'celsius' => 21.5, 'level' => 0.24, 'pH' => 7.2, 'conductivity' => 310];

    private static function wire(MockResponse|\Closure $answer): DeviceHttp
    {
        return new DeviceHttp(new MockHttpClient($answer), 'the-device', 'http://192.0.2.1');
    }

    private static function trouble(\Closure $ask): string
    {
        try {
            $ask();
        } catch (DeviceTrouble $trouble) {
            return $trouble->getMessage();
        }
        self::fail('it was believed');
    }

    /** @param array<string, mixed> $more */
    private static function line(array $more = []): string
    {
        return json_encode([...self::SAMPLE, ...$more], \JSON_THROW_ON_ERROR);
    }

    public function testALampThatSaysWhatItShouldIsHeard(): void
    {
        $state = (new HttpLampTimer(
            self::wire(new MockResponse('{"format": "olvek.lamp", "on": true, "percent": 65, "programme": "abc", "more": 1}')),
        ))->state();
        self::assertSame([true, 65, 'abc'], [$state->on, $state->percent, $state->programme]);
    }

    #[TestWith(['<h1>Hello</h1>', 'no JSON object'])]
    #[TestWith(['[1, 2]', 'no JSON object'])]
    #[TestWith(['', 'no JSON object'])]
    #[TestWith(['{"format": "olvek.lamp", "on": "yes", "percent": 65}', 'whether the lamp is on'])]
    #[TestWith(['{"format": "olvek.lamp", "on": true, "percent": 165}', 'whether the lamp is on'])]
    #[TestWith(['{"format": "kettle", "on": true, "percent": 65}', 'whether the lamp is on'])]
    #[TestWith(['{"format": "olvek.lamp", "on": true, "percent": 65, "programme": 5}', 'whether the lamp is on'])]
    public function testALampThatTalksNonsense(string $answer, string $why): void
    {
        $told = self::trouble(static fn () => (new HttpLampTimer(self::wire(new MockResponse($answer))))->state());
        self::assertStringContainsString($why, $told);
        self::assertStringContainsString('the-device', $told);
    }

    public function testTheProgrammeIsPutAsJson(): void
    {
        $sent = [];
        (new HttpLampTimer(
            self::wire(static function (string $method, string $url, array $options) use (&$sent): MockResponse {
                if ('GET' === $method) {
                    return new MockResponse('{"format": "olvek.lamp", "on": true, "percent": 65, "programme": "abc"}');
                }
                $sent = [$method, $url, $options['body']];

                return new MockResponse('', ['http_code' => 204]);
            }),
        ))->write(['format' => 'olvek.light', 'entries' => [], 'id' => 'abc']);
        self::assertSame(['PUT', 'http://192.0.2.1/programme', '{"format":"olvek.light","entries":[],"id":"abc"}'], $sent);
    }

    /** A page at that address says "fine" to anything; so does a timer that keeps another programme. */
    #[TestWith(['<h1>Fine</h1>', 'no JSON object'])]
    #[TestWith(['{"format": "olvek.lamp", "on": true, "percent": 65, "programme": "another"}', 'does not hold it'])]
    public function testAYesIsNoProof(string $state, string $why): void
    {
        $wire = self::wire(static fn (): MockResponse => new MockResponse($state));
        self::assertStringContainsString(
            $why,
            self::trouble(static fn () => (new HttpLampTimer($wire))->write(['format' => 'olvek.light', 'entries' => [], 'id' => 'abc'])),
        );
    }

    #[TestWith([500])]
    #[TestWith([404])]
    #[TestWith([302])]
    public function testARefusalIsNoAnswer(int $status): void
    {
        $wire = self::wire(new MockResponse('{}', ['http_code' => $status, 'response_headers' => ['Location' => 'http://192.0.2.9/']]));
        self::assertStringContainsString("status $status", self::trouble(static fn () => $wire->ask('GET', '/state')));
    }

    public function testNobodyThere(): void
    {
        $wire = self::wire(static fn (): MockResponse => throw new TransportException('Connection refused'));
        self::assertStringContainsString('is not responding', self::trouble(static fn () => $wire->ask('GET', '/state')));
    }

    public function testADeviceThatDoesNotStopTalkingIsLeft(): void
    {
        $endless = static function (): \Generator {
            for ($n = 0; $n < 100; ++$n) {
                yield str_repeat('la ', 1000);
            }
        };
        self::assertStringContainsString(
            'sent too much data',
            self::trouble(static fn () => self::wire(new MockResponse($endless()))->ask('GET', '/samples')),
        );
    }

    public function testSamplesComeALineEachNewestLast(): void
    {
        $samples = self::probe(self::line(['celsius' => 20])."\n".self::line()."\n")->samples(2);
        self::assertSame([20.0, 21.5], [$samples[0]->celsius, $samples[1]->celsius]);
        self::assertSame('2026-05-01', $samples[1]->at->format('Y-m-d'));
    }

    /** @param array<string, mixed> $wrong */
    #[TestWith([['celsius' => 250], 'temperature'])]
    #[TestWith([['celsius' => '21'], 'temperature'])]
    #[TestWith([['pH' => 0], 'pH'])]
    #[TestWith([['level' => -0.1], 'level'])]
    #[TestWith([['conductivity' => null], 'conductivity'])]
    #[TestWith([['at' => 'noon'], 'when it measured'])]
    #[TestWith([['at' => 5], 'when it measured'])]
    #[TestWith([['at' => '9999-12-31T12:00:00+00:00'], 'has not come yet'])]
    #[TestWith([['at' => '2026-05-01T13:01:01+00:00'], 'has not come yet'])]
    public function testSamplesThatNoWaterGives(array $wrong, string $why): void
    {
        self::assertStringContainsString(
            $why,
            self::trouble(static fn () => self::probe(self::line()."\n".self::line($wrong))->samples(2)),
        );
    }

    public function testAHalfLineIsNoSample(): void
    {
        self::assertStringContainsString(
            'no JSON object',
            self::trouble(static fn () => self::probe(substr(self::line(), 0, 30))->samples(1)),
        );
    }

    /** A probe of the first of May at noon that says this. */
    private static function probe(string $said): HttpWaterProbe
    {
        return new HttpWaterProbe(self::wire(new MockResponse($said)), new \DateTimeImmutable('2026-05-01T12:00:00+00:00'));
    }
}
