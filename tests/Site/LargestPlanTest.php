<?php

declare(strict_types=1);

namespace Olvek\Tests\Site;

use Olvek\Core\Judgement\Margin\Judge;
use Olvek\Service\Editing\TankEditor;
use Olvek\Service\Weeks\Forecasts;
use Olvek\Tests\BenchTestCase;
use Olvek\Tests\FilledTank;
use Olvek\Tests\LargestPlan;
use Olvek\Tests\ShortPatience;
use PHPUnit\Framework\Attributes\Group;

/** The largest plan that the rules allow, on every page and question: each is answered, with what is known when its time is over. */
#[Group('any-database')]
final class LargestPlanTest extends BenchTestCase
{
    use FilledTank;
    use ShortPatience;

    public function testEveryPageAndQuestionIsAnswered(): void
    {
        $keeper = $this->service(\Olvek\Service\Account\KeeperRepository::class)->named('runa') ?? self::fail();
        $this->tank = $this->service(TankEditor::class)
            ->begin($keeper, LargestPlan::of($this->demoPlan()), 'created')
            ->id()
            ->toRfc4122();
        $this->fill(30);
        foreach ([-25, -20, -15, -10, -5] as $day) {
            $this->post('test', ['test' => ['ammonia' => '0.5', 'nitrite' => '0.2', 'nitrate' => '5'], 'day' => $this->day($day)]);
            self::assertResponseRedirects();
        }
        $margins = array_map(static fn ($m): string => "helps/{$m->id->value}", Judge::judge($this->plan())->margins);
        $questions = ['food', 'plants', 'light', 'depth', 'start', 'trim', 'holiday', 'stock/danio-rerio', 'stock/neocaridina-davidi'];
        $cut = [];
        foreach (
            [
                '',
                'day?day=100',
                'build',
                'build/care.ics',
                'build/light.json',
                'today',
                'history',
                'import',
                'plan.json',
                'drawing/front.svg',
                'drawing/year.svg',
                'method/hill-bed',
                ...array_map(static fn (string $q): string => "solve/$q", $questions),
                ...$margins,
                'devices',
            ] as $page
        ) {
            $address = rtrim("/tanks/$this->tank/$page", '/');
            $this->browser->request('GET', $address, server: ['HTTP_OLVEK_PARTS' => '{}']);
            self::assertContains($this->browser->getResponse()->getStatusCode(), [200, 429], $page);
            if (str_contains((string) $this->browser->getResponse()->getContent(), 'time for an answer was over')) {
                $cut[] = $page;
            }
        }
        self::assertNotEmpty($cut, 'some of these take longer than anybody waits');
        // Asked again, the forecast goes on from where it was.
        $this->browser->request('GET', "/tanks/$this->tank/today");
        for ($n = 0; $n < Forecasts::PARTS && 0 === $this->browser->getCrawler()->filter('.forecast')->count(); ++$n) {
            $this->browser->request('GET', "/tanks/$this->tank/weeks?ahead=1");
            $this->browser->followRedirect();
        }
        self::assertSelectorExists('.forecast');
    }
}
