<?php

declare(strict_types=1);

namespace Olvek\Tests\Bench;

use Olvek\Core\Planning\Plan\PlanFields;
use Olvek\Page\Bench\UsualFields;
use Olvek\Tests\BenchTestCase;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Component\DomCrawler\Crawler;

/** Each stage of the rail: what is decided, what is open, what would be regretted, why it is done so, and the caution that applies. */
#[Group('any-database')]
final class StagesTest extends BenchTestCase
{
    /** @param array<string, string> $edits */
    private function after(array $edits): void
    {
        $this->send($edits);
        self::assertResponseRedirects();
        $this->browser->followRedirect();
    }

    public function testStagesStandInWorkingOrder(): void
    {
        $this->browser->request('GET', "/tanks/$this->tank");
        self::assertSame(
            ['vessel', 'bed', 'hardscape', 'light', 'equipment', 'plants', 'water', 'animals', 'start'],
            $this->browser
                ->getCrawler()
                ->filter('details.stage')
                ->extract(['id']),
        );
        foreach (['vessel', 'bed', 'hardscape', 'light', 'equipment', 'plants', 'water', 'animals', 'start'] as $stage) {
            self::assertNotSame('', $this->text("#$stage .stage-decided"), "$stage says what is decided");
            self::assertNotSame('', $this->text("#$stage .caution"), "$stage says what to mind");
        }
    }

    /** At most six fields of a stage are in sight, and forty in all of a tank with six plants; none is out of reach. */
    public function testFewFieldsAreInSight(): void
    {
        $page = $this->browser->request('GET', "/tanks/$this->tank");
        $all = $page->filter('.stage .field')->count();
        $hidden = $page->filter('.stage .exactly .field')->count();
        self::assertLessThanOrEqual(40, $all - $hidden);
        self::assertGreaterThan(60, $hidden);
        $page->filter('.stage')->each(static function (Crawler $stage): void {
            $fields = $stage->filter('.stage-body > .line .field');
            self::assertLessThanOrEqual(UsualFields::MOST, $fields->count(), (string) $stage->attr('id'));
        });
        // A plant is one line: its name, how many, and how it goes.
        self::assertCount(1, $page->filter('#plants .row')->first()->filter('.row-line .field'));
        self::assertSelectorExists('#vessel .stage-body > .line #f-vessel-height');
    }

    /** What is meant to be in sight is a field of some plan: a slip of the pen would hide it for good. */
    public function testEveryUsualFieldIsAField(): void
    {
        /** @var array<string, list<string>> $stages */
        $stages = (new \ReflectionClassConstant(UsualFields::class, 'IN_SIGHT'))->getValue();
        // Made by the page beside what the core describes.
        $own = ['name', 'vessel.shape', 'bed.soil.material', 'bed.cap.material', 'water.kind', 'topUp.kind', 'light.kind', 'feeding.food'];
        foreach (array_merge(...array_values($stages)) as $place) {
            $isField = null !== PlanFields::of()->number($place) || null !== PlanFields::of()->choice($place);
            self::assertTrue($isField || \in_array($place, $own, true), $place);
        }
    }

    public function testWhatWasRefusedUnderExactlyIsOpen(): void
    {
        $this->browser->request('GET', "/tanks/$this->tank");
        self::assertSelectorNotExists('.exactly[open]');
        $this->send(['site.bears' => 'a lot', 'plants.c1.row' => 'there']);
        self::assertResponseStatusCodeSame(422);
        self::assertSelectorExists('#exactly-vessel[open] #f-site-bears-error');
        self::assertSelectorExists('#exactly-plants-c1[open] #f-plants-c1-row-error');
        self::assertSelectorNotExists('#exactly-bed[open]');
    }

    #[TestWith(['vessel', 'site.bears', '20 kg', 'support', 'to fix'])]
    #[TestWith(['bed', 'bed.soil.back', '8', 'cap', 'to fix'])]
    #[TestWith(['bed', 'preparation.rinsed', 'no', 'rinse', ''])]
    #[TestWith(['hardscape', 'hardscape.add', 'root-wood', 'float-h2', 'to fix'])]
    #[TestWith(['light', 'light.lumens', '9000', 'bright', 'to fix'])]
    #[TestWith(['plants', 'plants.c1.planting', 'deep', 'deep-c1', 'to fix'])]
    #[TestWith(['water', 'preparation.treatment', 'stood', 'chloramine', ''])]
    #[TestWith(['animals', 'feeding.fromDay', '3', 'fed-early', 'to fix'])]
    #[TestWith(['start', 'start.way', 'undecided', 'way', ''])]
    public function testAMistakeStandsInTheStageWhereItIsMade(
        string $stage,
        string $place,
        string $typed,
        string $mistake,
        string $marked,
    ): void {
        $this->after([$place => $typed]);
        self::assertSelectorExists("#$stage [data-mistake=\"$mistake\"]");
        if ('' !== $marked) {
            self::assertStringContainsString($marked, $this->text("#$stage > summary"));
        }
    }

    /** What is offered is an edit like any other: sent as its form has it, the mistake is gone and can be undone. */
    public function testWhatIsOfferedMends(): void
    {
        $this->after(['bed.soil.back' => '8']);
        $form = $this->browser->getCrawler()->filter('#bed .to-fix form')->form();
        $this->browser->submit($form);
        $this->browser->followRedirect();
        self::assertSelectorNotExists('#bed .to-fix');
        self::assertStringContainsString('cap at the back', $this->text('.last-change'));
        $this->send([], step: 'undo');
        $this->browser->followRedirect();
        self::assertSelectorExists('#bed .to-fix');
    }

    public function testAMethodLeavesItsReasons(): void
    {
        $this->after(['method' => 'thin-soil']);
        self::assertStringContainsString('Thin soil, equal cap: little soil cannot go foul', $this->text('#bed .reasons'));
        self::assertMatchesRegularExpression('/About as much soil is laid by: [^.]*Thin soil/', $this->text('#bed .reasons'));
        self::assertStringContainsString('fishless cycle, dosing ammonia', $this->text('#start .stage-decided'));
        self::assertStringContainsString('ready when a dose is gone in a day', $this->text('#start .reasons'));
        self::assertSelectorExists('#h-events-e4-day', 'its dose stands in the year');
    }

    public function testPlantsAndAnimalsSayWhatTheyAskFor(): void
    {
        $this->after(['plants.add' => 'anubias-nana', 'animals.add' => 'oryzias-latipes']);
        self::assertStringContainsString('never buried', $this->text('#plants'));
        self::assertMatchesRegularExpression('/Half growth at \d+ µmol/', $this->text('#plants'));
        self::assertStringContainsString('From 40 L, 4 L each; 6 or more together; 4 °C to 32 °C, pH 6.5–8.2', $this->text('#animals'));
        self::assertStringContainsString('Jumps', $this->text('#animals'));
    }

    /** A choice's change is told in words that read. */
    public function testChangesOfChoicesRead(): void
    {
        $this->after(['site.lid' => 'no']);
        self::assertStringContainsString('lid: open', $this->text('.last-change'));
        $this->after(['site.sealed' => 'yes']);
        self::assertStringContainsString('permanently sealed: sealed, nothing fed', $this->text('.last-change'));
    }
}
