<?php

declare(strict_types=1);

namespace Olvek\Tests\Start;

use Olvek\Core\Planning\Plan\Method;
use Olvek\Service\Account\Today;
use Olvek\Service\Log\EntryRepository;
use Olvek\Service\Tank\TankRepository;
use Olvek\Tests\BenchTestCase;

/** Every door of the start page. */
final class DoorsTest extends BenchTestCase
{
    public function testAVesselIsPickedByItsDrawing(): void
    {
        $page = $this->browser->request('GET', '/tanks/new');
        self::assertGreaterThan(20, $page->filter('.vessel svg')->count());
        $this->browser->submit($page->selectButton('Create tank')->form(), ['vessel' => 'bowl-30', 'edits[name]' => 'Round']);
        $this->browser->followRedirect();
        self::assertSame('Round', $this->text('h1'));
        self::assertSame('bowl', $this->browser->getCrawler()->filter('#f-vessel-shape option[selected]')->attr('value'));
    }

    public function testAMethodIsLaidAtOnce(): void
    {
        $page = $this->browser->request('GET', '/tanks/new');
        $form = $page->selectButton('Lay it')->form();
        $this->browser->submit($form, ['method' => Method::LeanBed->value]);
        $this->browser->followRedirect();
        self::assertStringContainsString('Lean inert bed', $this->text('#bed'));
    }

    public function testTheDoorByAMethodWithoutOneSaysSo(): void
    {
        $page = $this->browser->request('GET', '/tanks/new');
        $values = $page->selectButton('Lay it')->form()->getPhpValues();
        $this->browser->request('POST', '/tanks/new', [...$values, 'door' => 'method', 'method' => 'nope']);
        self::assertResponseStatusCodeSame(422);
        self::assertSame('Choose a method, or begin from nothing.', $this->text('#method-error'));
        self::assertCount(1, $this->service(TankRepository::class)->active($this->keeper));
    }

    public function testAWishAndARunningTankAreSentOnWithTheVessel(): void
    {
        foreach (['Plan one for me' => '/tanks/new/wish', 'Take it over' => '/tanks/new/running'] as $button => $address) {
            $page = $this->browser->request('GET', '/tanks/new');
            $this->browser->submit($page->selectButton($button)->form(), ['vessel' => 'vase-tall', 'edits[name]' => 'On']);
            self::assertResponseRedirects($address.'?vessel=vase-tall&edits%5Bname%5D=On');
        }
    }

    public function testAnotherTankIsCopiedTwinnedOrReScaped(): void
    {
        foreach (['copy' => '/tanks/', 'twin' => '/tanks/', 'rescape' => "/tanks/$this->tank/things"] as $how => $address) {
            $page = $this->browser->request('GET', '/tanks/new');
            $this->browser->submit($page->selectButton('Start from it')->form(), ['from' => $this->tank, 'how' => $how]);
            self::assertStringStartsWith($address, (string) $this->browser->getResponse()->headers->get('Location'));
        }
        $names = array_map(
            static fn ($t): string => $t->name(),
            array_values($this->service(TankRepository::class)->active($this->keeper)),
        );
        self::assertContains('Waiting hall, twin', $names);
        self::assertCount(3, $names);
        $page = $this->browser->request('GET', '/tanks/new');
        $token = (string) $page->filter('form[action="/tanks/new/from"] input[name="_token"]')->attr('value');
        $this->browser->request(
            'POST',
            '/tanks/new/from',
            ['_token' => $token, 'from' => '01890000-0000-7000-8000-000000000000', 'how' => 'copy'],
        );
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('Choose one of your tanks', $this->text('main'));
    }

    public function testNothingBeginsWithoutTheToken(): void
    {
        foreach (['/tanks/new', '/tanks/new/from', '/tanks/new/running', '/tanks/import'] as $address) {
            $this->browser->request(
                'POST',
                $address,
                ['vessel' => 'box-60', 'from' => $this->tank, 'filled' => '2026-01-01', 'plan' => '{}'],
            );
            self::assertResponseStatusCodeSame(422, $address);
        }
        self::assertCount(1, $this->service(TankRepository::class)->active($this->keeper));
    }

    public function testARunningTankBringsItsPlantsItsDayAndItsReadings(): void
    {
        $day = $this->service(Today::class)->of($this->keeper)->modify('-200 days')->format('Y-m-d');
        $page = $this->browser->request('GET', '/tanks/new/running?vessel=box-60&edits[name]=Old');
        $this->browser->submit($page->selectButton('Take it over')->form(), [
            'filled' => $day,
            'plants[0][kind]' => 'vallisneria-spiralis',
            'plants[0][count]' => '30',
            'animals[0][kind]' => 'heterandria-formosa',
            'animals[0][count]' => '8',
            'animals[0][weeks]' => '20',
            'animals[0][now]' => '23',
            'plants[0][now]' => '55',
            'reading[nitrite]' => '0',
            'unit[nitrite]' => 'NO2',
            'reading[nitrate]' => '5',
            'unit[nitrate]' => 'NO3',
            'reading[kh]' => '100',
            'unit[kh]' => 'ppmCaCO3',
            'method' => 'thin-soil',
        ]);
        self::assertResponseRedirects();
        $this->browser->followRedirect();
        $tanks = array_filter($this->service(TankRepository::class)->active($this->keeper), static fn ($t): bool => 'Old' === $t->name());
        $tank = array_values($tanks)[0];
        self::assertSame($day, $tank->filledOn()?->format('Y-m-d'));
        self::assertMatchesRegularExpression('~/today$~', $this->browser->getHistory()->current()->getUri());
        $lines = array_map(
            static fn ($e): string => "$e->what $e->amount {$e->on->format('Y-m-d')}",
            $this->service(EntryRepository::class)->newest($tank, 9),
        );
        $today = $this->service(Today::class)->of($this->keeper);
        self::assertContains('stock 8 '.$today->modify('-140 days')->format('Y-m-d'), $lines);
        self::assertContains('heads 23 '.$today->format('Y-m-d'), $lines);
        self::assertContains('pieces 55 '.$today->format('Y-m-d'), $lines);
        self::assertContains('nitrite 0 '.$today->format('Y-m-d'), $lines);
        self::assertNotEmpty(preg_grep('/^kh 5\.6/', $lines), '100 ppm of CaCO3 are 5.6 °dH');
        self::assertCount(1, array_filter($lines, static fn (string $line): bool => str_starts_with($line, 'stock')), 'they came once');
        $this->browser->request('GET', '/tanks/'.$tank->id()->toRfc4122().'/plan.json');
        $plan = json_decode((string) $this->browser->getResponse()->getContent(), true);
        self::assertIsArray($plan);
        self::assertSame([30, 8], [$plan['plants'][0]['pieces'], $plan['animals'][0]['count']]);
        self::assertGreaterThan(0, $plan['feeding']['grams']);
        // It stands and runs: nothing of its beginning is asked for any more.
        self::assertSame([], array_filter($plan['events'], static fn (array $event): bool => 'dose' === $event['kind']));
        $at = '/tanks/'.$tank->id()->toRfc4122();
        $build = $this->browser->request('GET', "$at/build")->filter('main')->text();
        self::assertStringNotContainsString('still open', $build);
        self::assertStringNotContainsString('Next', $build);
        $weeks = $this->browser->request('GET', "$at/today")->filter('main')->text();
        foreach (['ammonium chloride', 'First dose', 'before its turn', 'Next step', 'Start feeding'] as $words) {
            self::assertStringNotContainsString($words, $weeks);
        }
    }

    /** What a tank has is asked, not invented; what is left open is as usual. */
    public function testARunningTankBringsItsLightLidBedAndTechnique(): void
    {
        $take = function (array $typed): array {
            $page = $this->browser->request('GET', '/tanks/new/running?vessel=box-60');
            $this->browser->submit($page->selectButton('Take it over')->form(), ['filled' => '2026-01-05', ...$typed]);
            if (!$this->browser->getResponse()->isRedirection()) {
                return [];
            }
            $at = preg_replace('~/today$~', '/plan.json', (string) $this->browser->getResponse()->headers->get('Location'));
            $this->browser->request('GET', (string) $at);
            /** @var array<string, array<string, mixed>> $plan */
            $plan = json_decode((string) $this->browser->getResponse()->getContent(), true);

            return $plan;
        };
        $usual = $take(['edits[name]' => 'Usual']);
        $plan = $take([
            'edits[light.lumens]' => '1200 lm',
            'edits[light.hours]' => '9',
            'edits[site.aspect]' => 'north',
            'edits[site.lid]' => 'yes',
            'edits[bed.soil]' => '2 cm',
            'edits[bed.cap]' => '4 cm',
            'edits[water.kind]' => 'tap-hard',
            'edits[site.temperature]' => '24',
            'edits[equipment.heating]' => 'tank',
            'edits[equipment.device]' => 'internal-filter',
        ]);
        self::assertEquals([1200, 9], [$plan['light']['lumens'], $plan['light']['hours']]);
        self::assertSame(['north', true], [$plan['site']['aspect'], $plan['site']['lid']]);
        self::assertEquals(['tank', 24, 'internal-filter'], [
            $plan['equipment']['heating'],
            $plan['equipment']['target'],
            $plan['equipment']['device'],
        ]);
        $depths = static fn (mixed $layer): array => \is_array($layer) ? [$layer['front'], $layer['back']] : [];
        self::assertSame([[0.02, 0.02], [0.04, 0.04]], [$depths($plan['bed']['soil']), $depths($plan['bed']['cap'])]);
        self::assertGreaterThan($usual['water']['kh'], $plan['water']['kh']);

        // What cannot be stands beside its field, with all that was typed.
        self::assertSame([], $take(['edits[bed.soil]' => '3 m', 'edits[light.hours]' => '9', 'edits[name]' => 'Deep']));
        self::assertResponseStatusCodeSame(422);
        $page = $this->browser->getCrawler();
        self::assertSame('true', $page->filter('[name="edits[bed.soil]"]')->attr('aria-invalid'));
        self::assertSame('9', $page->filter('[name="edits[light.hours]"]')->attr('value'));
        self::assertCount(0, $page->filter('main > .field-error'), 'each reason once, beside its field');
    }

    public function testTwoPressesAreOneTank(): void
    {
        $page = $this->browser->request('GET', '/tanks/new/running?vessel=box-60&edits[name]=Old');
        $form = $page->selectButton('Take it over')->form(['filled' => '2026-01-05']);
        foreach ([1, 2] as $press) {
            $this->browser->submit($form);
            self::assertResponseRedirects();
        }
        self::assertCount(2, $this->service(TankRepository::class)->active($this->keeper));
        $form = $this->browser->request('GET', '/tanks/new')->filter('form[action="/tanks/import"]')->form([
            'plan' => (string) file_get_contents(\dirname(__DIR__, 2).'/demo/galley.plan.json'),
        ]);
        $there = [];
        foreach ([1, 2] as $press) {
            $this->browser->submit($form);
            $there[] = $this->browser->getResponse()->headers->get('Location');
        }
        self::assertSame($there[0], $there[1]);
        // Another form, or other contents, is another tank.
        $this->browser->submit($form, ['plan' => (string) file_get_contents(\dirname(__DIR__, 2).'/demo/terrace.plan.json')]);
        self::assertNotSame($there[0], $this->browser->getResponse()->headers->get('Location'));
        self::assertCount(4, $this->service(TankRepository::class)->active($this->keeper));
    }

    public function testTheUnitOfEveryReadingIsAsked(): void
    {
        $page = $this->browser->request('GET', '/tanks/new/running?vessel=box-60');
        $typed = ['filled' => '2026-01-05', 'reading[kh]' => '5', 'reading[ph]' => '7'];
        $this->browser->submit($page->selectButton('Take it over')->form(), $typed);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('Choose the unit', $this->text('#r-kh-error'));
        self::assertSelectorNotExists('#r-ph-error');
        self::assertCount(1, $this->service(TankRepository::class)->active($this->keeper));
    }

    public function testWhoIsInIsInNoLongerThanTheTank(): void
    {
        $day = $this->service(Today::class)->of($this->keeper)->modify('-70 days')->format('Y-m-d');
        foreach (['10' => true, '11' => false] as $weeks => $taken) {
            $page = $this->browser->request('GET', '/tanks/new/running?vessel=box-60');
            $this->browser->submit($page->selectButton('Take it over')->form(), [
                'filled' => $day,
                'animals[0][kind]' => 'heterandria-formosa',
                'animals[0][count]' => '8',
                'animals[0][weeks]' => (string) $weeks,
            ]);
            self::assertSame($taken, $this->browser->getResponse()->isRedirection());
        }
    }

    public function testARefusedReadingLeavesNoTankBehind(): void
    {
        $page = $this->browser->request('GET', '/tanks/new/running?vessel=box-60');
        $this->browser->submit($page->selectButton('Take it over')->form(), [
            'filled' => '2026-01-05',
            'reading[nitrite]' => 'some',
            'unit[nitrite]' => 'NO2',
        ]);
        self::assertResponseStatusCodeSame(422);
        self::assertSame('some', $this->browser->getCrawler()->filter('#r-nitrite')->attr('value'));
        self::assertCount(1, $this->service(TankRepository::class)->active($this->keeper));
        foreach (['2099-01-01' => 'filled', '' => 'filled'] as $day => $field) {
            $page = $this->browser->request('GET', '/tanks/new/running?vessel=box-60');
            $this->browser->submit($page->selectButton('Take it over')->form(), ['filled' => $day]);
            self::assertResponseStatusCodeSame(422);
            self::assertNotSame('', $this->text("#$field-error"));
        }
    }
}
