<?php

declare(strict_types=1);

namespace Olvek\Tests\Command;

use Olvek\Core\Judgement\Margin\MarginId;
use Olvek\Core\Planning\Plan\Method;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** The commands as a shell runs them: output, reasons on standard error, exit codes. */
#[Group('any-database')]
final class CommandsTest extends TestCase
{
    private const ROOT = __DIR__.'/../..';

    /** @return array{int, string, string} */
    private static function run_(string $arguments, string $input = ''): array
    {
        $process = proc_open(
            // Compiled, since most of them run many tanks.
            [
                'bash', '-c',
                '. bin/jit; exec '.\PHP_BINARY.' "${jit[@]}" -d opcache.preload=bin/preload.php -d opcache.preload_user="$(id -un)" '.
                'bin/console --env=test '.$arguments,
            ],
            [['pipe', 'r'], ['pipe', 'w'], ['pipe', 'w']],
            $pipes,
            self::ROOT,
        );
        self::assertIsResource($process);
        fwrite($pipes[0], $input);
        fclose($pipes[0]);
        $out = (string) stream_get_contents($pipes[1]);
        $err = (string) stream_get_contents($pipes[2]);

        return [proc_close($process), $out, $err];
    }

    /** A slip is answered in one plain line and ends with 2; it is no event of the server's. */
    #[TestWith(['olvek:judge'])]
    #[TestWith(['olvek:judge demo/galley.plan.json --formt=x'])]
    #[TestWith(['olvek:solve demo/galley.plan.json --for=stock'])]
    #[TestWith(['olvek:solve demo/galley.plan.json --for=luck'])]
    #[TestWith(['olvek:judge demo/galley.plan.json --format=xml'])]
    #[TestWith(['olvek:nothing'])]
    #[TestWith(['olvek:convert 29 usgal'])]
    public function testASlipIsOneLine(string $call): void
    {
        [$code, $out, $err] = self::run_($call);
        self::assertSame([2, ''], [$code, $out]);
        self::assertMatchesRegularExpression('/^[^\n]{10,200}\.\n$/D', $err);
        self::assertStringNotContainsString('CRITICAL', $err);
    }

    public function testJudgesAPlanForPeople(): void
    {
        [$code, $out, $err] = self::run_('olvek:judge demo/waiting-hall.plan.json');
        self::assertSame([0, ''], [$code, $err]);
        self::assertStringContainsString('the animals run short of oxygen at night', $out);
        self::assertStringContainsString('Stock balance', $out);
    }

    public function testRehearsesMishaps(): void
    {
        [$code, $out, $err] = self::run_('olvek:stress demo/waiting-hall.plan.json --format=json');
        self::assertSame([0, ''], [$code, $err]);
        $mishaps = json_decode($out, true, flags: \JSON_THROW_ON_ERROR);
        self::assertIsArray($mishaps);
        $byId = array_column($mishaps['mishaps'], null, 'id');
        self::assertSame(['warmer' => 6.0, 'days' => 5], $byId['heat-wave']['name']['values']);
        self::assertSame("Heat wave: 6\u{A0}°C warmer for 5 days", $byId['heat-wave']['name']['text']);
        [$code, $out] = self::run_('olvek:stress demo/waiting-hall.plan.json');
        self::assertSame(0, $code);
        self::assertStringContainsString('Two weeks away.', $out);
    }

    public function testComposesThreePlansForAWish(): void
    {
        $wish = '{"format": "olvek.wish", "version": 1, "vessel": {"shape": "glass-box", "length": 0.3, "width": 0.3, "height": 0.3, '
            .'"glass": 0.005}, '
            .'"animals": [{"kind": "carassius-auratus"}]}';
        [$code, $out, $err] = self::run_('olvek:compose - --format=json', $wish);
        self::assertSame([0, ''], [$code, $err]);
        $plans = json_decode($out, true, flags: \JSON_THROW_ON_ERROR);
        self::assertIsArray($plans);
        self::assertCount(3, $plans['plans']);
        foreach ($plans['plans'] as $plan) {
            self::assertTrue($plan['holds']);
            [$unmet] = $plan['unmet'];
            self::assertSame(['carassius-auratus', 'needed.vessel'], [$unmet['kind'], $unmet['needed']['id']]);
            self::assertEquals(300, $unmet['needed']['values']['volume']);
            self::assertSame("a tank of 300\u{A0}L", $unmet['needed']['text']);
            self::assertSame(32, $plan['sureness']['of']);
            [$judged, $again] = self::run_(
                'olvek:judge - --format=json',
                json_encode($plan['plan'], \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION),
            );
            self::assertSame(0, $judged);
            self::assertStringContainsString('"state": "'.$plan['state'].'"', $again);
        }
        [$code, , $err] = self::run_('olvek:compose -', '{"format": "olvek.wish", "version": 1, "vessel": {}}');
        self::assertSame(1, $code);
        self::assertStringContainsString('vessel.shape: This is missing', $err);
        self::assertSame(2, self::run_('olvek:compose - --units=ells', $wish)[0]);
    }

    private const LOG = "after_filling,kind,what,amount,of\n12,deed,stock,10,a2\n20,reading,nitrate,2,\n20,reading,kh,5,\n";

    public function testEstimatesATankFromItsLogbook(): void
    {
        [$code, $out, $err] = self::run_('olvek:today demo/waiting-hall.plan.json --log=-', self::LOG);
        self::assertSame([0, ''], [$code, $err]);
        self::assertStringContainsString('Day 20, from 2 readings', $out);
        self::assertMatchesRegularExpression('/^Nitrate +[\d.]+\s?mg\/L as NO₃/mu', $out);
        [$code, $out] = self::run_('olvek:today demo/waiting-hall.plan.json --log=- --day=21 --format=json', self::LOG);
        $today = json_decode($out, true, flags: \JSON_THROW_ON_ERROR);
        self::assertIsArray($today);
        self::assertSame([21, 2, 48], [$today['day'], $today['readings'], $today['tanks']]);
        self::assertLessThan($today['quantities']['nitrate']['p90'], $today['quantities']['nitrate']['p10']);
        [$code, , $err] = self::run_('olvek:today demo/waiting-hall.plan.json --log=-', "day,kind,what,amount\n2026-05-24,reading,kh,6\n");
        self::assertSame(1, $code);
        self::assertStringContainsString('line 2: This line has a date alone', $err);
    }

    public function testTriesSomethingOnATankAsItIs(): void
    {
        $ask = static fn (string $if): array => self::run_("olvek:ask demo/waiting-hall.plan.json --log=- --day=20 $if", self::LOG);
        [$code, $out, $err] = $ask('--if=events.add.light="21 9"');
        self::assertSame('', $err);
        self::assertContains($code, [0, 3]);
        self::assertStringContainsString('of 48', $out);
        [$code, $out] = $ask('--if=events.add.stock="21 a2 900" --if=events.add.feed="21 3" --format=json');
        $asked = json_decode($out, true, flags: \JSON_THROW_ON_ERROR);
        self::assertIsArray($asked);
        self::assertSame([3, 'better-not', 10], [$code, $asked['verdict'], \count($asked['outcomes'])]);
        [$code, , $err] = $ask('--if=light.hours=9');
        self::assertSame(1, $code);
        self::assertStringContainsString('events.add.KIND', $err);
    }

    public function testTellsWhatEachMethodWouldComeTo(): void
    {
        [$code, $out] = self::run_('olvek:methods demo/galley.plan.json');
        self::assertSame(0, $code);
        self::assertStringContainsString('Humus bed, double cap: ', $out);
        self::assertStringContainsString('Soil: from ', $out);
        [, $json] = self::run_('olvek:methods demo/galley.plan.json --format=json');
        $told = json_decode($json, true, flags: \JSON_THROW_ON_ERROR);
        self::assertIsArray($told);
        self::assertSameSize(Method::cases(), $told['methods']);
        self::assertSame(1, self::run_('olvek:methods nowhere.json')[0]);
    }

    public function testJudgesAPlanForMachines(): void
    {
        [$code, $out] = self::run_(
            'olvek:judge - --format=json --day=60 --band=8 --helps',
            (string) file_get_contents(self::ROOT.'/demo/waiting-hall.plan.json'),
        );
        $data = json_decode($out, true, flags: \JSON_THROW_ON_ERROR);
        self::assertSame(0, $code);
        self::assertIsArray($data);
        self::assertSame('tight', $data['state']);
        self::assertSame(60, $data['ledger']['day'] ?? null);
        self::assertCount(\count(MarginId::cases()), $data['margins']);
        $margins = array_column($data['margins'], null, 'id');
        self::assertSame(8, $margins['oxygen']['spread']['of']);
        self::assertLessThanOrEqual($margins['oxygen']['spread']['p90'], $margins['oxygen']['spread']['p10']);
        foreach ($margins as $margin) {
            self::assertTrue('holds' === $margin['state'] ? [] === $margin['helps'] : \count($margin['helps']) <= 3);
        }
        self::assertNotSame([], $margins['oxygen']['helps']);
    }

    public function testABadPlanEndsWithOneAndItsReasons(): void
    {
        [$code, $out, $err] = self::run_('olvek:judge -', '{"format": "olvek.plan", "version": 1}');
        self::assertSame([1, ''], [$code, $out]);
        self::assertStringContainsString('vessel: This is missing', $err);
        foreach (
            [
                'olvek:judge no-such.json',
                'olvek:solve no-such.json --for=light',
                'olvek:run no-such.json',
                'olvek:run demo/galley.plan.json --events=no-such.json',
            ] as $call
        ) {
            self::assertSame([1, '', "no-such.json cannot be read.\n"], self::run_($call), $call);
        }
    }

    public function testRunsAPlan(): void
    {
        $events = tempnam(sys_get_temp_dir(), 'olvek');
        file_put_contents($events, '{"events": [{"do": "dose", "day": 5, "milligramsPerLitre": 2}]}');
        [$code, $out] = self::run_("olvek:run demo/galley.plan.json --days=20 --events=$events");
        $rows = array_map(static fn (string $line): array => str_getcsv($line, ',', '"', ''), explode("\n", trim($out)));
        self::assertSame(0, $code);
        self::assertCount(21, $rows);
        self::assertSame('day', $rows[0][0]);
        $ammonia = (int) array_search('ammonia', $rows[0], true);
        self::assertGreaterThan(1.9, (float) $rows[6][$ammonia]);
        file_put_contents($events, '{"events": [{"do": "dance", "day": 5}]}');
        [$code, $out, $err] = self::run_("olvek:run demo/galley.plan.json --events=$events");
        unlink($events);
        self::assertSame([1, ''], [$code, $out]);
        self::assertStringContainsString('events.0.do', $err);
        [$code, $out] = self::run_('olvek:run demo/galley.plan.json --days=3 --format=json');
        $data = json_decode($out, true, flags: \JSON_THROW_ON_ERROR);
        self::assertSame(0, $code);
        self::assertIsArray($data);
        self::assertSame(['units', 'columns', 'clumps', 'mass', 'leafNitrogen'], array_keys($data));
    }

    public function testRunsByTheHourAndWithABand(): void
    {
        [$code, $out] = self::run_('olvek:run demo/galley.plan.json --days=2 --every=hour');
        $rows = explode("\n", trim($out));
        self::assertSame([0, 49, 'day,hour,ammonia,nitrite,nitrate,oxygen,pH,carbonDioxide'], [$code, \count($rows), $rows[0]]);
        [$code, $out] = self::run_('olvek:run demo/galley.plan.json --days=5 --band=6');
        $rows = array_map(static fn (string $line): array => explode(',', $line), explode("\n", trim($out)));
        self::assertSame([0, 6], [$code, \count($rows)]);
        $low = (int) array_search('nitrate.10', $rows[0], true);
        self::assertSame('nitrate.90', $rows[0][$low + 1]);
        self::assertLessThan((float) $rows[5][$low + 1], (float) $rows[5][$low]);
        self::assertSame($out, self::run_('olvek:run demo/galley.plan.json --days=5 --band=6')[1], 'the seed is fixed');
    }

    #[TestWith(['stock --kind=neocaridina-davidi', 'animals.'])]
    #[TestWith(['light', 'light.hours'])]
    #[TestWith(['depth', 'bed.soil.front'])]
    #[TestWith(['start', 'animals.a2.day'])]
    public function testSolvesWithEditsThatTakeTheAnswer(string $question, string $edit): void
    {
        [$code, $out] = self::run_("olvek:solve demo/waiting-hall.plan.json --format=json --for=$question");
        $data = json_decode($out, true, flags: \JSON_THROW_ON_ERROR);
        self::assertSame(0, $code);
        self::assertIsArray($data);
        self::assertTrue($data['found']);
        self::assertNotSame(
            [],
            array_filter(array_keys($data['edits']), static fn (int|string $place): bool => str_starts_with((string) $place, $edit)),
        );
    }

    public function testSaysWhyThereIsNoAnswer(): void
    {
        [$code, $out] = self::run_('olvek:solve demo/terrace.plan.json --for=light');
        self::assertSame(3, $code);
        self::assertStringStartsWith('The plan has no lamp yet.', $out);
    }

    #[TestWith(['olvek:run demo/galley.plan.json --every=minute'])]
    #[TestWith(['olvek:run demo/galley.plan.json --every=hour --band=4'])]
    #[TestWith(['olvek:run demo/galley.plan.json --band=9000'])]
    #[TestWith(['olvek:solve demo/galley.plan.json'])]
    #[TestWith(['olvek:solve demo/galley.plan.json --for=happiness'])]
    #[TestWith(['olvek:solve demo/galley.plan.json --for=stock'])]
    #[TestWith(['olvek:solve demo/galley.plan.json --for=stock --kind=whale'])]
    #[TestWith(['olvek:run demo/galley.plan.json --days=0'])]
    #[TestWith(['olvek:run demo/galley.plan.json --format=xml'])]
    #[TestWith(['olvek:judge'])]
    #[TestWith(['olvek:judge demo/galley.plan.json --format=xml'])]
    #[TestWith(['olvek:judge demo/galley.plan.json --day=soon'])]
    #[TestWith(['olvek:chem wine'])]
    #[TestWith(['olvek:chem ammonia'])]
    #[TestWith(['olvek:chem ammonia --ph=acid'])]
    #[TestWith(['olvek:chem carbonate --kh=6'])]
    #[TestWith(['olvek:convert 3 l cm'])]
    #[TestWith(['olvek:convert three l ml'])]
    #[TestWith(['olvek:convert 3 NO3 P'])]
    #[TestWith(['olvek:convert 3 firkin l'])]
    #[TestWith(['olvek:convert 3 l'])]
    public function testAWrongCallEndsWithTwo(string $arguments): void
    {
        [$code, $out, $err] = self::run_($arguments);
        self::assertSame([2, ''], [$code, $out]);
        self::assertNotSame('', $err);
    }

    /** Numbers from the published tables that core/tests/Reference holds. */
    #[TestWith(['olvek:convert 29 usgal l', '109.776941736', 109.776941736])]
    #[TestWith(['olvek:convert 30 NO3 N', 'N', 6.777])]
    #[TestWith(['olvek:chem ammonia --ph=8 --temp=25', 'unionisedShare', 0.0538])]
    #[TestWith(['olvek:chem oxygen --temp=20', 'saturation', 9.09])]
    #[TestWith(['olvek:chem carbonate --kh=0 --co2=0.477 --temp=25', 'pH', 5.65])]
    public function testSumsAgreeWithTheTables(string $arguments, string $name, float $expected): void
    {
        [$code, $out] = self::run_($arguments.' --format=json');
        self::assertSame(0, $code);
        $data = json_decode($out, true, flags: \JSON_THROW_ON_ERROR);
        self::assertIsArray($data);
        $value = $data['value'] ?? ($data[$name]['value'] ?? null);
        self::assertIsFloat($value);
        self::assertEqualsWithDelta($expected, $value, 0.005 * $expected);
        self::assertStringContainsString('N' === $name || is_numeric($name) ? '' : $name, self::run_($arguments)[1]);
    }

    public function testReadsATank(): void
    {
        $log = tempnam(sys_get_temp_dir(), 'olvek');
        file_put_contents($log, "after_filling,kind,what,amount,of\n14,reading,nitrate,0,\n14,reading,iron,0,\n");
        [$code, $out, $err] = self::run_("olvek:read demo/waiting-hall.plan.json --log=$log --day=16 --sign=pale-tips:c2");
        self::assertSame([0, ''], [$code, $err]);
        self::assertStringStartsWith('Most likely: The water is lean', $out);
        self::assertStringContainsString('Nitrate read 0', $out);
        [$code, $out] = self::run_("olvek:read demo/waiting-hall.plan.json --log=$log --day=16 --sign=pale-tips:c2 --format=json");
        $read = json_decode($out, true, flags: \JSON_THROW_ON_ERROR);
        self::assertIsArray($read);
        self::assertSame('lean-water', $read['causes'][0]['id']);
        self::assertSame(30, $read['causes'][0]['lookAgain']);
        foreach ($read['causes'] as $cause) {
            self::assertContains($cause['prior']['provenance'], ['P', 'C', 'M', 'J']);
            foreach ([...$cause['for'], ...$cause['against']] as $evidence) {
                self::assertContains($evidence['provenance'], ['P', 'C', 'M', 'J']);
            }
        }
        unlink($log);
        [$code, $out] = self::run_('olvek:read none --litres=60 --weeks=20 --animals=overfed --sign=many-snails');
        self::assertSame(0, $code);
        self::assertStringStartsWith('Most likely: Too much food', $out);
    }

    #[TestWith(['--day=16', '--sign is missing'])]
    #[TestWith(['--day=16 --sign=nonsense', 'there is no sign'])]
    #[TestWith(['--day=16 --sign=pale-tips:c99', 'pale-tips is seen on c1'])]
    #[TestWith(['--day=16 --sign=film:c1', 'film is seen on the whole tank'])]
    #[TestWith(['--day=1095 --sign=film', '--day'])]
    #[TestWith(['--sign=film', '--day is missing'])]
    #[TestWith(['--day=16 --sign=film --fact=moon=yes', '--fact is written as'])]
    public function testWhatCannotBeReadIsToldOnTheErrorStream(string $arguments, string $why): void
    {
        [$code, $out, $err] = self::run_("olvek:read demo/waiting-hall.plan.json $arguments");
        self::assertSame([2, ''], [$code, $out]);
        self::assertStringContainsString($why, $err);
    }

    public function testListsSignsFactsAndCauses(): void
    {
        foreach (['' => 'pale-tips', '--facts' => 'firm-crown', '--causes' => 'lean-water'] as $option => $id) {
            [$code, $out] = self::run_("olvek:signs $option");
            self::assertSame(0, $code);
            self::assertMatchesRegularExpression("/^$id /m", $out);
            [, $out] = self::run_("olvek:signs $option --format=json");
            self::assertIsArray(json_decode($out, true, flags: \JSON_THROW_ON_ERROR));
        }
    }

    public function testComparesPlans(): void
    {
        [$code, $out] = self::run_('olvek:compare demo/waiting-hall.plan.json demo/waiting-hall.plan.json --band=0');
        self::assertSame(0, $code);
        self::assertStringContainsString('They differ in nothing.', $out);
        $three = 'demo/waiting-hall.plan.json demo/galley.plan.json demo/terrace.plan.json';
        [$code, $out] = self::run_("olvek:compare $three --band=4 --format=json");
        self::assertSame(3, $code);
        $compared = json_decode($out, true, flags: \JSON_THROW_ON_ERROR);
        self::assertIsArray($compared);
        self::assertCount(3, $compared['plans']);
        self::assertCount(2, $compared['differences']);
        self::assertCount(2, $compared['margins'][0]['differs']);
        [$code, , $err] = self::run_('olvek:compare demo/waiting-hall.plan.json');
        self::assertSame(2, $code);
        self::assertStringContainsString('two or three plans', $err);
        [$code] = self::run_('olvek:compare demo/waiting-hall.plan.json nowhere.json');
        self::assertSame(1, $code);
    }
}
