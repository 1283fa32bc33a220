<?php

declare(strict_types=1);

namespace Olvek\Tests\Device;

use Olvek\Core\Nature\Water\Measure;
use Olvek\Service\Device\DeviceKind;
use Olvek\Service\Device\Devices;
use Olvek\Tests\BenchTestCase;
use Olvek\Tests\FilledTank;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Component\HttpClient\HttpClient;
use Symfony\Component\Process\Process;

/** The lamp timer and the water probe that ship as stand-ins: heard, written to, killed in mid-use, slow, and talking nonsense. */
#[Group('any-database')]
final class DeviceTest extends BenchTestCase
{
    use FilledTank;

    /** As .env.test names them. */
    private const PORTS = ['lamp' => 8741, 'probe' => 8742];
    /** @var array<string, Process> */
    private array $running = [];

    protected function setUp(): void
    {
        parent::setUp();
        $this->fill(9);
        foreach (self::PORTS as $kind => $port) {
            @unlink(\dirname(__DIR__, 2)."/var/standins/$kind-$port.json");
            @unlink(\dirname(__DIR__, 2)."/var/standins/$kind-$port.json.fault");
            $this->plug($kind);
            self::assertTrue($this->service(Devices::class)->wire($this->stored(), DeviceKind::from($kind), "test-$kind"));
        }
    }

    protected function tearDown(): void
    {
        foreach ($this->running as $process) {
            $process->stop(0.5);
        }
        parent::tearDown();
    }

    private function plug(string $kind): void
    {
        $this->running[$kind] = new Process(['bin/standin', $kind, (string) self::PORTS[$kind]], \dirname(__DIR__, 2));
        $this->running[$kind]->start();
        $http = HttpClient::create(['timeout' => 1]);
        for ($try = 0; $try < 100; ++$try) {
            try {
                $http->request('GET', 'http://127.0.0.1:'.self::PORTS[$kind].'/nothing')->getStatusCode();

                return;
            } catch (\Throwable) {
                usleep(50_000);
            }
        }
        self::fail("the $kind does not start: ".$this->running[$kind]->getErrorOutput());
    }

    private function spoil(string $kind, string $mode): void
    {
        HttpClient::create()
            ->request('POST', 'http://127.0.0.1:'.self::PORTS[$kind].'/fault', ['json' => ['mode' => $mode]])
            ->getStatusCode();
    }

    private function ask(): string
    {
        $this->browser->request('GET', "/tanks/$this->tank/devices", server: ['HTTP_OLVEK_PARTS' => '{}']);
        self::assertResponseIsSuccessful();

        return (string) preg_replace('/\s+/u', ' ', strip_tags((string) $this->browser->getResponse()->getContent()));
    }

    private function push(string $what): void
    {
        $this->browser->request('POST', "/tanks/$this->tank/devices/$what", ['_token' => $this->token()]);
    }

    public function testTheProgrammeIsSentAndHeld(): void
    {
        self::assertStringContainsString('It holds no programme yet', $this->ask());
        $this->push('lamp');
        self::assertResponseIsSuccessful();
        self::assertStringContainsString('The timer has taken the programme', $this->text('main'));
        self::assertStringContainsString('It holds this programme', $this->ask());
        $held = HttpClient::create()
            ->request('GET', 'http://127.0.0.1:'.self::PORTS['lamp'].'/programme')
            ->toArray();
        self::assertSame([80, 85, 90, 95, 100], array_column($held['entries'], 'percent'));
        self::assertSame($this->day(-9), $held['filled']);
        $this->post('algae', ['show' => 'yes']);
        self::assertStringContainsString('It holds another programme', $this->ask(), 'what was seen has changed the lamp’s weeks');
    }

    public function testTheProbeIsHeardAndWrittenDown(): void
    {
        self::assertMatchesRegularExpression(
            '/test-probe reads \d+(\.\d)?.°C, pH \d\.\d, water 2\d(\.\d)?.cm deep, \d{3} µS/u',
            $this->ask(),
        );
        $this->push('probe');
        self::assertResponseRedirects("/tanks/$this->tank/today#log");
        $kept = array_column(array_map(static fn ($e): array => [$e->what, $e->amount], $this->entries()), 1, 0);
        self::assertEqualsWithDelta(22.0, $kept[Measure::Temperature->value], 1.0, 'the galley’s bowl stands at 22 °C');
        self::assertEqualsWithDelta(8.3, $kept[Measure::Acidity->value], 1.2);
    }

    public function testKilledInMidUseItIsSaidAndAllElseGoesOn(): void
    {
        $this->push('lamp');
        foreach ($this->running as $process) {
            $process->stop(0.5);
        }
        $told = $this->ask();
        self::assertStringContainsString('“test-lamp” is not responding', $told);
        self::assertStringContainsString('“test-probe” is not responding', $told);
        $this->push('lamp');
        self::assertResponseStatusCodeSame(502);
        self::assertStringContainsString('The programme was not sent', $this->text('main'));
        $this->push('probe');
        self::assertResponseStatusCodeSame(502);
        self::assertSame([], $this->entries());
        $this->post('test', ['test' => ['ammonia' => '0']]);
        self::assertResponseRedirects(message: 'readings are still written down');
        $this->plug('lamp');
        self::assertStringContainsString('It holds this programme', $this->ask(), 'back, and it remembers');
    }

    public function testSlowAndWrongAreTold(): void
    {
        $this->spoil('lamp', 'wrong');
        $this->spoil('probe', 'slow');
        $told = $this->ask();
        self::assertStringContainsString('“test-lamp” answers, but not what such a device should', $told);
        self::assertStringContainsString('“test-probe” is too slow', $told);
    }

    #[TestWith(['lamp', 'test-probe'])]
    #[TestWith(['lamp', 'http://127.0.0.1:80'])]
    #[TestWith(['kettle', 'test-lamp'])]
    public function testOnlyWhatTheHouseKnowsCanBeConnected(string $kind, string $device): void
    {
        $this->browser->request('POST', "/tanks/$this->tank/devices/wire", [
            '_token' => $this->token(),
            'kind' => $kind,
            'device' => $device,
        ]);
        self::assertResponseStatusCodeSame(422);
        self::assertSame('test-lamp', $this->service(Devices::class)->wired($this->stored())['lamp']['device']);
    }

    public function testADeviceIsDisconnected(): void
    {
        foreach (['lamp', 'probe'] as $kind) {
            $this->browser->request('POST', "/tanks/$this->tank/devices/wire", [
                '_token' => $this->token(),
                'kind' => $kind,
                'device' => '',
            ]);
            self::assertResponseRedirects();
        }
        self::assertStringContainsString('None is connected', $this->ask());
        $this->push('lamp');
        self::assertResponseStatusCodeSame(404);
        $this->browser->request('POST', "/tanks/$this->tank/devices/wire", [
            '_token' => 'forged',
            'kind' => 'lamp',
            'device' => 'test-lamp',
        ]);
        self::assertResponseStatusCodeSame(422);
    }
}
