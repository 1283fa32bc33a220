<?php

declare(strict_types=1);

namespace Olvek\Tests\Log;

use Olvek\Page\Log\ReadingsController;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Account\KeeperRepository;
use Olvek\Service\Device\DeviceTokens;
use Olvek\Service\Log\Entry;
use Olvek\Service\Log\EntryKind;
use Olvek\Service\Log\EntryRows;
use Olvek\Tests\BenchTestCase;
use Olvek\Tests\FilledTank;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Component\Uid\Uuid;

/** Readings that devices post: by a token alone, once each, refused line by line. */
final class ReadingsTest extends BenchTestCase
{
    use FilledTank;

    private const SCHEMA = __DIR__.'/../../schema/readings.openapi.json';

    /** @return array<mixed> the answer */
    private function send_(string $body, string $token): array
    {
        $this->browser->request('POST', '/api/readings', server: ['HTTP_AUTHORIZATION' => "Bearer $token"], content: $body);
        $answer = json_decode((string) $this->browser->getResponse()->getContent(), true);
        self::assertIsArray($answer);
        self::assertTrue($this->isOf('Report', $answer) || $this->isOf('Message', $answer), 'as the OpenAPI file says');

        return $answer;
    }

    private function deviceToken(): string
    {
        return $this->service(DeviceTokens::class)->make($this->me(), 'probe') ?? self::fail('no token');
    }

    /** The keeper, as this moment's database has them. */
    private function me(): Keeper
    {
        return $this->service(KeeperRepository::class)->find($this->keeper->id()) ?? throw new \LogicException('gone');
    }

    private function isOf(string $name, mixed $data): bool
    {
        $api = json_decode((string) file_get_contents(self::SCHEMA));
        self::assertInstanceOf(\stdClass::class, $api);
        $validator = new Validator();

        return $validator->validate(json_decode(json_encode($data, \JSON_THROW_ON_ERROR)), $api->components->schemas->{$name})->isValid();
    }

    private function line(string $day, string $readings, ?string $tank = null): string
    {
        $on = $this->day((int) $day);

        return \sprintf('{"tank": "%s", "at": "%sT07:30:00+00:00", "readings": %s}', $tank ?? $this->tank, $on, $readings)."\n";
    }

    public function testReadingsAreKeptOnce(): void
    {
        $this->fill(10);
        $token = $this->deviceToken();
        $body = $this->line('-2', '{"temperature": 23.1, "ph": 7}').$this->line('-1', '{"conductivity": 310.5, "level": 0.004}');
        self::assertSame(['kept' => 4, 'known' => 0, 'refused' => []], $this->send_($body, $token));
        self::assertResponseStatusCodeSame(200);
        self::assertSame(['kept' => 0, 'known' => 4, 'refused' => []], $this->send_($body, $token));
        self::assertResponseStatusCodeSame(200);
        $entries = $this->entries();
        self::assertCount(4, $entries);
        $words = array_map(static fn (Entry $e): string => str_replace("\u{A0}", ' ', $e->words), $entries);
        sort($words);
        self::assertSame([
            'Conductivity 311 µS/cm, 07:30',
            'Temperature 23.1 °C, 07:30',
            'Water below its line 0.4 cm, 07:30',
            'pH 7, 07:30',
        ], $words);
        self::assertSame($this->day(-2), $entries[0]->on->format('Y-m-d'));
    }

    /** A line that the OpenAPI file forbids is refused, and one that it allows is not for its form. */
    #[TestWith(['{"ph": 7}', ''])]
    #[TestWith(['{"ph": 11}', ''])]
    #[TestWith(['{"ph": 11.01}', 'from 3 to 11'])]
    #[TestWith(['{"ph": "7"}', 'from 3 to 11'])]
    #[TestWith(['{"level": -0.001}', 'from 0 to 1'])]
    #[TestWith(['{"luck": 7}', 'isn’t a reading that a device can send'])]
    #[TestWith(['{"heads": 7}', 'isn’t a reading that a device can send'])]
    #[TestWith(['{}', 'holds nothing'])]
    #[TestWith(['7', 'holds nothing'])]
    public function testALineIsAsTheSchemaSays(string $readings, string $why): void
    {
        $this->fill(10);
        $line = $this->line('-1', $readings);
        self::assertSame('' === $why, $this->isOf('Line', json_decode($line)));
        $answer = $this->send_($line, $this->deviceToken());
        self::assertResponseStatusCodeSame('' === $why ? 200 : 422);
        if ('' !== $why) {
            self::assertSame(1, $answer['refused'][0]['line']);
            self::assertStringContainsString($why, $answer['refused'][0]['why']);
        }
    }

    public function testWhatIsNotTheirsOrNotThenIsRefusedLineByLine(): void
    {
        $this->fill(10);
        $other = $this->service(KeeperRepository::class)->enrol('Odd', 'Odd', 'another long word');
        $foreign = $this->newTank($other);
        $body = $this->line('-1', '{"ph": 7}', $foreign)
            .$this->line('-11', '{"ph": 7}').$this->line('1', '{"ph": 7}')."nonsense\n"
            .'{"tank": "'.$this->tank.'", "at": "yesterday", "readings": {"ph": 7}}'."\n".$this->line('-1', '{"ph": 7}');
        $answer = $this->send_($body, $this->deviceToken());
        self::assertResponseStatusCodeSame(200);
        self::assertSame(1, $answer['kept']);
        self::assertSame([1, 2, 3, 4, 5], array_column($answer['refused'], 'line'));
        self::assertStringContainsString('no such tank', $answer['refused'][0]['why']);
    }

    public function testWithoutATokenNothingIsTaken(): void
    {
        $this->fill(10);
        $token = $this->deviceToken();
        foreach (['nonsense', '', "{$token}x"] as $wrong) {
            $this->send_($this->line('-1', '{"ph": 7}'), $wrong);
            self::assertResponseStatusCodeSame(401);
            self::assertResponseHasHeader('WWW-Authenticate');
        }
        // A session is none, and a token opens nothing else.
        $this->browser->request('POST', '/api/readings', content: $this->line('-1', '{"ph": 7}'));
        self::assertResponseStatusCodeSame(401);
        $this->browser->getCookieJar()->clear();
        $this->browser->request('GET', "/tanks/$this->tank/log", server: ['HTTP_AUTHORIZATION' => "Bearer $token"]);
        self::assertResponseRedirects();
        self::assertCount(0, $this->entries());
    }

    /** RFC 3339 (2002), sections 5.6 and 5.7: fractions, either case of T and Z, offsets and clocks within their range. */
    #[TestWith(['T10:00:00.123Z', true])]
    #[TestWith(['T10:00:00.123456+00:00', true])]
    #[TestWith(['t10:00:00z', true])]
    #[TestWith(['T10:00:00-11:30', true])]
    #[TestWith(['T23:59:60Z', true])]
    #[TestWith(['T10:00:00', false])]
    #[TestWith(['T10:00Z', false])]
    #[TestWith(['T24:00:00Z', false])]
    #[TestWith(['T10:60:00Z', false])]
    #[TestWith(['T10:00:61Z', false])]
    #[TestWith(['T10:00:00+99:99', false])]
    #[TestWith(['T10:00:00+24:00', false])]
    #[TestWith(['T10:00:00.Z', false])]
    public function testAnyTimeOfTheStandardIsTakenAndNoOther(string $time, bool $taken): void
    {
        $this->fill(10);
        $line = \sprintf('{"tank": "%s", "at": "%s%s", "readings": {"ph": 7}}', $this->tank, $this->day(-3), $time);
        $this->send_($line, $this->deviceToken());
        self::assertResponseStatusCodeSame($taken ? 200 : 422);
    }

    public function testTwoReadingsInOneSecondAreTwo(): void
    {
        $this->fill(10);
        $token = $this->deviceToken();
        $line = fn (string $time): string => \sprintf(
            '{"tank": "%s", "at": "%sT%s", "readings": {"ph": 7}}',
            $this->tank,
            $this->day(-3),
            $time,
        );
        self::assertSame(2, $this->send_($line('10:00:00.1Z')."\n".$line('10:00:00.2Z'), $token)['kept']);
        self::assertSame(2, $this->send_($line('10:00:00.100Z')."\n".$line('11:00:00.2+01:00'), $token)['known'], 'the same moments');
    }

    /** A device that gives up waiting sends again while the first is still written: both are answered 200, and each is kept once. */
    public function testTheSameAtTheSameMomentIsKeptOnce(): void
    {
        $this->fill(10);
        $body = $this->line('-1', '{"ph": 7, "temperature": 23}');
        $tank = $this->stored();
        $entries = [];
        foreach (['ph', 'temperature'] as $what) {
            $id = Uuid::v5($tank->id(), $this->day(-1)."T07:30:00+00:00 $what");
            $entries[] = new Entry($tank, new \DateTimeImmutable($this->day(-1)), EntryKind::Reading, $what, 7.0, null, 'first', id: $id);
        }
        self::assertSame(2, $this->service(EntryRows::class)->add($tank, $entries));
        self::assertSame(0, $this->service(EntryRows::class)->add($tank, $entries), 'no error, and nothing twice');
        self::assertSame(['kept' => 0, 'known' => 2, 'refused' => []], $this->send_($body, $this->deviceToken()));
        self::assertResponseStatusCodeSame(200);
        self::assertSame(2, $this->stored()->logLines());
    }

    /** Beside the limits of one post: 20,000 values. It must stay within the memory of a request. */
    public function testAsManyValuesAsAPostHoldsTakeLittleMemory(): void
    {
        $this->fill(400);
        $body = '';
        for ($n = 0; $n < ReadingsController::MOST; ++$n) {
            $body .= \sprintf(
                '{"tank": "%s", "at": "%sT%02d:%02d:00Z", "readings": {"ammonia": 0, "nitrite": 0, "nitrate": 2, "phosphate": 0.1, '
                    .'"iron": 0.1, "ph": 7, "ph-dawn": 6.9, "ph-dusk": 7.2, "kh": 5, "gh": 8, "temperature": 23, '
                    .'"conductivity": 300, "level": 0, "cover": 0.3}}'."\n",
                $this->tank,
                $this->day(-2 - intdiv($n, 1440)),
                intdiv($n, 60) % 24,
                $n % 60,
            );
        }
        $token = $this->deviceToken();
        gc_collect_cycles();
        memory_reset_peak_usage();
        $before = memory_get_usage();
        self::assertSame(14 * ReadingsController::MOST, $this->send_($body, $token)['kept']);
        self::assertLessThan(64e6, memory_get_peak_usage() - $before);
        self::assertSame(14 * ReadingsController::MOST, $this->stored()->logLines());
    }

    public function testProgramsAreAnsweredInJsonWhateverGoesWrong(): void
    {
        $this->fill(10);
        $token = $this->deviceToken();
        $this->browser->request('GET', '/api/readings', server: ['HTTP_AUTHORIZATION' => "Bearer $token"]);
        self::assertResponseStatusCodeSame(405);
        self::assertResponseHeaderSame('Allow', 'POST');
        self::assertTrue($this->isOf('Message', json_decode((string) $this->browser->getResponse()->getContent(), true)));
        $this->send_(str_repeat('x', 1_000_001), $token);
        self::assertResponseStatusCodeSame(413);
        $this->browser->request('GET', '/api/nothing', server: ['HTTP_AUTHORIZATION' => "Bearer $token"]);
        self::assertResponseStatusCodeSame(404);
        self::assertJson((string) $this->browser->getResponse()->getContent());
        self::assertStringContainsString('isn’t a JSON object', $this->send_('[1, 2]', $token)['refused'][0]['why']);
    }

    /** RFC 9110, 11.1: the name of a scheme is told in any case. */
    public function testTheWordBearerIsReadInAnyCase(): void
    {
        $this->fill(10);
        $token = $this->deviceToken();
        foreach (['bearer', 'BEARER', 'Bearer'] as $word) {
            $line = $this->line('-1', '{"ph": 7}');
            $this->browser->request('POST', '/api/readings', server: ['HTTP_AUTHORIZATION' => "$word $token"], content: $line);
            self::assertResponseStatusCodeSame(200, $word);
        }
    }

    public function testTheDescriptionIsServedToAnybody(): void
    {
        $this->browser->getCookieJar()->clear();
        foreach (['/api', '/api/readings.openapi.json'] as $address) {
            $this->browser->request('GET', $address);
            self::assertResponseIsSuccessful();
            $api = json_decode((string) $this->browser->getResponse()->getContent(), true);
            self::assertIsArray($api);
            self::assertSame('http://localhost', $api['servers'][0]['url']);
            self::assertSame('postReadings', $api['paths']['/api/readings']['post']['operationId']);
            self::assertSame(
                '#/components/schemas/Line',
                $api['paths']['/api/readings']['post']['requestBody']['content']['application/x-ndjson']['schema']['$ref'],
            );
        }
    }

    public function testTokensAreShownOnceAndTakenBack(): void
    {
        $page = $this->browser->request('GET', '/account/tokens');
        $this->browser->submit($page->selectButton('Make a token')->form(['name' => 'galley probe']));
        self::assertResponseIsSuccessful();
        $token = $this->text('.token-made');
        self::assertMatchesRegularExpression('/^olvek_[0-9a-f]{48}$/', $token);
        self::assertStringContainsString('no-store', (string) $this->browser->getResponse()->headers->get('Cache-Control'));
        $page = $this->browser->request('GET', '/account/tokens');
        self::assertStringNotContainsString($token, $page->html());
        self::assertStringContainsString('never used', $page->text());
        $this->fill(10);
        $this->send_($this->line('-1', '{"ph": 7}'), $token);
        self::assertResponseStatusCodeSame(200);
        $page = $this->browser->request('GET', '/account/tokens');
        self::assertStringContainsString('last used', $page->text());
        $this->browser->submit($page->selectButton('Take it back: galley probe')->form());
        self::assertResponseRedirects('/account/tokens');
        $this->send_($this->line('-1', '{"ph": 7}'), $token);
        self::assertResponseStatusCodeSame(401);
    }

    public function testNobodyTakesBackAnothersToken(): void
    {
        $other = $this->service(KeeperRepository::class)->enrol('Odd', 'Odd', 'another long word');
        $tokens = $this->service(DeviceTokens::class);
        for ($n = 0; $n < DeviceTokens::MOST; ++$n) {
            self::assertNotNull($tokens->make($other, 'probe'));
        }
        self::assertNull($tokens->make($other, 'one too many'));
        self::assertCount(DeviceTokens::MOST, $tokens->of($other));
        $id = $tokens->of($other)[0]->id->toRfc4122();
        $valid = $this->browser->request('GET', '/account/tokens')->filter('form.sheet-form input[name="_token"]')->attr('value');
        $this->browser->request('POST', "/account/tokens/$id/remove", ['_token' => $valid]);
        self::assertResponseStatusCodeSame(404);
        $this->browser->request('POST', "/account/tokens/$id/remove", ['_token' => 'stale']);
        self::assertResponseStatusCodeSame(422);
        self::assertCount(DeviceTokens::MOST, $tokens->of($other));
        $this->browser->request('POST', '/account/tokens', ['_token' => $valid, 'name' => '']);
        self::assertStringContainsString('which device', $this->text('[role="alert"]'));
    }

    public function testThereAreOnlySoMany(): void
    {
        $this->fill(10);
        $tokens = $this->service(DeviceTokens::class);
        $token = $this->deviceToken();
        for ($n = 2; $n < DeviceTokens::MOST; ++$n) {
            $tokens->make($this->me(), "probe $n");
        }
        foreach ([200, 422] as $status) {
            $page = $this->browser->request('GET', '/account/tokens');
            $this->browser->submit($page->selectButton('Make a token')->form(['name' => 'one more']));
            self::assertResponseStatusCodeSame($status);
        }
        $this->send_(str_repeat($this->line('-1', '{"ph": 7}'), ReadingsController::MOST), $token);
        self::assertResponseStatusCodeSame(200);
        $this->send_(str_repeat($this->line('-1', '{"ph": 7}'), ReadingsController::MOST + 1), $token);
        self::assertResponseStatusCodeSame(422);
        $this->send_('', $token);
        self::assertResponseStatusCodeSame(422);
    }

    public function testTheShippedProbePostsWhatIsTaken(): void
    {
        $this->fill(9);
        $process = proc_open([\PHP_BINARY, 'standins/post.php', '--print', '--last=30'], [1 => ['pipe', 'w']], $pipes, __DIR__.'/../..', [
            'OLVEK_STANDIN_PLAN' => 'demo/galley.plan.json',
            'OLVEK_STANDIN_DAY' => '9',
            'OLVEK_TANK' => $this->tank,
        ]);
        self::assertIsResource($process);
        $lines = (string) stream_get_contents($pipes[1]);
        self::assertSame(0, proc_close($process));
        $answer = $this->send_($lines, $this->deviceToken());
        self::assertSame([120, []], [$answer['kept'], $answer['refused']]);
    }
}
