<?php

declare(strict_types=1);

namespace Olvek\Tests\Bench;

use Olvek\Service\Tank\TankRepository;
use Olvek\Tests\BenchTestCase;
use PHPUnit\Framework\Attributes\TestWith;

/** A tank's history: names, taking up again, variants, plans from files. */
final class HistoryTest extends BenchTestCase
{
    /** @param array<string, string> $more */
    private function press(string $step, array $more = [], ?string $token = null, ?int $base = null): void
    {
        $page = $this->browser->request('GET', "/tanks/$this->tank");
        $this->browser->request('POST', "/tanks/$this->tank/history/$step", [
            '_token' => $token ?? $page->filter('#edit input[name="_token"]')->attr('value'),
            'base' => $base ?? $page->filter('#edit input[name="base"]')->attr('value'),
            ...$more,
        ]);
    }

    public function testWhatChangedIsToldNewestFirst(): void
    {
        $this->send(['light.hours' => '9']);
        $this->send(['waterLine' => '30']);
        $this->browser->request('GET', "/tanks/$this->tank/history");
        self::assertResponseIsSuccessful();
        self::assertSame(
            ['r3', 'r2', 'r1'],
            $this->browser
                ->getCrawler()
                ->filter('.revision')
                ->extract(['id']),
        );
        self::assertStringContainsString('water line 33.5 cm → 30 cm', $this->text('#r3'));
        self::assertStringContainsString('current', $this->text('#r3'));
        self::assertSelectorNotExists('#r3 form[action$="restore"]');
    }

    public function testAnEarlierRevisionIsTakenUpAgainAsANewOne(): void
    {
        $this->send(['light.hours' => '9']);
        $this->press('1/restore');
        self::assertResponseRedirects("/tanks/$this->tank");
        self::assertSame(8.0, $this->plan()->lamp->hours);
        self::assertSame(3, $this->revisions());
        $this->send([], step: 'undo');
        self::assertSame(9.0, $this->plan()->lamp->hours, 'and can be undone');
    }

    public function testAnOutdatedPageIsTold(): void
    {
        $this->send(['light.hours' => '9']);
        $this->press('1/restore', base: 1);
        self::assertResponseStatusCodeSame(409);
        self::assertSame(9.0, $this->plan()->lamp->hours);
        self::assertSelectorExists('[role="alert"]');
    }

    public function testNamesAreKeptAndTakenAway(): void
    {
        $this->press('1/name', ['label' => ' As bought ']);
        self::assertResponseRedirects();
        $this->browser->followRedirect();
        self::assertStringContainsString('As bought', $this->text('#r1'));
        $this->press('1/name', ['label' => str_repeat('long ', 20)]);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('at most 60', $this->text('[role="alert"]'));
        self::assertStringStartsWith(
            'long long',
            (string) $this->browser->getCrawler()->filter('#label-1')->attr('value'),
            'what was typed stays',
        );
        $this->press('1/name', ['label' => '']);
        $this->browser->followRedirect();
        self::assertStringNotContainsString('As bought', $this->text('#r1'));
    }

    public function testAVariantGoesItsOwnWay(): void
    {
        $this->send(['light.hours' => '9']);
        $this->press('1/branch');
        $address = $this->browser->getResponse()->headers->get('Location');
        self::assertNotNull($address);
        $this->browser->followRedirect();
        self::assertSame('Waiting hall, variant', $this->text('h1'));
        self::assertSame(9.0, $this->plan()->lamp->hours, 'the tank itself is as it was');
        $variant = $this->stored(substr($address, (int) strrpos($address, '/') + 1));
        self::assertStringContainsString(
            'duplicated from Waiting hall, version 1',
            $this->service(TankRepository::class)->head($variant)->words,
        );
    }

    #[TestWith(['restore'])]
    #[TestWith(['name'])]
    #[TestWith(['branch'])]
    public function testNothingIsDoneWithoutTheToken(string $step): void
    {
        $this->press("1/$step", ['label' => 'x'], 'forged');
        self::assertResponseStatusCodeSame(422);
        self::assertSame(1, $this->revisions());
        $this->press("77/$step");
        self::assertResponseStatusCodeSame(404);
    }

    public function testAPlanIsBroughtInAsOneChange(): void
    {
        $plan = str_replace(
            '"Waiting hall"',
            '"From a file"',
            (string) file_get_contents(\dirname(__DIR__, 2).'/demo/waiting-hall.plan.json'),
        );
        $page = $this->browser->request('GET', "/tanks/$this->tank/import");
        $this->browser->submit($page->selectButton('Import')->form(['plan' => $plan]));
        self::assertResponseRedirects("/tanks/$this->tank");
        self::assertSame('From a file', $this->plan()->name);
        $this->send([], step: 'undo');
        self::assertSame('Waiting hall', $this->plan()->name);
    }

    public function testWhatIsNotUnderstoodIsToldLineByLine(): void
    {
        $plan = (string) file_get_contents(\dirname(__DIR__, 2).'/demo/waiting-hall.plan.json');
        $lines = explode("\n", $plan);
        $wrong = [];
        foreach ($lines as $n => $line) {
            if (str_contains($line, '"lumens"')) {
                $lines[$n] = '"lumens": "bright", "colour": 4000,';
                $wrong[] = 'Line '.($n + 1).', light.lumens:';
            } elseif (str_contains($line, '"limnophila') || 1 === preg_match('/"kind": "[a-z]+-[a-z]+",/', $line)) {
                $lines[$n] = '"kind": "kelp",';
                $wrong[] = 'Line '.($n + 1).',';
                break;
            }
        }
        $page = $this->browser->request('GET', "/tanks/$this->tank/import");
        $this->browser->submit($page->selectButton('Import')->form(['plan' => implode("\n", $lines)]));
        self::assertResponseStatusCodeSame(422);
        foreach ($wrong as $place) {
            self::assertStringContainsString($place, $this->text('#import-problems'));
        }
        self::assertStringContainsString('kelp', $this->browser->getCrawler()->filter('#plan')->text('', false), 'nothing typed is lost');
        self::assertSame(1, $this->revisions());
    }

    public function testNoJsonIsTold(): void
    {
        $page = $this->browser->request('GET', "/tanks/$this->tank/import");
        $this->browser->submit($page->selectButton('Import')->form(['plan' => '{"format": ']));
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('This is not JSON', $this->text('#import-problems'));
    }
}
