<?php

declare(strict_types=1);

namespace Olvek\Page\Estimate;

use Olvek\Core\Basis\Unit\Words;
use Olvek\Core\Keeping\Log\DeathCause;
use Olvek\Core\Keeping\Log\Sign;
use Olvek\Core\Nature\Water\Measure;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Estimate\Estimates;
use Olvek\Service\Estimate\TankHistory;
use Olvek\Service\Log\Entry;
use Olvek\Service\Log\EntryKind;
use Olvek\Service\Log\EntryRepository;
use Olvek\Service\Photo\Photo;
use Olvek\Service\Photo\Photos;
use Olvek\Service\Tank\Revision;
use Olvek\Service\Tank\Tank;
use Olvek\Service\Tank\TankRepository;
use Olvek\Service\Work\SlowPool;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** A month of a tank, or a year, on a page that can be printed: pictures, readings, what was done and seen, and what went round. */
#[SlowPool]
#[Route('/tanks/{tank}/report', name: 'report', requirements: ['tank' => Requirement::UUID], methods: ['GET'])]
final class ReportController extends AbstractController
{
    /** Photos that are shown, spread over the stretch. */
    private const PHOTOS = 6;
    /** Newest revisions that are looked through. J. */
    private const REVISIONS = 200;

    public function __construct(
        private readonly Estimates $estimates,
        private readonly EntryRepository $entries,
        private readonly Photos $photos,
        private readonly TankRepository $tanks,
    ) {
    }

    public function __invoke(Request $request, Tank $tank, #[CurrentUser] Keeper $keeper): Response
    {
        $life = $this->estimates->life($tank, $keeper);
        if (null === $life) {
            return $this->render('estimate/report.html.twig', ['tank' => $tank, 'life' => null]);
        }
        $today = $life->filled->modify("+$life->day days");
        $asked = \DateTimeImmutable::createFromFormat('!Y-m', $request->query->getString('month'));
        $year = 'year' === $request->query->getString('span');
        $month = false === $asked ? self::lastWhole($life->filled, $today) : $asked;
        $month = min($today->modify('first day of this month'), max($life->filled->modify('first day of this month'), $month));
        $from = max($life->filled, $year ? $today->modify('-364 days') : $month);
        $to = min($today, $year ? $today : $month->modify('last day of this month'));
        [$first, $last] = [(int) $life->filled->diff($from)->days, (int) $life->filled->diff($to)->days];
        $entries = $this->entries->between($tank, $from, $to);
        $of = static fn (EntryKind $kind): array => array_values(array_filter($entries, static fn (Entry $e): bool => $kind === $e->kind));

        return $this->render('estimate/report.html.twig', [
            'tank' => $tank,
            'life' => $life,
            'year' => $year,
            'from' => $from,
            'to' => $to,
            'first' => $first,
            'last' => $last,
            'before' => !$year && $from > $life->filled ? $month->modify('-1 month') : null,
            'after' => !$year && $to < $today ? $month->modify('+1 month') : null,
            'photos' => $this->spread($tank, $from, $to),
            'readings' => self::readings($life, $keeper, $first, $last),
            'usual' => $year ? [] : array_column(self::readings($life, $keeper, max(0, $last - 364), $last), null, 'name'),
            'done' => [...$of(EntryKind::Done), ...$of(EntryKind::Tried)],
            'seen' => [...$of(EntryKind::Sighting), ...$of(EntryKind::Came), ...$of(EntryKind::Note)],
            'lives' => self::lives($entries),
            'revisions' => array_values(array_filter(
                $this->tanks->revisions($tank, self::REVISIONS, 0),
                static fn (Revision $r): bool => $r->at >= $from && $r->at < $to->modify('+1 day') && null !== $r->parent,
            )),
            'books' => $this->estimates->books($life, $first, $last),
        ]);
    }

    /** First day of the last month that the tank has lived through; of this one where it is too young for that. */
    public static function lastWhole(\DateTimeImmutable $filled, \DateTimeImmutable $today): \DateTimeImmutable
    {
        $now = $today->modify('first day of this month');
        $before = $today->modify('first day of last month');

        return $today->format('j') === $today->format('t') || $filled > $before ? $now : $before;
    }

    /** @return list<Photo> the first, the last, and some between */
    private function spread(Tank $tank, \DateTimeImmutable $from, \DateTimeImmutable $to): array
    {
        $all = $this->photos->between($tank, $from, $to);
        $count = \count($all);
        if ($count <= self::PHOTOS) {
            return $all;
        }
        $places = array_map(static fn (int $n): int => (int) round($n * ($count - 1) / (self::PHOTOS - 1)), range(0, self::PHOTOS - 1));

        return array_values(array_intersect_key($all, array_flip($places)));
    }

    /** @return list<array{name: string, count: int, first: string, last: string, least: string, most: string}> */
    private static function readings(TankHistory $life, Keeper $keeper, int $from, int $to): array
    {
        $all = [];
        foreach ($life->log->readings as $reading) {
            if ($reading->day >= $from && $reading->day <= $to && null === $reading->of) {
                $all[$reading->measure->value][] = $reading->value;
            }
        }
        $rows = [];
        foreach (Measure::cases() as $measure) {
            $values = $all[$measure->value] ?? [];
            if ([] !== $values) {
                $say = static fn (float $value): string => $keeper->kit()->show($measure, $value, $keeper->units());
                $rows[] = [
                    'name' => Words::capital($measure->label()),
                    'count' => \count($values),
                    'first' => $say($values[0]),
                    'last' => $say($values[\count($values) - 1]),
                    'least' => $say(min($values)),
                    'most' => $say(max($values)),
                ];
            }
        }

        return $rows;
    }

    /**
     * @param list<Entry> $entries
     *
     * @return array{born: int, died: array<string, int>} young that were seen, and deaths by cause
     */
    private static function lives(array $entries): array
    {
        $born = 0;
        $died = [];
        foreach ($entries as $entry) {
            if (EntryKind::Sighting === $entry->kind && Sign::Young->value === $entry->what) {
                $born += (int) ($entry->amount ?? 1);
            }
            if (EntryKind::Done === $entry->kind && 'lost' === $entry->what) {
                $cause = (DeathCause::tryFrom($entry->cause) ?? DeathCause::Unknown)->words();
                $died[$cause] = ($died[$cause] ?? 0) + (int) $entry->amount;
            }
        }
        arsort($died);

        return ['born' => $born, 'died' => $died];
    }
}
