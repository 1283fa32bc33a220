<?php

declare(strict_types=1);

namespace Olvek\Page\Today;

use Doctrine\ORM\EntityManagerInterface;
use Olvek\Core\Judgement\Start\Expected;
use Olvek\Core\Judgement\Start\FirstWeeks;
use Olvek\Core\Judgement\Start\TankToday;
use Olvek\Core\Keeping\Log\LoggedEvent;
use Olvek\Core\Keeping\Log\TestKit;
use Olvek\Core\Keeping\Log\ToRead;
use Olvek\Core\Planning\Change\SetNumber;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Plan\InvalidPlan;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Core\Planning\Steps\Steps;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Account\Today;
use Olvek\Service\Build\BuildRecords;
use Olvek\Service\Build\LastTest;
use Olvek\Service\Editing\StaleEdit;
use Olvek\Service\Editing\TankEditor;
use Olvek\Service\Log\EntryRepository;
use Olvek\Service\Log\Logbook;
use Olvek\Service\Site\Attachment;
use Olvek\Service\Site\ConcurrentChange;
use Olvek\Service\Site\Csv;
use Olvek\Service\Site\FormToken;
use Olvek\Service\Tank\Tank;
use Olvek\Service\Weeks\ForecastJob;
use Olvek\Service\Weeks\Forecasts;
use Olvek\Service\Weeks\Situations;
use Olvek\Service\Work\Deadline;
use Olvek\Service\Work\SlowPool;
use Olvek\Service\Work\WorkQueue;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsCsrfTokenValid;

/** What is done in the first weeks of a tank, and what lies ahead of it; shown on its page of today. */
#[Route('/tanks/{tank}/weeks', requirements: ['tank' => Requirement::UUID])]
#[IsCsrfTokenValid(FormToken::ID, methods: 'POST')]
final class WeeksController extends AbstractController
{
    private const LOG =
        ['day', 'after_filling', 'kind', 'what', 'amount', 'unit', 'of', 'words', 'made_up', 'note', 'cause', 'id'];

    public function __construct(
        private readonly TodayPage $today,
        private readonly WeeksPage $page,
        private readonly Situations $situations,
        private readonly EntryRepository $entries,
        private readonly Logbook $logbook,
        private readonly Forecasts $prospect,
        private readonly WorkQueue $queue,
        private readonly PlanDocument $document,
        #[Autowire('%env(float:OLVEK_PATIENCE)%')] private readonly float $patience,
        private readonly LastTest $lastTest,
    ) {
    }

    /**
     * The first weeks had a page of their own. Without scripts, what lies ahead is worked out here for as long as a page may take, and the
     * forecast is on Today then.
     */
    #[SlowPool(query: 'ahead')]
    #[Route('', name: 'weeks', methods: ['GET'])]
    public function show(Request $request, Tank $tank, #[CurrentUser] Keeper $keeper): Response
    {
        $situation = $this->situations->of($tank, $keeper);
        if (null !== $situation && !FirstWeeks::of($situation)->isStart()) {
            return $this->redirectToRoute('log', ['tank' => $tank->id(), 'way' => 'read', '_fragment' => 'read'], Response::HTTP_SEE_OTHER);
        }
        if (null !== $situation && $request->query->has('ahead')) {
            $this->workOut($situation, $keeper);

            return $this->back($tank, 'ahead');
        }

        return $this->back($tank, 'today');
    }

    #[Route('/test', name: 'weeks_test', methods: ['POST'])]
    public function test(Request $request, Tank $tank, #[CurrentUser] Keeper $keeper, EntityManagerInterface $entities): Response
    {
        $typed = array_filter($request->request->all('test'), is_string(...));
        /** @var array<string, string> $typed */
        $day = $request->request->getString('day');
        $counts = array_filter($request->request->all('counts'), is_string(...));
        $kit =
            [] === $counts
                ? $keeper->kit()
                : TestKit::of(
                    implode(',', array_map(static fn (string $m): string => $counts[$m] ?? '', ['ammonia', 'nitrite', 'nitrate'])),
                );
        $keeper->testWith($kit);
        $errors = $this->logbook->test($tank, $typed, ToRead::water(), $day, $kit, $keeper->units());
        if ([] === $errors) {
            $entities->flush();
        }

        return [] === $errors ? $this->back($tank, 'today') : $this->refused($tank, $keeper, [...$typed, 'day' => $day], $errors);
    }

    #[Route('/done', name: 'weeks_done', methods: ['POST'])]
    public function done(Request $request, Tank $tank, #[CurrentUser] Keeper $keeper): Response
    {
        $day = $request->request->getString('day');
        $kind = EventKind::named($request->request->getString('kind'));
        $kind = null === $kind || null === $kind->happens()->done || EventKind::Task === $kind || 'clump' === $kind->of() ? null : $kind;
        $situation = $this->situations->of($tank, $keeper);
        $number = $kind?->amount();
        $whole = 'group' === $kind?->of();
        $amount = filter_var($request->request->getString('amount', '0'), $whole ? \FILTER_VALIDATE_INT : \FILTER_VALIDATE_FLOAT, [
            'options' => ['min_range' => $number->from ?? 0, 'max_range' => $number->to ?? 1],
        ]);
        $group = $whole ? array_column($situation->plan->groups ?? [], null, 'id')[$request->request->getString('of')] ?? null : null;
        if (null === $kind || !is_numeric($amount) || null === $situation || ($whole && null === $group)) {
            return $this->refused(
                $tank,
                $keeper,
                ['done-day' => $day],
                [],
                'That could not be understood, so nothing was logged. Try again from this page.',
            );
        }
        $poison = EventKind::Stock === $kind ? $this->lastTest->warning($tank) : null;
        if (null !== $poison) {
            $words = "$poison If they came all the same, say so on the Log page.";

            return $this->refused($tank, $keeper, ['done-day' => $day], ['done-day' => $words]);
        }
        $refused = $this->logbook->done(
            $tank,
            $kind,
            (float) $amount,
            $group?->id,
            LoggedEvent::line($kind, (float) $amount, $keeper->kit(), $group),
            $day,
        );

        return null === $refused
            ? $this->back($tank, 'timeline')
            : $this->refused($tank, $keeper, ['done-day' => $day], ['done-day' => $refused]);
    }

    #[Route('/algae', name: 'weeks_algae', methods: ['POST'])]
    public function algae(Request $request, Tank $tank, #[CurrentUser] Keeper $keeper): Response
    {
        $refused = $this->logbook->algae($tank, 'yes' === $request->request->getString('show'), '');

        return null === $refused ? $this->back($tank, 'lamp') : $this->refused($tank, $keeper, [], [], $refused);
    }

    /** The day on which it was filled: the days are counted from it. */
    #[Route('/filled', name: 'weeks_filled', methods: ['POST'])]
    public function filled(Request $request, Tank $tank, #[CurrentUser] Keeper $keeper, BuildRecords $buildRecords): Response
    {
        $day = $request->request->getString('day');
        try {
            $refused = $buildRecords->mark($tank, Steps::FILL, true, $day, '');
        } catch (ConcurrentChange $meanwhile) {
            return $this->refused(
                $tank,
                $keeper,
                ['filled' => $day],
                ['filled' => $meanwhile->getMessage()],
                status: Response::HTTP_CONFLICT,
            );
        }

        return null === $refused ? $this->back($tank, 'today') : $this->refused($tank, $keeper, ['filled' => $day], ['filled' => $refused]);
    }

    /** Computes one part of what lies ahead. */
    #[SlowPool]
    #[Route('/ahead/{part}', name: 'weeks_calculate', requirements: ['part' => '\d{1,2}'], methods: ['POST'])]
    public function compute(Request $request, Tank $tank, int $part, #[CurrentUser] Keeper $keeper): Response
    {
        $situation = $this->counted($tank, $keeper);
        if ($part >= Forecasts::PARTS || $situation->today > Forecasts::LAST_DAY) {
            throw $this->createNotFoundException('There are only so many parts.');
        }

        $ticket = $this->queue->ask($this->job($situation, $part), $keeper);

        return new JsonResponse(['done' => true === $ticket->value, 'of' => Forecasts::PARTS], $ticket->status(), $ticket->headers());
    }

    /** What lies ahead, once it is known, as a fragment of the page. */
    #[SlowPool]
    #[Route('/ahead', name: 'weeks_ahead', methods: ['GET'])]
    public function ahead(Tank $tank, #[CurrentUser] Keeper $keeper): Response
    {
        $ahead = $this->page->forecast($tank, $this->counted($tank, $keeper));

        return null === $ahead
            ? new Response('', Response::HTTP_NO_CONTENT)
            : $this->render('weeks/_ahead.html.twig', [
                'ahead' => $ahead,
                'tank' => $tank,
                'situation' => $this->situations->of($tank, $keeper),
            ]);
    }

    /** Puts the days on which animals may be expected into the plan. */
    #[Route('/replan', name: 'weeks_replan', methods: ['POST'])]
    public function replan(Request $request, Tank $tank, #[CurrentUser] Keeper $keeper, TankEditor $editor): Response
    {
        $situation = $this->counted($tank, $keeper);
        $ahead = $this->prospect->known($situation->plan, $situation->log, $situation->today);
        if (null === $ahead) {
            $why = 'Something was logged since this was calculated: look at the new forecast first.';

            return $this->refused($tank, $keeper, [], [], $why);
        }
        $changes = [];
        foreach (Expected::of($situation, $ahead->best()) as $expected) {
            if (null !== $expected->likely && 0 !== $expected->moves()) {
                $changes[] = new SetNumber("animals.{$expected->group->id}.day", $expected->likely);
            }
        }
        try {
            $editor->change($tank, $request->request->getInt('base'), $changes, $keeper->units());
        } catch (StaleEdit|InvalidPlan $refused) {
            return $this->refused(
                $tank,
                $keeper,
                [],
                [],
                $refused instanceof StaleEdit ? $refused->getMessage() : implode(' ', $refused->messages($keeper->units())),
                Response::HTTP_CONFLICT,
            );
        }

        return $this->back($tank, 'ahead');
    }

    /** The logbook as a file: one line an entry. */
    #[Route('/log.csv', name: 'weeks_log', methods: ['GET'])]
    public function log(Tank $tank): Response
    {
        $filled = $tank->filledOn();

        return new StreamedResponse(function () use ($tank, $filled): void {
            $out = fopen('php://output', 'w');
            \assert(false !== $out);
            Csv::to($out, self::LOG, $this->rows($tank, $filled));
            fclose($out);
        }, headers: Attachment::headers('text/csv; charset=utf-8', $tank->name().'.log.csv', 'log.csv'));
    }

    /** @return \Generator<list<string|int|float|bool|null>> */
    private function rows(Tank $tank, ?\DateTimeImmutable $filled): \Generator
    {
        foreach ($this->entries->all($tank) as $entry) {
            yield [
                $entry->on->format('Y-m-d'),
                null === $filled || $entry->on < $filled ? null : Today::between($filled, $entry->on),
                $entry->kind->value,
                $entry->what,
                $entry->amount,
                $entry->unit(),
                $entry->of,
                $entry->words,
                $entry->madeUp,
                $entry->note,
                $entry->cause,
                $entry->id->toRfc4122(),
            ];
        }
    }

    /** Part after part of what lies ahead, while a page may take. */
    private function workOut(TankToday $situation, Keeper $keeper): void
    {
        $patience = new Deadline($this->patience / 2);
        for ($part = 0; $part < Forecasts::PARTS && $situation->today <= Forecasts::LAST_DAY && !$patience->isSpent(); ++$part) {
            if (!$this->queue->ask($this->job($situation, $part), $keeper)->isDone()) {
                return;
            }
        }
    }

    private function job(TankToday $situation, int $part): ForecastJob
    {
        return new ForecastJob($this->document->toJson($situation->plan), $situation->log, $situation->today, $part);
    }

    private function counted(Tank $tank, Keeper $keeper): TankToday
    {
        return $this->situations->of($tank, $keeper) ?? throw $this->createNotFoundException('This tank has not been filled yet.');
    }

    private function back(Tank $tank, string $place): Response
    {
        return $this->redirectToRoute('today', ['tank' => $tank->id(), '_fragment' => $place], Response::HTTP_SEE_OTHER);
    }

    /**
     * @param array<string, string> $typed
     * @param array<string, string> $errors
     */
    private function refused(
        Tank $tank,
        Keeper $keeper,
        array $typed,
        array $errors,
        string $notice = '',
        int $status = Response::HTTP_UNPROCESSABLE_ENTITY,
    ): Response {
        return $this->render(
            'today/today.html.twig',
            $this->today->all($tank, $keeper, $typed, $errors, $notice),
            new Response(status: $status),
        );
    }
}
