<?php

declare(strict_types=1);

namespace Olvek\Tests\Bench;

use Doctrine\ORM\EntityManagerInterface;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Service\Account\KeeperRepository;
use Olvek\Service\Editing\StaleEdit;
use Olvek\Service\Editing\TankEditor;
use Olvek\Service\Tank\TankRepository;
use Olvek\Tests\BenchTestCase;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;

final class EditTest extends BenchTestCase
{
    public function testAChangeIsKeptAsARevisionAndJudged(): void
    {
        $this->send(['bed.soil.back' => '2 in']);
        self::assertResponseRedirects();
        $this->browser->followRedirect();

        self::assertSame(0.0508, $this->plan()->bed->soil?->back);
        self::assertSame(2, $this->stored()->head());
        self::assertStringContainsString('soil at the back 2.5 cm → 5.08 cm', $this->text('.last-change'));
        self::assertStringContainsString('bed health 0.14 of critical', $this->text('.last-change'));
    }

    public function testAWholeFormSentBackUnchangedMakesNoRevision(): void
    {
        $page = $this->browser->request('GET', "/tanks/$this->tank");
        $this->browser->submit($page->filter('#edit button')->form());

        self::assertResponseRedirects();
        self::assertSame(1, $this->revisions());
    }

    /** @return iterable<string, array{array<string, string>, string, string}> */
    public static function refused(): iterable
    {
        yield 'negative depth' => [['bed.soil.front' => '-2'], 'f-bed-soil-front', 'from 0 cm to 200 cm'];
        yield 'above the rim' => [['bed.cap.back' => '50 cm'], 'f-bed-cap-back', 'above the rim'];
        yield 'water under the bed' => [['waterLine' => '3 cm'], 'f-bed-cap-front', 'must stand at least'];
        yield 'not a number' => [['light.hours' => 'all day'], 'f-light-hours', '“all day” is not a number'];
        yield 'unknown soil' => [['bed.soil.material' => 'moon-dust'], 'f-bed-soil-material', 'Choose a soil'];
        yield 'no pieces' => [['plants.c1.pieces' => '0'], 'f-plants-c1-pieces', 'Pieces: from 1 to 5000'];
        yield 'nothing typed' => [['vessel.length' => ''], 'f-vessel-length', 'Type a number'];
    }

    /** What no field of the page stands for is told beside the verdict. */
    public function testAnUnknownPlantIsRefused(): void
    {
        $this->send(['plants.add' => 'plastic-palm']);

        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('Choose a plant', $this->text('.homeless'));
        self::assertSame(1, $this->revisions());
    }

    /** @param array<string, string> $edits */
    #[DataProvider('refused')]
    public function testBadInputIsToldBesideItsCauseAndNothingIsSaved(array $edits, string $field, string $words): void
    {
        $before = $this->plan();
        $this->send($edits);

        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString($words, $this->text("#$field-error"));
        self::assertSame(
            "$field-error",
            $this->browser
                ->getCrawler()
                ->filter("#$field")
                ->attr('aria-describedby'),
        );
        self::assertSelectorExists(".stage[open] #$field");
        self::assertEquals($before, $this->plan());
        self::assertSame(1, $this->revisions());
    }

    public function testOneBadEntryKeepsTheGoodOnesTypedButUnsaved(): void
    {
        $this->send(['light.hours' => '40', 'light.lumens' => '1234', 'waterLine' => 'high']);

        self::assertResponseStatusCodeSame(422);
        self::assertSame(
            ['40', '1234', 'high'],
            array_map(
                fn (string $id): ?string => $this->browser
                    ->getCrawler()
                    ->filter("#f-$id")
                    ->attr('value'),
                ['light-hours', 'light-lumens', 'waterLine'],
            ),
        );
        self::assertSame(2000.0, $this->plan()->lamp->lumens);
    }

    public function testAStaleEditIsToldAndLosesNothing(): void
    {
        $this->send(['light.hours' => '9']);
        $this->send(['light.hours' => '6', 'light.lumens' => '2000'], base: 1);

        self::assertResponseStatusCodeSame(409);
        self::assertStringContainsString('changed in another window', $this->text('.notice'));
        self::assertSame('6', $this->browser->getCrawler()->filter('#f-light-hours')->attr('value'), 'what was typed stands');
        self::assertSame(9.0, $this->plan()->lamp->hours, 'what was saved stands');
        self::assertSame('2', $this->browser->getCrawler()->filter('#edit input[name="base"]')->attr('value'), 'sending it again works');
    }

    public function testWhatWasTypedOutlivesTheSession(): void
    {
        $this->browser->getCookieJar()->clear();
        $page = $this->browser->request('GET', '/sign-in');
        $this->browser->submit($page->selectButton('Sign in')->form(), ['name' => 'Runa', 'password' => 'a long enough word']);
        // The session ends while a page stands open.
        $this->service(KeeperRepository::class)->named('Runa')?->signOutEverywhere();
        $this->service(EntityManagerInterface::class)->flush();
        $this->browser->request('POST', "/tanks/$this->tank/edit", [
            'base' => '1',
            'edits' => ['light.hours' => '6', 'no.place' => 'x', 'name' => "\xFF"],
        ]);
        self::assertResponseRedirects('/sign-in');
        $page = $this->browser->followRedirect();
        $this->browser->submit($page->selectButton('Sign in')->form(), ['name' => 'Runa', 'password' => 'a long enough word']);
        $this->browser->followRedirect();

        self::assertStringContainsString('had been signed out', $this->text('.notice'));
        self::assertSame('6', $this->browser->getCrawler()->filter('#f-light-hours')->attr('value'));
        self::assertSame(1, $this->revisions());
    }

    public function testUndoAndRedoWalkTheRevisions(): void
    {
        $this->send(['light.hours' => '9']);
        $this->send(['light.hours' => '10']);
        $this->send([], step: 'undo');
        self::assertSame(9.0, $this->plan()->lamp->hours);
        $this->send([], step: 'undo');
        $this->send([], step: 'undo');
        self::assertSame(8.0, $this->plan()->lamp->hours);
        $this->send([], step: 'redo');
        $this->send([], step: 'redo');
        $this->send([], step: 'redo');
        self::assertSame(10.0, $this->plan()->lamp->hours);
        $this->send([], step: 'undo');
        $this->send(['light.hours' => '7']);
        $this->send([], step: 'redo');
        self::assertSame(7.0, $this->plan()->lamp->hours, 'a new change starts a branch; the old one stays stored');
        self::assertSame(4, $this->revisions());
        $this->send([], base: 1, step: 'undo');
        self::assertResponseStatusCodeSame(409);
    }

    public function testOnlyChangedPartsTravel(): void
    {
        $this->send(['plants.c2.pieces' => '30'], parts: true);
        self::assertResponseIsSuccessful();
        $answer = json_decode((string) $this->browser->getResponse()->getContent(), true, flags: \JSON_THROW_ON_ERROR);
        self::assertIsArray($answer);
        self::assertSame(2, $answer['base']);
        self::assertIsArray($answer['parts']);
        $names = array_keys($answer['parts']);
        self::assertContains('stage-plants', $names);
        self::assertContains('front', $names);
        self::assertNotContains('stage-vessel', $names);
        self::assertNotContains('stage-light', $names);
    }

    /** Who takes an answer in lines has the judgement first, and all else that changed after it; whoever does not has it in one. */
    public function testTheJudgementComesFirst(): void
    {
        $this->send(['plants.c2.pieces' => '30'], parts: true);
        $whole = json_decode((string) $this->browser->getResponse()->getContent(), true, flags: \JSON_THROW_ON_ERROR);
        self::assertIsArray($whole);
        $this->send([], step: 'undo', parts: true);
        $this->send(['plants.c2.pieces' => '30'], parts: true, accept: 'application/x-ndjson');
        self::assertResponseIsSuccessful();
        self::assertResponseHeaderSame('Content-Type', 'application/x-ndjson');
        self::assertResponseHeaderSame('X-Accel-Buffering', 'no');
        $lines = array_map(
            static fn (string $line): mixed => json_decode($line, true, flags: \JSON_THROW_ON_ERROR),
            explode("\n", trim($this->browser->getInternalResponse()->getContent())),
        );
        self::assertCount(2, $lines);
        [$said, $rest] = $lines;
        self::assertSame([3, 3], [$said['base'], $rest['base']]);
        self::assertSame(['verdict', 'margins'], array_keys($said['parts']));
        self::assertNotContains('margins', array_keys($rest['parts']));
        self::assertEqualsCanonicalizing(array_keys($whole['parts']), array_keys([...$said['parts'], ...$rest['parts']]));
        self::assertSame([true, false, true], [$whole['last'], $said['last'], $rest['last']]);
        self::assertFalse($said['outOfSight']);
        self::assertTrue($rest['outOfSight']);
        self::assertSame($whole['parts']['margins'], $said['parts']['margins']);
    }

    public function testRefusedPartsCarryTheReason(): void
    {
        $this->send(['plants.c2.pieces' => 'many'], parts: true);
        self::assertResponseStatusCodeSame(422);
        $answer = (string) $this->browser->getResponse()->getContent();
        self::assertStringContainsString('is not a number', $answer);
        self::assertStringContainsString('many', $answer);
    }

    public function testScriptInANameStaysText(): void
    {
        $this->send(['name' => '<script>alert(1)</script>']);
        $this->browser->followRedirect();
        self::assertSame('<script>alert(1)</script>', $this->text('h1'));
        self::assertStringNotContainsString('<script>alert', (string) $this->browser->getResponse()->getContent());
    }

    public function testViewQuestionsAreAnsweredWithoutTouchingThePlan(): void
    {
        $this->browser->request('GET', "/tanks/$this->tank?day=60&bag=5+L");
        self::assertSame('Nitrogen ledger, day 60', $this->text('#ledger-title'));
        self::assertSame(
            ['7.1 L', '11 kg', '2 bags'],
            array_map(fn (int $n): string => $this->text(".take tr:contains('Coarse sand') td:nth-of-type($n)"), [1, 2, 3]),
        );
        foreach (['day=-5', 'day=x', 'day[]=3', 'bag=0', 'bag=lots', 'bag[]=1', 'below=x', 'below[]=1'] as $query) {
            $this->browser->request('GET', "/tanks/$this->tank?$query");
            self::assertLessThan(500, $this->browser->getResponse()->getStatusCode(), $query);
        }
        $this->browser->request('GET', "/tanks/$this->tank?bag=lots");
        self::assertStringContainsString('“lots” is not a number', $this->text('#bag-error'));
        self::assertSame(1, $this->revisions());
    }

    /** Two devices may both pass the first check; the database lets one through and the other is told. */
    public function testOfTwoEditsAtTheSameMomentOneIsTold(): void
    {
        $tank = $this->stored();
        $this->service(EntityManagerInterface::class)->getConnection()->executeStatement('UPDATE tank SET version = version + 1');
        try {
            $this->service(TankEditor::class)->edit($tank, 1, ['light.hours' => '5'], UnitSystem::Metric);
            self::fail('both edits were kept');
        } catch (StaleEdit $stale) {
            self::assertStringContainsString('changed in another window', $stale->getMessage());
        }
        $again = $this->service(TankRepository::class)->owned($tank->id(), $this->keeper);
        self::assertNotNull($again, 'the page can still be shown');
        self::assertSame(1, $again->head());
        self::assertSame(1, $this->revisions());
    }

    public function testTwistedRequestsNeverEndInFailure(): void
    {
        $page = $this->browser->request('GET', "/tanks/$this->tank");
        $token = $page->filter('#edit input[name="_token"]')->attr('value');
        $twists = [
            ['edits' => 'x'],
            ['edits' => [['x']]],
            ['edits' => ['light.hours' => ['9']]],
            ['base' => 'x', 'edits' => ['light.hours' => '9']],
            ['base' => ['1']],
            ['day' => ['1']],
            ['edits' => ['name' => "\xFF\xFE"]],
            ['edits' => ["\xFF" => '1']],
            ['edits' => ['' => '1']],
            ['edits' => ['plants' => '1']],
            ['edits' => ['bed.soil' => '1']],
            ['edits' => ['bed.soil.mix' => '1']],
            ['edits' => ['plants.c1.kind' => 'x']],
            ['edits' => ['plants.c1' => 'x']],
            ['edits' => ['version' => '7']],
            ['edits' => ['light.hours' => str_repeat('9', 100_000)]],
            ['edits' => ['bed.soil.parts.peat' => '1e308']],
            ['edits' => ['plants.c1.pieces' => '1e30']],
            ['edits' => array_fill_keys(array_map(static fn (int $n): string => "plants.c$n.pieces", range(1, 500)), '3')],
            ['_token' => ['x']],
            ['edits' => ['vessel.length' => '1/0']],
            ['edits' => ['light.hours' => "9\x01"]],
        ];
        foreach ($twists as $twist) {
            foreach (
                [[], ['HTTP_OLVEK_PARTS' => '{"head":[1]}', 'HTTP_ACCEPT' => 'application/json'], ['HTTP_OLVEK_PARTS' => 'x']] as $headers
            ) {
                $this->browser->request(
                    'POST',
                    "/tanks/$this->tank/edit",
                    [...['_token' => $token, 'base' => '1'], ...$twist],
                    server: $headers,
                );
                $status = $this->browser->getResponse()->getStatusCode();
                self::assertContains(
                    $status,
                    [200, 303, 400, 409, 422],
                    (string) json_encode($twist, \JSON_INVALID_UTF8_SUBSTITUTE | \JSON_PARTIAL_OUTPUT_ON_ERROR),
                );
                self::assertSame(1, $this->revisions(), (string) json_encode($twist, \JSON_INVALID_UTF8_SUBSTITUTE));
            }
        }
        $this->plan();
    }

    /** What keepers type for eight and a half hours, in digits of whatever script. */
    #[TestWith(['8.5'])]
    #[TestWith(['8,5'])]
    #[TestWith(['8½'])]
    #[TestWith(['08:30'])]
    #[TestWith(['٨٫٥'])]
    public function testHoursAreTakenHoweverTheyAreTyped(string $typed): void
    {
        $this->send(['light.hours' => $typed]);
        self::assertSame(8.5, $this->plan()->lamp->hours);
    }
}
