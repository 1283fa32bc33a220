<?php

declare(strict_types=1);

namespace Olvek\Tests\Log;

use Olvek\Account\Keeper;
use Olvek\Account\KeeperRepository;
use Olvek\Device\DeviceTokens;
use Olvek\Log\Entry;
use Olvek\Log\ReadingsController;
use Olvek\Tests\BenchTestCase;
use Olvek\Tests\FilledTank;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\TestWith;

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
        return $this->service(DeviceTokens::class)->make($this->me(), 'probe');
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
    #[TestWith(['{"luck": 7}', 'something that is read'])]
    #[TestWith(['{"heads": 7}', 'something that is read'])]
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
        $tokens->make($other, 'probe');
        $id = $tokens->of($other)[0]->id->toRfc4122();
        $valid = $this->browser->request('GET', '/account/tokens')->filter('form.sheet-form input[name="_token"]')->attr('value');
        $this->browser->request('POST', "/account/tokens/$id/remove", ['_token' => $valid]);
        self::assertResponseStatusCodeSame(404);
        $this->browser->request('POST', "/account/tokens/$id/remove", ['_token' => 'stale']);
        self::assertResponseStatusCodeSame(422);
        self::assertCount(1, $tokens->of($other));
        $this->browser->request('POST', '/account/tokens', ['_token' => $valid, 'name' => '']);
        self::assertStringContainsString('which device', $this->text('[role="alert"]'));
    }

    public function testThereAreOnlySoMany(): void
    {
        $this->fill(10);
        $tokens = $this->service(DeviceTokens::class);
        for ($n = 1; $n < DeviceTokens::MOST; ++$n) {
            $tokens->make($this->me(), "probe $n");
        }
        foreach ([200, 422] as $status) {
            $page = $this->browser->request('GET', '/account/tokens');
            $this->browser->submit($page->selectButton('Make a token')->form(['name' => 'one more']));
            self::assertResponseStatusCodeSame($status);
        }
        $token = $this->deviceToken();
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
