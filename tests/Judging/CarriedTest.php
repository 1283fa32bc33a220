<?php

declare(strict_types=1);

namespace Olvek\Tests\Judging;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Judgement\Margin\MarginState;
use Olvek\Core\Judgement\Margin\Spread;
use Olvek\Core\Judgement\Margin\Uncertainty;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Service\Judging\Outcomes;
use Olvek\Service\Judging\Verdict;
use Olvek\Service\Site\ResultCache;
use Olvek\Service\Tank\Revision;
use Olvek\Service\Tank\TankRepository;
use Olvek\Tests\BenchTestCase;

/** What was known of a plan's likelihoods stands after a change, until it is known anew. */
final class CarriedTest extends BenchTestCase
{
    /** A plan of its own, so that what is put into the cache here is found by no other test. */
    protected function demoPlan(): Plan
    {
        $json = (string) file_get_contents(\dirname(__DIR__, 2).'/demo/waiting-hall.plan.json');

        return $this->service(PlanDocument::class)->fromJson(str_replace('"Waiting hall"', '"Carried"', $json));
    }

    private function revision(int $number): Revision
    {
        return $this->service(TankRepository::class)->revision($this->stored(), $number) ?? self::fail("no revision $number");
    }

    private function verdict(int $number): Verdict
    {
        $revision = $this->revision($number);

        return $this->service(Outcomes::class)->verdict(
            $revision,
            $this->service(PlanDocument::class)->fromJson($revision->plan),
            UnitSystem::Metric,
        );
    }

    private function known(int $number, int $holds): void
    {
        $this->service(ResultCache::class)->put(
            'sureness.'.hash('xxh128', $this->revision($number)->plan),
            new Uncertainty(['harm losses' => new Spread(0.0, 0.5, $holds, 32)], $holds, 32),
        );
    }

    public function testAChangeDoesNotForgetWhatManyTanksCameTo(): void
    {
        $this->browser->request('GET', "/tanks/$this->tank");
        $this->known(1, 18);
        self::assertSame(MarginState::Fails, $this->verdict(1)->state);
        $this->send(['light.hours' => '7.5']);
        $changed = $this->verdict(2);
        self::assertSame(MarginState::Fails, $changed->state, 'as likely as before');
        self::assertFalse($changed->isSure(), 'how sure it is has not been counted yet');
        self::assertNotContains('verdict.sure', array_column($changed->verdict, 'id'));

        $this->send(['light.hours' => '7']);
        self::assertSame(MarginState::Fails, $this->verdict(3)->state, 'two changes back');
        $this->known(3, 32);
        self::assertTrue($this->verdict(3)->isSure());
        self::assertNotSame(MarginState::Fails, $this->verdict(3)->state, 'a count takes its place');
    }

    /** A drag does not make a tank look better than it is known to be. */
    public function testWhatIsOnlyTriedCarriesItToo(): void
    {
        $page = $this->browser->request('GET', "/tanks/$this->tank");
        $this->known(1, 18);
        $this->browser->request(
            'POST',
            "/tanks/$this->tank/try",
            ['_token' => $page->filter('#edit input[name="_token"]')->attr('value'), 'edits' => ['waterLine' => '33']],
            server: ['HTTP_OLVEK_PARTS' => '{}'],
        );
        self::assertResponseIsSuccessful();
        $answer = json_decode((string) $this->browser->getResponse()->getContent(), true);
        self::assertIsArray($answer);
        self::assertStringContainsString('state-fails', $answer['parts']['verdict']['html']);
    }
}
