<?php

declare(strict_types=1);

namespace Olvek\Tests\Estimate;

use Olvek\Core\Judgement\Standing\Standing;
use Olvek\Service\Estimate\KeptStandings;
use Olvek\Service\Estimate\Standings;
use Olvek\Service\Work\Deadline;
use Olvek\Tests\BenchTestCase;
use Olvek\Tests\FilledTank;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Component\Console\Input\StringInput;
use Symfony\Component\Console\Output\BufferedOutput;
use Symfony\Component\HttpKernel\KernelInterface;

/** A running tank is judged as it is today, and every page, feed and command says the same of it. */
final class StandingTest extends BenchTestCase
{
    use FilledTank;

    private const SHELF = '.shelf-verdict';
    private const BENCH = '.verdict-sentence';
    private const TODAY = '.verdict-line';

    private function said(string $address, string $place): string
    {
        return $this->browser->request('GET', $address)->filter($place)->first()->text();
    }

    private function estimated(): string
    {
        for ($n = 0; $n < 40; ++$n) {
            $page = $this->browser->request('GET', "/tanks/$this->tank/today/estimate", server: ['HTTP_OLVEK_PARTS' => '{}']);
            if (202 !== $this->browser->getResponse()->getStatusCode()) {
                return $page->filter(self::TODAY)->text();
            }
        }
        self::fail('the estimate was never done');
    }

    /** @return array{state: string, verdict: string} */
    private function command(): array
    {
        $this->browser->request('GET', "/tanks/$this->tank/plan.json");
        $plan = tempnam(sys_get_temp_dir(), 'plan');
        self::assertIsString($plan);
        file_put_contents($plan, $this->browser->getInternalResponse()->getContent());
        $this->browser->request('GET', "/tanks/$this->tank/weeks/log.csv");
        $log = tempnam(sys_get_temp_dir(), 'log');
        self::assertIsString($log);
        file_put_contents($log, $this->browser->getInternalResponse()->getContent());
        $kernel = self::$kernel;
        self::assertInstanceOf(KernelInterface::class, $kernel);
        $application = new Application($kernel);
        $application->setAutoExit(false);
        $output = new BufferedOutput();
        $filled = $this->day(-90);
        self::assertSame(0, $application->run(
            new StringInput("olvek:today $plan --log=$log --filled=$filled --day=90 --format=json"),
            $output,
        ));
        unlink($plan);
        unlink($log);
        /** @var array{state: string, verdict: string} $data */
        $data = json_decode($output->fetch(), true, flags: \JSON_THROW_ON_ERROR);

        return $data;
    }

    public function testAllPagesSayTheSame(): void
    {
        $planned = $this->said("/tanks/$this->tank", self::BENCH);
        self::assertSame($planned, $this->said('/', self::SHELF));
        $this->fill(90);
        $this->log([
            'kind' => 'did',
            'did' => 'stock',
            'whom' => ['stock' => 'a1'],
            'amount' => ['stock' => '10'],
            'day' => $this->day(-50),
        ]);
        $this->log(['kind' => 'read', 'test' => ['nitrate' => '5', 'ph' => '7.4'], 'day' => $this->day(-2)]);

        // At once, from the likeliest tank.
        $bench = $this->said("/tanks/$this->tank", self::BENCH);
        self::assertSame($bench, $this->said("/tanks/$this->tank/today", self::TODAY));
        self::assertNotSame($planned, $bench);
        self::assertStringNotContainsString('simulated', $bench);
        self::assertSame($bench, $this->said('/', self::SHELF));

        // And when it is known how sure that is.
        $today = $this->estimated();
        self::assertStringContainsString('simulated tanks', $today);
        self::assertSame($today, $this->said('/', self::SHELF));
        self::assertSame($today, $this->said("/tanks/$this->tank", self::BENCH));
        $this->browser->request('GET', "/tanks/$this->tank", server: ['HTTP_OLVEK_PARTS' => '{}', 'HTTP_ACCEPT' => 'application/json']);
        $parts = (string) json_encode(json_decode((string) $this->browser->getResponse()->getContent()), \JSON_UNESCAPED_UNICODE);
        self::assertStringContainsString('simulated tanks', $parts);
        $command = $this->command();
        self::assertSame($today, $command['state'].' '.$command['verdict']);
    }

    /** Who runs a tank already is not told to start it, and a plan's ensemble isn't asked how sure it is. */
    public function testARunningTankIsNotBuiltAnew(): void
    {
        self::assertCount(1, $this->browser->request('GET', "/tanks/$this->tank")->filter('.build-on'));
        $this->fill(90);
        $page = $this->browser->request('GET', "/tanks/$this->tank");
        self::assertCount(0, $page->filter('.build-on'));
        self::assertStringContainsString('The next eight weeks', $page->filter('.part-margins')->text());
        self::assertStringContainsString('As planned, from its first day', $page->filter('.part-margins')->text());
        $token = $page->filter('#edit input[name="_token"]')->attr('value');
        for ($n = 0; $n < 40; ++$n) {
            $this->browser->request('POST', "/tanks/$this->tank/sure/0", ['_token' => $token]);
            if (202 !== $this->browser->getResponse()->getStatusCode()) {
                break;
            }
        }
        self::assertSame(
            ['base' => 1, 'done' => true, 'of' => 1],
            json_decode((string) $this->browser->getResponse()->getContent(), true),
        );
        self::assertStringContainsString('simulated', $this->said('/', self::SHELF));
    }

    /** What was written and taken back leaves the tank as it was, and as sure. */
    public function testALineTakenBackLeavesItAsSure(): void
    {
        $this->fill(90);
        $this->log(['kind' => 'read', 'test' => ['nitrate' => '5'], 'day' => $this->day(-2)]);
        $sure = $this->estimated();
        $this->log(['kind' => 'read', 'test' => ['nitrate' => '40']]);
        $entry = $this->entries()[\count($this->entries()) - 1]->id;
        $token = $this->browser->request('GET', "/tanks/$this->tank/log")->filter('.log-ways input[name="_token"]')->first()->attr('value');
        $this->browser->request('POST', "/tanks/$this->tank/log/$entry/undo", ['_token' => $token]);
        self::assertNull($this->service(KeptStandings::class)->known($this->stored(), 90), 'another state of the logbook');
        self::assertStringNotContainsString('simulated', $this->said("/tanks/$this->tank", self::BENCH));
        self::assertSame($sure, $this->estimated());
        self::assertSame($sure, $this->said("/tanks/$this->tank", self::BENCH));
    }

    public function testAShelfShowsWhatIsKnownWhileTheRestIsWorkedOut(): void
    {
        $this->fill(90);
        $standings = $this->service(Standings::class);
        $tank = $this->stored();
        $keeper = $this->keeper;
        self::assertSame([[], 1], $standings->among([$tank], $keeper, new Deadline(0.0)), 'nothing is known yet');
        [$known, $waiting] = $standings->among([$tank], $keeper, new Deadline(60.0));
        self::assertSame(0, $waiting);
        self::assertInstanceOf(Standing::class, $known[$this->tank]);
        // Another line in the log: it stands as it last did until it has been worked out again.
        $this->log(['kind' => 'read', 'test' => ['nitrate' => '5']]);
        $tank = $this->stored();
        self::assertNull($this->service(KeptStandings::class)->known($tank, 90));
        [$last, $waiting] = $standings->among([$tank], $keeper, new Deadline(0.0));
        self::assertSame(1, $waiting);
        self::assertEquals($known, $last);
        // The page asks until none is left; how many one request reaches depends on the machine.
        for ($n = 0; $n < 40; ++$n) {
            $this->browser->request('GET', '/almanac/refresh', server: ['HTTP_ACCEPT' => 'application/json']);
            if (202 !== $this->browser->getResponse()->getStatusCode()) {
                break;
            }
        }
        self::assertResponseIsSuccessful();
        self::assertNotNull($this->service(KeptStandings::class)->known($this->stored(), 90));
    }

    public function testOfAPlanAndOfATankOlderThanARunNothingIsSaid(): void
    {
        $standings = $this->service(Standings::class);
        self::assertNull($standings->of($this->stored(), $this->keeper));
        self::assertNull($standings->tried($this->stored(), $this->plan(), $this->keeper));
        $this->fill(1094);
        self::assertNotNull($standings->of($this->stored(), $this->keeper));
        self::assertNotNull($standings->tried($this->stored(), $this->plan(), $this->keeper));
        $this->fill(1095);
        self::assertNull($standings->of($this->stored(), $this->keeper));
    }
}
