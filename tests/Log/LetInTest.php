<?php

declare(strict_types=1);

namespace Olvek\Tests\Log;

use Olvek\Core\Planning\Event\EventKind;
use Olvek\Service\Log\Entry;
use Olvek\Tests\BenchTestCase;
use Olvek\Tests\FilledTank;

/** Animals that come: asked about where the last test found what kills them, and written down wherever it is said. */
final class LetInTest extends BenchTestCase
{
    use FilledTank;

    /** @param array<string, string> $sent */
    private function step(string $step, string $state, array $sent = []): void
    {
        $token = $this->browser->request('GET', "/tanks/$this->tank/build")->filter('main input[name="_token"]')->attr('value');
        $sent = ['_token' => $token, 'state' => $state, 'day' => '', ...$sent];
        $this->browser->request('POST', "/tanks/$this->tank/build/steps/$step", $sent);
    }

    /** @return list<string> */
    private function came(): array
    {
        return array_values(array_map(
            static fn (Entry $e): string => "$e->of ".(int) $e->amount.' '.$e->on->format('Y-m-d'),
            array_filter($this->entries(), static fn (Entry $e): bool => EventKind::Stock->value === $e->what),
        ));
    }

    public function testWhoIsLetInOnTheBuildSheetStandsInTheLogbook(): void
    {
        $this->fill(40);
        $group = $this->plan()->groups[0];
        $this->step("arrive-$group->id", 'done');
        self::assertResponseRedirects();
        self::assertSame(["$group->id $group->count ".$this->day(0)], $this->came());
        $this->step("arrive-$group->id", 'undo');
        self::assertSame([], $this->came(), 'taken back with the tick');
        $this->step("arrive-$group->id", 'skipped');
        self::assertSame([], $this->came());
    }

    public function testWhoIsInTheLogbookAlreadyComesOnce(): void
    {
        $this->fill(40);
        $group = $this->plan()->groups[0];
        $this->post('done', ['kind' => 'stock', 'of' => $group->id, 'amount' => '3', 'day' => $this->day(-5)]);
        $this->step("arrive-$group->id", 'done');
        self::assertSame(["$group->id 3 ".$this->day(-5)], $this->came());
    }

    public function testPoisonedWaterIsAskedAboutFirst(): void
    {
        $this->fill(40);
        $group = $this->plan()->groups[0];
        $this->post('test', ['test' => ['nitrite' => '1.6', 'ammonia' => '0']]);
        $this->step("arrive-$group->id", 'done', ['note' => 'typed']);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('read nitrite 1.6 mg/L', $this->text("#error-step-arrive-$group->id"));
        self::assertSame([], $this->came());
        self::assertSelectorExists('input[name="anyway"]');
        $this->step("arrive-$group->id", 'done', ['anyway' => '1']);
        self::assertCount(1, $this->came());
    }

    public function testTheLogAsksTooAndANewTestEndsIt(): void
    {
        $this->fill(40);
        $group = $this->plan()->groups[0];
        $this->post('test', ['test' => ['ammonia' => '0.5'], 'day' => $this->day(-1)]);
        $sent = ['kind' => 'did', 'what' => 'stock', 'of' => $group->id, 'amount' => '3'];
        $this->log($sent);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('Animals can die in that', (string) $this->browser->getResponse()->getContent());
        self::assertSame([], $this->came());
        $this->post('test', ['test' => ['ammonia' => '0', 'nitrite' => '0']]);
        $this->log($sent);
        self::assertResponseIsSuccessful();
        self::assertCount(1, $this->came());
    }

    public function testAnimalsAreGivenIntoPoisonedWaterOnlyWhenAskedForTwice(): void
    {
        $other = $this->newTank($this->keeper);
        $from = $this->tank;
        $this->fill(40);
        $this->tank = $other;
        $this->fill(9);
        $this->post('test', ['test' => ['nitrite' => '1.6']]);
        $this->tank = $from;
        $give = fn (array $more) => $this->browser->submit(
            $this->browser->request('GET', "/tanks/$from/things")->selectButton('Give')->form(),
            ['to' => $other, 'heads[a2]' => '6', 'done' => '1', ...$more],
        );
        $page = $give([]);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('Animals can die in that', $page->filter('main [role=alert]')->text());
        $form = $page->selectButton('Give')->form();
        $this->browser->submit($form, ['anyway' => '1']);
        self::assertResponseRedirects();
    }
}
