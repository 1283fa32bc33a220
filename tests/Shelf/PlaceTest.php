<?php

declare(strict_types=1);

namespace Olvek\Tests\Shelf;

use Olvek\Core\Basis\Supply\Source;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Plan\Grown;
use Olvek\Core\Planning\Plan\Inoculum;
use Olvek\Core\Planning\Plan\PlannedEvent;
use Olvek\Core\Planning\Steps\Steps;
use Olvek\Service\Build\BuildRecords;
use Olvek\Service\Editing\TankEditor;
use Olvek\Service\Log\Entry;
use Olvek\Service\Log\EntryRepository;
use Olvek\Service\Tank\TankRepository;
use Olvek\Tests\BenchTestCase;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Component\Uid\Uuid;

/** Tanks put in rooms, away, off the shelf and copied; what of one goes into another; a tank set up anew. */
final class PlaceTest extends BenchTestCase
{
    public function testATankIsPutAwayAndBack(): void
    {
        $this->press('Put away Waiting hall');
        self::assertSelectorTextContains('.notice-bar', 'Waiting hall: put away.');
        self::assertSelectorNotExists('.shelf-tank');
        self::assertSelectorTextContains('.archived', 'Waiting hall');
        $this->browser->request('GET', '/almanac');
        self::assertSelectorTextNotContains('main', 'Waiting hall', 'it asks for nothing');
        $this->browser->request('GET', "/tanks/$this->tank");
        self::assertResponseIsSuccessful();
        $this->browser->request('GET', '/');
        $this->browser->submitForm('Put back Waiting hall');
        $this->browser->followRedirect();
        self::assertSelectorTextContains('.shelf-tank h2', 'Waiting hall');
        $this->browser->submitForm('Undo');
        $this->browser->followRedirect();
        self::assertNotNull($this->stored()->archivedAt(), 'undone, it is away again');
    }

    public function testATankIsRemovedAndTheRemovalUndone(): void
    {
        $this->press('Remove Waiting hall');
        self::assertSelectorNotExists('.shelf-tank');
        self::assertNotNull($this->stored()->removedAt());
        $this->browser->submitForm('Undo');
        self::assertNull($this->stored()->removedAt());
    }

    public function testATankIsCopied(): void
    {
        $this->place('stairs');
        $this->press('Copy Waiting hall');
        self::assertSelectorTextContains('.tank-name', 'Waiting hall, variant');
        $tanks = array_values($this->service(TankRepository::class)->active($this->keeper));
        self::assertSame(['stairs', 'stairs'], array_map(static fn ($t): string => $t->room(), $tanks), 'where the other stands');
    }

    public function testTheShelfGoesByRoom(): void
    {
        $other = $this->newTank($this->keeper);
        $this->place('Stairs');
        $page = $this->browser->request('GET', '/');
        self::assertSame(['Elsewhere', 'Stairs'], $page->filter('.room-name')->each(static fn ($h): string => $h->text()));
        self::assertSame([1, 1], $page->filter('.shelf')->each(static fn ($s): int => $s->filter('.shelf-tank')->count()));
        $this->place('');
        self::assertSelectorNotExists('.room-name');
        self::assertNotSame('', $other);
    }

    #[TestWith([41])]
    #[TestWith([40])]
    public function testTheLengthOfARoomsName(int $length): void
    {
        $this->place(str_repeat('a', $length));
        self::assertSame($length > 40 ? '' : str_repeat('a', 40), $this->stored()->room());
        self::assertSame($length > 40, str_contains($this->text('main'), 'at most 40 characters'));
    }

    #[TestWith(['archive'])]
    #[TestWith(['put-back'])]
    #[TestWith(['take-off'])]
    #[TestWith(['copy'])]
    #[TestWith(['room'])]
    public function testNothingWithoutTheToken(string $what): void
    {
        $this->browser->request('POST', "/tanks/$this->tank/$what", ['_token' => 'forged', 'room' => 'x']);
        self::assertResponseStatusCodeSame(422);
        self::assertNull($this->stored()->archivedAt() ?? $this->stored()->removedAt());
        self::assertSame('', $this->stored()->room());
    }

    public function testBothPlansSayWhatWentOver(): void
    {
        $other = $this->newTank($this->keeper);
        $plan = $this->plan();
        $clump = $plan->clumps[0];
        $group = $plan->groups[0];
        $this->give([
            'to' => $other,
            'pieces' => [$clump->id => (string) intdiv($clump->pieces, 2)],
            'heads' => [$group->id => '2'],
            'things' => [$plan->pieces[0]->id],
            'bed' => '1',
            'out' => '70',
            'in' => '5',
        ]);
        self::assertResponseRedirects("/tanks/$other");
        $this->browser->followRedirect();
        self::assertSelectorTextContains('.notice-bar', 'given from Waiting hall');
        $taker = $this->service(TankEditor::class)->plan($this->service(TankRepository::class)->head($this->stored($other)));
        $got = $taker->clumps[\count($taker->clumps) - 1];
        self::assertSame([$clump->kind->id, intdiv($clump->pieces, 2), 5], [$got->kind->id, $got->pieces, $got->day]);
        self::assertSame([Source::OwnTank, Grown::Water], [$got->source, $got->grown]);
        self::assertSame(2, $taker->groups[\count($taker->groups) - 1]->count);
        self::assertSame(Source::OwnTank, $taker->pieces[\count($taker->pieces) - 1]->source);
        self::assertSame(Inoculum::SeasonedBed, $taker->inoculum);
        $given = $this->plan();
        self::assertCount(\count($plan->pieces) - 1, $given->pieces);
        $events = \array_slice($given->events, \count($plan->events));
        self::assertSame(
            [[EventKind::Trim, 70, $clump->id], [EventKind::TakeOut, 70, $group->id]],
            array_map(static fn (PlannedEvent $e): array => [$e->kind, $e->day, $e->of], $events),
        );
        $this->browser->request('GET', "/tanks/$other/history");
        self::assertSelectorTextContains('.revisions', 'from Waiting hall');
    }

    public function testWhatMovesTodayStandsInBothLogbooks(): void
    {
        $other = $this->newTank($this->keeper);
        $plan = $this->plan();
        [$clump, $group] = [$plan->clumps[0], $plan->groups[0]];
        $sent = ['to' => $other, 'done' => '1', 'pieces' => [$clump->id => '1'], 'heads' => [$group->id => '2']];
        $this->give($sent);
        self::assertResponseStatusCodeSame(422);
        self::assertSelectorTextContains('[role="alert"]', 'not filled yet');
        $book = $this->service(BuildRecords::class);
        $on = static fn (string $days): string => (new \DateTimeImmutable('now', new \DateTimeZone('UTC')))->modify($days)->format('Y-m-d');
        $book->mark($this->stored(), Steps::FILL, true, $on('-50 days'), '');
        $book->mark($this->stored($other), Steps::FILL, true, $on('-9 days'), '');
        $this->give($sent);
        self::assertResponseRedirects("/tanks/$other");
        $lines = fn (string $tank): array => array_map(
            static fn (Entry $e): string => "$e->what ".(string) $e->amount.' '.$e->words,
            array_reverse($this->service(EntryRepository::class)->newest($this->stored($tank), 9)),
        );
        $name = $group->kind->common;
        self::assertContains("take-out 2 2 × $name moved to Waiting hall", $lines($this->tank));
        self::assertContains("stock 2 2 × $name came from Waiting hall", $lines($other));
        self::assertStringContainsString('moved to Waiting hall', implode(' ', $lines($this->tank)));
        $taker = $this->service(TankEditor::class)->plan($this->service(TankRepository::class)->head($this->stored($other)));
        $came = $taker->groups[\count($taker->groups) - 1];
        self::assertSame([2, 9], [$came->count, $came->day]);
        // Both sides count them: as many less here as more there.
        $this->browser->request('GET', '/stock');
        self::assertResponseIsSuccessful();
        self::assertSelectorTextContains('table.stock', $name);
    }

    /** @param array<string, mixed> $sent */
    #[TestWith([['to' => ''], 'Choose the tank'])]
    #[TestWith([['pieces' => ['c1' => '5000']], 'Of this there are'])]
    #[TestWith([['pieces' => ['c1' => 'some']], 'Of this there are'])]
    #[TestWith([['out' => '1096'], 'number from 0 to 1095'])]
    #[TestWith([['in' => '-1'], 'number from 0 to 1095'])]
    #[TestWith([[], 'Nothing is chosen'])]
    #[TestWith([['to' => '00000000-0000-7000-8000-000000000000'], 'Choose the tank'])]
    public function testWhatCannotGoOver(array $sent, string $why): void
    {
        $other = $this->newTank($this->keeper);
        $before = $this->revisions();
        $this->give(['to' => $other, 'out' => '60', 'in' => '0', ...$sent]);
        self::assertResponseStatusCodeSame(422);
        self::assertSelectorTextContains('[role="alert"]', $why);
        self::assertSame($before, $this->revisions(), 'nothing is saved by halves');
    }

    public function testAReScapeKeepsWhatIsTicked(): void
    {
        $plan = $this->plan();
        $page = $this->browser->request('GET', "/tanks/$this->tank/things");
        $this->browser->request('POST', "/tanks/$this->tank/things/rescape", [
            '_token' => $page->filter('#rescape [name=_token]')->attr('value'),
            'kept' => [$plan->clumps[1]->id, $plan->groups[0]->id],
            'bed' => '1',
            'water' => '1',
            'back' => '3',
        ]);
        self::assertResponseRedirects();
        $next = basename((string) $this->browser->getResponse()->headers->get('Location'));
        self::assertNotSame($this->tank, $next);
        $new = $this->service(TankEditor::class)->plan($this->service(TankRepository::class)->head($this->stored($next)));
        self::assertSame([$plan->clumps[1]->kind->id], array_map(static fn ($c): string => $c->kind->id, $new->clumps));
        self::assertSame([3], array_map(static fn ($g): int => $g->day, $new->groups));
        self::assertSame([], $new->pieces);
        self::assertSame([], $new->events);
        self::assertSame(Inoculum::SeasonedBed, $new->inoculum);
        self::assertEquals($plan->vessel, $new->vessel);
        self::assertEquals($plan->bed, $new->bed);
        $this->browser->request('GET', "/tanks/$next/history");
        self::assertSelectorTextContains('.history', 'A re-scape of Waiting hall');
        $this->browser->request('GET', "/tanks/$this->tank/history");
        self::assertSelectorTextContains('.history', 'Set up anew as');
        self::assertEquals(Uuid::fromString($this->tank), $this->stored($next)->follows());
        $this->browser->request('POST', "/tanks/$this->tank/things/rescape", ['_token' => 'forged']);
        self::assertResponseStatusCodeSame(422);
    }

    private function press(string $button): void
    {
        $this->browser->request('GET', '/');
        $this->browser->submitForm($button);
        $this->browser->followRedirect();
    }

    private function place(string $room): void
    {
        $page = $this->browser->request('GET', '/');
        $form = $page->filter("form[action='/tanks/$this->tank/room']");
        $this->browser->request('POST', "/tanks/$this->tank/room", [
            '_token' => $form->filter('[name=_token]')->attr('value'),
            'room' => $room,
        ]);
        $this->browser->followRedirect();
    }

    /** @param array<string, mixed> $sent */
    private function give(array $sent): void
    {
        $page = $this->browser->request('GET', "/tanks/$this->tank/things");
        // As the form sends it: with the state of both tanks that it was made from.
        $heads = $page->filter('#give [name^=base]');
        $hidden = array_map(static fn (array $pair): string => "$pair[0]=$pair[1]", $heads->extract(['name', 'value']));
        parse_str(implode('&', $hidden), $bases);
        $this->browser->request('POST', "/tanks/$this->tank/things/give", [
            '_token' => $page->filter('#give [name=_token]')->attr('value'),
            '_change' => $page->filter('#give [name=_change]')->attr('value'),
            ...$bases,
            ...$sent,
        ]);
    }

    /** The same press twice, and two windows, each gave eight of ten. */
    public function testNothingIsGivenTwice(): void
    {
        $other = $this->newTank($this->keeper);
        $sent = ['to' => $other, 'heads' => ['a2' => '8'], 'out' => '60', 'in' => '0'];
        $page = $this->browser->request('GET', "/tanks/$this->tank/things");
        $form = $page->selectButton('Give')->form();
        $values = [...$form->getPhpValues(), ...$sent];
        foreach ([1, 2] as $press) {
            $this->browser->request('POST', "/tanks/$this->tank/things/give", $values);
            self::assertResponseRedirects(message: "press $press");
        }
        self::assertSame([10, 8], [$this->plan()->groups[1]->count, $this->givenTo($other)]);
        // Another window, opened before.
        $this->browser->request('POST', "/tanks/$this->tank/things/give", [...$values, '_change' => Uuid::v4()->toRfc4122()]);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('changed in another window', $this->text('main [role=alert]'));
        // And what is planned to go out cannot go out again.
        $this->give([...$sent, 'heads' => ['a2' => '3']]);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('Of this there are 2', $this->text('main [role=alert]'));
        $this->give([...$sent, 'heads' => ['a2' => '2']]);
        self::assertResponseRedirects();
        self::assertSame(10, $this->givenTo($other));
    }

    private function givenTo(string $tank): int
    {
        $plan = $this->service(TankEditor::class)->plan($this->service(TankRepository::class)->head($this->stored($tank)));

        return array_sum(array_map(static fn ($group): int => $group->count, \array_slice($plan->groups, \count($this->plan()->groups))));
    }
}
