<?php

declare(strict_types=1);

namespace Olvek\Log;

use Olvek\Account\Keeper;
use Olvek\Account\Today;
use Olvek\Build\BuildRecords;
use Olvek\Core\Fit\LifeBand;
use Olvek\Core\Log\Log;
use Olvek\Core\Plan\Plan;
use Olvek\Core\Water\Measure;
use Olvek\Site\Attachment;
use Olvek\Tank\Tank;
use Olvek\Tank\TankRepository;
use Olvek\Work\Ticket;
use Olvek\Work\WorkQueue;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Everything that was read of a tank's water, over its life, on the band in which it was to be expected. */
#[Route('/tanks/{tank}/log/charts', requirements: ['tank' => Requirement::UUID])]
final class LifeController extends AbstractController
{
    /** Days of a stretch, by its name; the whole life where it is none of them. */
    private const SPANS = ['week' => 7, 'month' => 31, 'year' => 365];

    public function __construct(
        private readonly Logbook $logbook,
        private readonly BuildRecords $book,
        private readonly Today $today,
        private readonly TankRepository $tanks,
        private readonly WorkQueue $desk,
    ) {
    }

    #[Route('', name: 'log_charts', methods: ['GET'])]
    public function show(Request $request, Tank $tank, #[CurrentUser] Keeper $keeper): Response
    {
        [$filled, $day, $log] = $this->life($tank, $keeper);
        $ticket = null === $log ? null : $this->ticket($tank, $keeper, $log, $day);
        $band = $ticket?->value instanceof LifeBand ? $ticket->value : null;
        $span = self::SPANS[$request->query->getString('span')] ?? null;
        $to = max(0, min($day, $request->query->getInt('to', $day)));
        $from = null === $span ? 0 : max(0, $to - $span);
        $done = null === $filled ? [] : $this->done($tank, $filled);
        $to = null === $span ? $day : $to;
        $charts = null === $log
            ? []
            : array_map(
                static fn (Measure $m): ?LifeChart => LifeChart::of($m, $log, $band, $keeper->kit(), $keeper->units(), $from, $to, $done),
                Measure::cases(),
            );

        return $this->render('log/charts.html.twig', [
            'tank' => $tank,
            'filled' => $filled,
            'ticket' => $ticket,
            'band' => $band,
            'charts' => array_filter($charts),
            'span' => null === $span ? 'all' : $request->query->getString('span'),
            'days' => $span,
            'from' => $from,
            'to' => $to,
            'last' => $day,
        ], new Response(status: $ticket?->status() ?? Response::HTTP_OK, headers: $ticket?->headers() ?? []));
    }

    /** Readings with what was to be expected, one a line; empty where the band is not known yet. */
    #[Route('.csv', name: 'log_charts_csv', methods: ['GET'])]
    public function csv(Tank $tank, #[CurrentUser] Keeper $keeper): Response
    {
        [$filled, $day, $log] = $this->life($tank, $keeper);
        $band = null === $log ? null : $this->ticket($tank, $keeper, $log, $day)->value;
        $out = fopen('php://temp', 'w+');
        \assert(false !== $out);
        fputcsv($out, ['day', 'date', 'measure', 'value', 'low', 'middle', 'high'], escape: '');
        foreach ($log->readings ?? [] as $reading) {
            $expected = $band instanceof LifeBand ? $band->bands[$reading->measure->value][$reading->day] ?? ['', '', ''] : ['', '', ''];
            $date = $filled?->modify("+$reading->day days")->format('Y-m-d') ?? '';
            fputcsv($out, [$reading->day, $date, $reading->measure->value, $reading->value, ...$expected], escape: '');
        }
        rewind($out);

        return new Response(
            (string) stream_get_contents($out),
            headers: Attachment::headers('text/csv; charset=utf-8', $tank->name().'.readings.csv', 'readings.csv'),
        );
    }

    /** @return array{\DateTimeImmutable|null, int, Log|null} since when, for how many days, and what is logged; null before it is filled */
    private function life(Tank $tank, Keeper $keeper): array
    {
        $filled = $this->book->filledOn($tank);
        $day = null === $filled ? 0 : max(0, min(Plan::LAST_DAY, Today::between($filled, $this->today->of($keeper))));

        return [$filled, $day, null === $filled ? null : $this->logbook->since($tank, $filled, $day)];
    }

    private function ticket(Tank $tank, Keeper $keeper, Log $log, int $day): Ticket
    {
        return $this->desk->ask(new LifeJob($this->tanks->head($tank)->plan, $log, $day + 1), $keeper);
    }

    /** @return list<array{day: int, words: string}> */
    private function done(Tank $tank, \DateTimeImmutable $filled): array
    {
        return array_map(
            static fn (Entry $e): array => ['day' => Today::between($filled, $e->on), 'words' => $e->words],
            $this->logbook->doneSince($tank, $filled),
        );
    }
}
