<?php

declare(strict_types=1);

namespace Olvek\Tests\Fuzz;

use Olvek\Core\Planning\Plan\Method;
use Olvek\Tests\BenchTestCase;
use Olvek\Tests\ShortPatience;
use Symfony\Component\Routing\Route;
use Symfony\Component\Routing\RouterInterface;

/**
 * Thousands of twisted requests to every route, from a fixed seed: each is answered in words, none fails, and none takes long. Most carry a
 * good token, so that they reach what is behind it.
 */
final class FuzzTest extends BenchTestCase
{
    use ShortPatience;

    private const SEED = 20261127;
    private const INPUTS = 3200;
    /** Seconds after which an answer is none: a request that hangs, not one that is slow on a busy machine. */
    private const HANGS = 60.0;

    /** @var array<string, string> tokens by what they are for */
    private array $tokens = [];

    /** @param non-empty-array<mixed> $of */
    private static function one(array $of): mixed
    {
        return $of[mt_rand(0, \count($of) - 1)];
    }

    /** Texts that something, somewhere, has stumbled over. */
    private static function twisted(): string
    {
        $text = self::one([
            '',
            '0',
            '-1',
            '1',
            '6',
            '8.5',
            '1e308',
            '-1e308',
            '1e-400',
            'NaN',
            'INF',
            '1/0',
            '0x1F',
            '9223372036854775807',
            '9223372036854775808',
            '-0',
            '1,5',
            '1.500',
            '٣',
            '½',
            ' 7 ',
            '7 cm',
            '3 in',
            '40 %',
            '1e3 L',
            'yes',
            'no',
            'none',
            'done',
            'move',
            'close',
            'year',
            'ledger',
            'metric',
            'us',
            'lamp',
            'probe',
            'test-lamp',
            'test-probe',
            'trim',
            'stock',
            'ammonia',
            'glass-box',
            'bowl',
            'coarse-sand',
            'neocaridina-davidi',
            'hygrophila-polysperma',
            "\0",
            "\xFF\xFE",
            "a\nb",
            "a\r\nSet-Cookie: x=y",
            "\u{202E}abc",
            "\u{FEFF}",
            '👩‍🌾',
            '<script>alert(1)</script>',
            '"><img src=x onerror=alert(1)>',
            "' OR 1=1 --",
            '../../../etc/passwd',
            '%2e%2e%2f',
            '{{7*7}}',
            '${7*7}',
            '=cmd()',
            'a1',
            'c1',
            'e1',
            'h1',
            '2026-02-30',
            '0000-00-00',
            '9999-12-31',
            '2026-01-01',
            '1899-12-31',
            date('Y-m-d'),
            'now',
            'Europe/Oslo',
            'Moon/Base',
            '[]',
            '{}',
            '{"a":',
            'null',
            '[[[[[[[[',
            '//elsewhere.example',
            '/\\x',
            'javascript:alert(1)',
        ]);
        \assert(\is_string($text));

        return match (mt_rand(0, 12)) {
            0 => str_repeat($text, mt_rand(2, 60)),
            1 => $text.self::one(["\0", ' ', "\u{00A0}", 'x', '.', ',', '-']),
            2 => random_bytes_from_seed(mt_rand(1, 40)),
            default => $text,
        };
    }

    private function place(): string
    {
        $place = self::one([
            'name',
            'method',
            'vessel.shape',
            'vessel.length',
            'vessel.height',
            'vessel.width',
            'vessel.glass',
            'waterLine',
            'site.temperature',
            'site.swing',
            'site.sealed',
            'site.lid',
            'site.aspect',
            'bed.soil.front',
            'bed.soil.back',
            'bed.cap.front',
            'bed.soil.material',
            'bed.soil.add',
            'bed.soil.mix',
            'bed.cap.material',
            'bed.doses.add',
            'bed.doses.root-tab',
            'bed.leaves.front',
            'bed.plate',
            'bed.core',
            'light.hours',
            'light.lumens',
            'light.pause',
            'light.startShare',
            'plants.add',
            'plants.c1.pieces',
            'plants.c1.remove',
            'plants.c1.place',
            'plants.add.hygrophila-polysperma',
            'animals.add',
            'animals.a1.count',
            'animals.a1.day',
            'animals.a1.remove',
            'hardscape.add',
            'hardscape.h1.litres',
            'events.add',
            'events.e1.day',
            'events.e1.share',
            'events.e1.clump',
            'events.e1.remove',
            'feeding.grams',
            'feeding.fromDay',
            'care.changeShare',
            'care.changeEvery',
            'start.way',
            'water.kind',
            'topUp.kind',
            'topUp.gh',
            'preparation.treatment',
            'no.such.place',
            'plants',
            '.',
            '',
        ]);
        \assert(\is_string($place));

        return 0 === mt_rand(0, 15) ? self::twisted() : $place;
    }

    /** @return array<mixed> */
    private function body(string $token): array
    {
        $body = [
            '_token' => 0 === mt_rand(0, 9) ? self::twisted() : $this->tokens[$token] ?? self::twisted(),
            'base' => (string) self::one([$this->head(), $this->head(), '1', '-1', '99999999999']),
        ];
        for ($n = mt_rand(0, 3); $n > 0; --$n) {
            $body['edits'][$this->place()] = 0 === mt_rand(0, 20) ? [self::twisted()] : self::twisted();
        }
        $fields = [
            'day',
            'kind',
            'amount',
            'of',
            'show',
            'to',
            'state',
            'note',
            'zone',
            'units',
            'back',
            'do',
            'label',
            'page',
            'device',
            'plan',
            'display',
            'password',
            'new',
            'again',
            'tank',
            'name',
            'bag',
            'below',
        ];
        for ($n = mt_rand(0, 5); $n > 0; --$n) {
            $body[(string) self::one($fields)] = 0 === mt_rand(0, 15) ? [self::twisted() => self::twisted()] : self::twisted();
        }
        foreach (
            [
                'test' => ['ammonia', 'nitrite', 'nitrate', 'ph', 'temperature'],
                'counts' => ['ammonia', 'nitrite'],
                'sheet' => ['bags', 'prices', 'have'],
                'ticked' => ['x', 'y'],
            ] as $list => $keys
        ) {
            if (0 === mt_rand(0, 3)) {
                $body[$list] = [(string) self::one($keys) => 0 === mt_rand(0, 2) ? ['coarse-sand' => self::twisted()] : self::twisted()];
            }
        }

        return $body;
    }

    private function head(): string
    {
        return (string) $this->heads[$this->tank];
    }

    /** @var array<string, int> */
    private array $heads = [];

    private function address(Route $route): string
    {
        $choices = [
            'tank' => [...array_fill(0, 14, $this->tank), strtoupper($this->tank), '01890000-0000-7000-8000-000000000000'],
            'margin' => ['oxygen', 'light', 'nosuch'],
            'part' => ['0', '3', '99'],
            'question' => ['trim', 'holiday', 'light', 'stock', 'nosuch'],
            'kind' => ['neocaridina-davidi', 'danio-rerio', 'nosuch'],
            'method' => [Method::cases()[0]->value, 'hill-bed', 'nosuch'],
            'number' => ['1', '2', '999999999'],
            'step' => ['soil', 'fill', 'nosuch'],
            'name' => ['front', 'side', 'floor', 'hours', 'year'],
            'entry' => ['01890000-0000-7000-8000-000000000001'],
            'task' => ['look', 'top-up', 'nosuch'],
            'due' => ['2026-01-01', '9999-99-99'],
            'address' => [str_repeat('a', 43)],
            'code' => [str_repeat('b', 32)],
        ];
        $path = preg_replace_callback(
            '/\{(\w+)\}/',
            static fn (array $m): string => (string) self::one($choices[$m[1]] ?? ['x']),
            $route->getPath(),
        );
        $query = '';
        if (0 === mt_rand(0, 2)) {
            $query =
                '?'.
                http_build_query([
                    (string) self::one([
                        'day',
                        'bag',
                        'below',
                        'page',
                        'board',
                        'tank',
                        'filled',
                        'to',
                        'kept',
                        'dose',
                        'strength',
                        'from',
                    ]) => 0 === mt_rand(0, 9) ? [self::twisted()] : self::twisted(),
                ]);
        }

        return $path.$query;
    }

    public function testNothingFailsAndNothingHangs(): void
    {
        $seed = getenv('OLVEK_FUZZ_SEED');
        mt_srand(false === $seed ? self::SEED : (int) $seed);
        $this->heads[$this->tank] = 1;
        $this->browser->disableReboot();
        $routes = array_filter(
            $this->service(RouterInterface::class)->getRouteCollection()->all(),
            static fn (Route $r, string $name): bool => !str_starts_with($name, '_') && 'account_sign_out' !== $name,
            \ARRAY_FILTER_USE_BOTH,
        );
        self::assertGreaterThan(55, \count($routes));
        $names = array_keys($routes);
        // What only needs a look at the page is asked often, what runs years now and then.
        $dear = [
            'bench_helps',
            'bench_averts',
            'bench_solve',
            'bench_sure',
            'weeks_calculate',
            'bench_method',
            'carry_away',
            'account_sign_in',
            'account_demo',
            'account_password',
            'account_remove',
            'account_register',
        ];
        $this->tokens = $this->collected();
        $seen = $slow = [];
        // A second database is asked a third as much: its faults are of kinds, not of single texts.
        $inputs = str_starts_with((string) getenv('DATABASE_URL'), 'postgres') ? intdiv(self::INPUTS, 3) : self::INPUTS;
        for ($n = 0; $n < $inputs; ++$n) {
            $name = $names[$n % \count($names)];
            if (\in_array($name, $dear, true) && $n > 6 * \count($names)) {
                $name = (string) self::one([
                    'bench_edit',
                    'bench_try',
                    'weeks_test',
                    'build_step',
                    'almanac_mark',
                    'bench_import',
                    'shelf_import',
                    'bench_name_revision',
                    'weeks_done',
                    'account_settings',
                ]);
            }
            $route = $routes[$name];
            $methods = $route->getMethods();
            $method = (string) self::one(
                0 === mt_rand(0, 19) ? ['GET', 'POST', 'PUT', 'DELETE', 'OPTIONS'] : ([] === $methods ? ['GET'] : $methods),
            );
            $address = $this->address($route);
            $body = 'GET' === $method ? [] : $this->body(self::tokenOf($name));
            $server =
                0 === mt_rand(0, 3)
                    ? [
                        'HTTP_ACCEPT' => 'application/json',
                        'HTTP_OLVEK_PARTS' => (string) self::one(['{}', 'x', '[1]', '{"head":[1]}']),
                    ]
                    : [];
            $from = microtime(true);
            $this->browser->request($method, $address, $body, server: [...$server, 'HTTP_ORIGIN' => 'http://localhost']);
            $took = microtime(true) - $from;
            $status = $this->browser->getResponse()->getStatusCode();
            $told = \sprintf(
                '#%d %s %s %s → %d in %.1f s',
                $n,
                $method,
                $address,
                mb_substr((string) json_encode($body, \JSON_INVALID_UTF8_SUBSTITUTE), 0, 600),
                $status,
                $took,
            );
            self::assertLessThan(500, $status, $told);
            if ($took > self::HANGS) {
                $slow[] = $told;
            }
            $seen[$name] = true;
            if (0 === $n % 100) {
                // What happened to the keeper or the tank meanwhile is undone, so that the rest has something to work on.
                $this->mend();
            }
        }
        self::assertSame([], $slow);
        self::assertSame([], array_diff($names, array_keys($seen)), 'every route was asked');
    }

    /** @return array<string, string> */
    private function collected(): array
    {
        $of = fn (string $page, string $selector): string => (string) $this->browser
            ->request('GET', $page)
            ->filter($selector)
            ->first()
            ->attr('value');

        return [
            'edit' => $of("/tanks/$this->tank", '#edit input[name="_token"]'),
            'weeks' => $of("/tanks/$this->tank/today", 'main input[name="_token"]'),
            'build' => $of("/tanks/$this->tank/build", 'main input[name="_token"]'),
            'new' => $of('/tanks/new', 'main input[name="_token"]'),
            'almanac' => $of('/almanac', 'main input[name="_token"]'),
            'account' => $of('/account', '#settings input[name="_token"]'),
            'units' => $of('/', '.units input[name="_token"]'),
            'authenticate' => 'csrf-token',
            'demo' => 'csrf-token',
            'register' => 'csrf-token',
        ];
    }

    private static function tokenOf(string $route): string
    {
        return match (true) {
            str_starts_with($route, 'bench') => 'edit',
            str_starts_with($route, 'weeks'), str_starts_with($route, 'devices') => 'weeks',
            str_starts_with($route, 'build') => 'build',
            str_starts_with($route, 'shelf') => 'new',
            str_starts_with($route, 'almanac') => 'almanac',
            'account_units' === $route => 'units',
            default => 'account',
        };
    }

    private function mend(): void
    {
        $tank = $this->stored();
        $tank->bringBack();
        $this->service(\Doctrine\ORM\EntityManagerInterface::class)->flush();
        $this->heads[$this->tank] = $tank->head();
        $this->browser->request('GET', '/');
        if (!$this->browser->getResponse()->isSuccessful()) {
            $this->browser->loginUser(
                $this->service(\Olvek\Service\Account\KeeperRepository::class)->named('runa') ?? self::fail('the keeper is gone'),
            );
            $this->tokens = $this->collected();
        }
    }
}

/** Bytes that are the same in every run. */
function random_bytes_from_seed(int $length): string
{
    $bytes = '';
    for ($n = 0; $n < $length; ++$n) {
        $bytes .= \chr(mt_rand(0, 255));
    }

    return $bytes;
}
