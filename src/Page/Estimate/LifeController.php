<?php

declare(strict_types=1);

namespace Olvek\Page\Estimate;

use Olvek\Core\Keeping\Estimation\Estimate;
use Olvek\Core\Keeping\Estimation\Quantity;
use Olvek\Core\Keeping\Log\Reading;
use Olvek\Core\Nature\Water\Measure;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Account\Today;
use Olvek\Service\Drawing\Standalone;
use Olvek\Service\Estimate\Estimates;
use Olvek\Service\Estimate\TankHistory;
use Olvek\Service\Log\EntryRepository;
use Olvek\Service\Log\Logbook;
use Olvek\Service\Site\Attachment;
use Olvek\Service\Site\Csv;
use Olvek\Service\Site\ResultCache;
use Olvek\Service\Tank\Tank;
use Olvek\Service\Work\SlowPool;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Everything that was read of a tank, over its life, on the band in which it was to be expected and on what is estimated now. */
#[Route('/tanks/{tank}/log/charts', requirements: ['tank' => Requirement::UUID])]
final class LifeController extends AbstractController
{
    private const COLUMNS =
        ['day', 'date', 'measure', 'of', 'value', 'unit', 'low', 'middle', 'high', 'now_low', 'now_middle', 'now_high'];
    /** Days of a stretch, by its name; the whole life where it is none of them. */
    private const SPANS = ['week' => 7, 'month' => 31, 'year' => 365];

    public function __construct(
        private readonly Estimates $estimates,
        private readonly EntryRepository $entries,
        private readonly ResultCache $cache,
    ) {
    }

    #[SlowPool]
    #[Route('', name: 'log_charts', methods: ['GET'])]
    public function show(Request $request, Tank $tank, #[CurrentUser] Keeper $keeper): Response
    {
        $life = $this->estimates->life($tank, $keeper);
        [$from, $to] = self::stretch($request, $life->day ?? 0);
        [$ticket, $share] = null === $life || !$life->isRun() || [] === $life->log->readings
            ? [null, 0.0]
            : $this->estimates->ask($life, $keeper);
        $estimate = $ticket?->value instanceof Estimate ? $ticket->value : null;
        $drawn = fn (ChartSize $size): array => null === $life
            ? []
            : $this->charts($tank, $keeper, $life, $estimate, $from, $to, $size);
        $chosen = $request->query->getString('chart');

        return $this->render('estimate/charts.html.twig', [
            'tank' => $tank,
            'filled' => $life?->filled,
            'ticket' => $ticket,
            'share' => $share,
            'charts' => $drawn(ChartSize::Small),
            'chosen' => '' === $chosen
                ? null
                : array_values(array_filter($drawn(ChartSize::Large), static fn (LifeChart $c): bool => $c->id() === $chosen))[0] ?? null,
            'span' => isset(self::SPANS[$request->query->getString('span')]) ? $request->query->getString('span') : 'all',
            'days' => self::SPANS[$request->query->getString('span')] ?? null,
            'from' => $from,
            'to' => $to,
            'last' => $life->day ?? 0,
        ], new Response(status: $ticket?->status() ?? Response::HTTP_OK, headers: $ticket?->headers() ?? []));
    }

    /** One chart as a drawing of its own. */
    #[Route('/{name}.svg', name: 'log_chart', requirements: ['name' => '[a-z0-9-]{1,60}'], methods: ['GET'])]
    public function chart(Request $request, Tank $tank, string $name, #[CurrentUser] Keeper $keeper, Standalone $standalone): Response
    {
        $life = $this->estimates->life($tank, $keeper) ?? throw $this->createNotFoundException('This tank has not been filled yet.');
        [$from, $to] = self::stretch($request, $life->day);
        foreach ($this->charts($tank, $keeper, $life, $this->estimates->known($life), $from, $to, ChartSize::Large) as $chart) {
            if ($chart->id() === $name) {
                return $this->render(
                    'estimate/chart.svg.twig',
                    ['chart' => $chart, 'style' => $standalone->style(), 'tank' => $tank],
                    new Response(headers: Attachment::headers('image/svg+xml', $tank->name()." $name.svg", "$name.svg")),
                );
            }
        }
        throw $this->createNotFoundException('Nothing like this was read in these days.');
    }

    /** Readings with what was to be expected, one a line; empty where the band is not known yet. */
    #[Route('.csv', name: 'log_charts_csv', methods: ['GET'])]
    public function csv(Tank $tank, #[CurrentUser] Keeper $keeper): Response
    {
        $life = $this->estimates->life($tank, $keeper);
        $estimate = null === $life ? null : $this->estimates->known($life);
        $rows = [];
        foreach ($life->log->readings ?? [] as $reading) {
            $of = Quantity::of($reading->measure);
            $rows[] = [
                $reading->day,
                $life?->filled->modify("+$reading->day days")->format('Y-m-d') ?? '',
                $reading->measure->value,
                $reading->of,
                $reading->value,
                $reading->measure->measured()->unit,
                ...null === $of || null === $estimate ? [null, null, null, null, null, null] : [
                    ...array_values($estimate->wasExpected($of, $reading->day)),
                    ...array_values($estimate->on($of, $reading->day)),
                ],
            ];
        }

        return new Response(
            Csv::write(self::COLUMNS, $rows),
            headers: Attachment::headers('text/csv; charset=utf-8', $tank->name().'.readings.csv', 'readings.csv'),
        );
    }

    /** @return array{int, int} first and last day that are looked at */
    private static function stretch(Request $request, int $day): array
    {
        $span = self::SPANS[$request->query->getString('span')] ?? null;
        $to = max(0, min($day, $request->query->getInt('to', $day)));

        return null === $span ? [0, $day] : [max(0, $to - $span), $to];
    }

    /** @return list<LifeChart> of all that was read, the water first; kept, since they are long and change but with the logbook */
    private function charts(
        Tank $tank,
        Keeper $keeper,
        TankHistory $life,
        ?Estimate $estimate,
        int $from,
        int $to,
        ChartSize $size,
    ): array {
        $state = [$tank->id()->toBase58(), $life->state->key, null === $estimate ? 'plain' : 'read'];
        $shown = [$size->value, $from, $to, $keeper->kit()->code(), $keeper->units()->value];

        /** @var list<LifeChart> $charts */
        $charts = $this->cache->get(
            'charts.'.hash('xxh128', implode(' ', [...$state, ...$shown])),
            fn (): array => $this->drawn($tank, $keeper, $life, $estimate, $from, $to, $size),
        );

        return $charts;
    }

    /** @return list<LifeChart> */
    private function drawn(
        Tank $tank,
        Keeper $keeper,
        TankHistory $life,
        ?Estimate $estimate,
        int $from,
        int $to,
        ChartSize $size,
    ): array {
        $read = [];
        foreach ($life->log->readings as $reading) {
            if ($reading->day >= $from && $reading->day <= $to) {
                $read[$reading->measure->value][$reading->of ?? ''][] = $reading;
            }
        }
        $done = [];
        foreach ($this->entries->doneSince($tank, $life->filled) as $entry) {
            $done[Today::between($life->filled, $entry->on)][] = $entry->words;
        }
        $charts = [];
        foreach (Measure::cases() as $measure) {
            foreach ($read[$measure->value] ?? [] as $readings) {
                $charts[] = LifeChart::of(
                    $size,
                    $measure,
                    $readings[0]->of,
                    self::whom($life->plan, $readings[0]),
                    $readings,
                    $estimate,
                    $keeper->kit(),
                    $keeper->units(),
                    $from,
                    $to,
                    $done,
                );
            }
        }

        return $charts;
    }

    private static function whom(Plan $plan, Reading $reading): string
    {
        $here = array_column([...$plan->clumps, ...$plan->groups], null, 'id')[$reading->of ?? ''] ?? null;

        return null === $reading->of ? '' : $here->kind->common ?? 'no longer in the plan';
    }
}
