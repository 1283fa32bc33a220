<?php

declare(strict_types=1);

namespace Olvek\Page\Build;

use Olvek\Core\Keeping\Care\LightPlan;
use Olvek\Core\Keeping\Care\Task;
use Olvek\Core\Nature\Bed\Material;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Planning\Buying\BuyLine;
use Olvek\Core\Planning\Buying\Sheet;
use Olvek\Core\Planning\Buying\ShoppingList;
use Olvek\Core\Planning\Buying\Want;
use Olvek\Core\Planning\Steps\Step;
use Olvek\Core\Planning\Steps\Steps;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Build\BuildRecords;
use Olvek\Service\Build\LastTest;
use Olvek\Service\Editing\TankEditor;
use Olvek\Service\Site\Attachment;
use Olvek\Service\Site\ConcurrentChange;
use Olvek\Service\Site\FormToken;
use Olvek\Service\Tank\Tank;
use Olvek\Service\Tank\TankRepository;
use Olvek\Service\Task\Calendar;
use Olvek\Service\Task\CalendarTask;
use Olvek\Service\Task\Tasks;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsCsrfTokenValid;

/** From plan to planted tank: what to buy, how to do it, how much to dose. */
#[Route('/tanks/{tank}/build', requirements: ['tank' => Requirement::UUID])]
#[IsCsrfTokenValid(FormToken::ID, methods: 'POST')]
final class BuildController extends AbstractController
{
    private const STEP = '[a-z0-9-]{2,40}';

    public function __construct(
        private readonly TankRepository $tanks,
        private readonly TankEditor $editor,
        private readonly BuildRecords $buildRecords,
        private readonly Catalogue $catalogue,
        private readonly Tasks $tasks,
        private readonly LastTest $lastTest,
    ) {
    }

    #[Route('', name: 'build', methods: ['GET'])]
    public function show(Request $request, Tank $tank, #[CurrentUser] Keeper $keeper): Response
    {
        return $this->page($request, $tank, $keeper);
    }

    /** What the tank asks for through its first year, as a calendar. */
    #[Route('/care.ics', name: 'build_care', methods: ['GET'])]
    public function care(Request $request, Tank $tank, #[CurrentUser] Keeper $keeper, Calendar $calendar): Response
    {
        $filled = $this->buildRecords->filled($tank, $request->query->getString('filled'));
        if (null === $filled) {
            return $this->page($request, $tank, $keeper, errors: ['filled' => 'Give the day of filling as year-month-day.']);
        }

        $head = $this->tanks->head($tank);

        return new Response(
            $calendar->write($tank, array_map(
                static fn (Task $task): CalendarTask => new CalendarTask($tank, $task, $filled, $head->at),
                $this->tasks->of($head),
            )),
            headers: Attachment::headers('text/calendar; charset=utf-8', $tank->name().'.ics', 'care.ics'),
        );
    }

    /** The lamp's programme as a file for a timer. */
    #[Route('/light.json', name: 'build_light', methods: ['GET'])]
    public function light(Tank $tank): Response
    {
        return new JsonResponse(
            LightPlan::document($this->editor->plan($this->tanks->head($tank))),
            headers: Attachment::headers('application/json', $tank->name().'.light.json', 'light.json'),
        );
    }

    #[Route('/sheet', name: 'build_sheet', methods: ['POST'])]
    public function sheet(Request $request, Tank $tank, #[CurrentUser] Keeper $keeper): Response
    {
        $typed = array_map(
            static fn (mixed $column): array => \is_array($column) ? array_filter($column, is_string(...)) : [],
            $request->request->all('sheet'),
        );
        /** @var array<string, array<string, string>> $typed */
        $ticks = array_values(array_filter($request->request->all('ticked'), is_string(...)));
        $progress = $this->buildRecords->progress($tank);
        if ($progress->version() !== $request->request->getInt('base')) {
            return $this->page(
                $request,
                $tank,
                $keeper,
                typed: $typed,
                notice: 'The sheet was changed in another window meanwhile, so this was not kept. What you typed still stands here: look, '
                    .'and send it again.',
                status: Response::HTTP_CONFLICT,
            );
        }
        $plan = $this->editor->plan($this->tanks->head($tank));
        $materials = array_map(static fn (BuyLine $l): Material => $l->material, Sheet::of($plan, $this->catalogue)->materials);
        try {
            $lines = array_map(static fn (Want $w): string => $w->id, ShoppingList::of($plan));
            $errors = $this->buildRecords->keepSheet($progress, $typed, $ticks, $materials, $lines, $keeper->units());
        } catch (ConcurrentChange $meanwhile) {
            return $this->page($request, $tank, $keeper, typed: $typed, notice: $meanwhile->getMessage(), status: Response::HTTP_CONFLICT);
        }

        return [] === $errors
            ? $this->redirectToRoute('build', ['tank' => $tank->id()], Response::HTTP_SEE_OTHER)
            : $this->page($request, $tank, $keeper, typed: $typed, errors: $errors);
    }

    /** All steps before one that are still open are done. */
    #[Route('/steps/{step}/before', name: 'build_before', requirements: ['step' => self::STEP], methods: ['POST'])]
    public function before(Request $request, Tank $tank, string $step, #[CurrentUser] Keeper $keeper): Response
    {
        $ids = $this->stepIds($tank, $keeper);
        $at = array_search($step, $ids, true);
        if (!\is_int($at)) {
            throw $this->createNotFoundException('This plan has no such step.');
        }
        try {
            $refused = $this->buildRecords->markDone($tank, \array_slice($ids, 0, $at), $request->request->getString('day'));
        } catch (ConcurrentChange $meanwhile) {
            return $this->page($request, $tank, $keeper, notice: $meanwhile->getMessage(), status: Response::HTTP_CONFLICT);
        }

        return null === $refused
            ? $this->redirectToRoute('build', ['tank' => $tank->id(), '_fragment' => "step-$step"], Response::HTTP_SEE_OTHER)
            : $this->page($request, $tank, $keeper, errors: ["step.$step" => $refused]);
    }

    #[Route('/steps/{step}', name: 'build_step', requirements: ['step' => self::STEP], methods: ['POST'])]
    public function step(Request $request, Tank $tank, string $step, #[CurrentUser] Keeper $keeper): Response
    {
        if (!\in_array($step, $this->stepIds($tank, $keeper), true)) {
            throw $this->createNotFoundException('This plan has no such step.');
        }
        $note = $request->request->getString('note');
        $done = match ($request->request->getString('state')) {
            'done' => true,
            'skipped' => false,
            default => null,
        };
        $poison = $this->poison($tank, $step);
        if (true === $done && null !== $poison && !$request->request->getBoolean('anyway')) {
            return $this->page(
                $request,
                $tank,
                $keeper,
                errors: ["step.$step" => "$poison Tick “let them in all the same” if you want to go on."],
                typed: ['note' => [$step => $note]],
            );
        }
        try {
            $refused = $this->buildRecords->mark($tank, $step, $done, $request->request->getString('day'), $note);
        } catch (ConcurrentChange) {
            return $this->page(
                $request,
                $tank,
                $keeper,
                typed: ['note' => [$step => $note]],
                notice: 'Another window marked this step at the same moment, and it stands as that one left it.'.
                    ('' === $note ? '' : " Your note was: “{$note}”."),
                status: Response::HTTP_CONFLICT,
            );
        }

        return null === $refused
            ? $this->redirectToRoute('build', ['tank' => $tank->id(), '_fragment' => "step-$step"], Response::HTTP_SEE_OTHER)
            : $this->page($request, $tank, $keeper, errors: ["step.$step" => $refused], typed: ['note' => [$step => $note]]);
    }

    /** What the last test says to a step by which animals come; null where it has nothing to say. */
    private function poison(Tank $tank, string $step): ?string
    {
        return str_starts_with($step, Step::LET_IN) ? $this->lastTest->warning($tank) : null;
    }

    /** @return list<string> ids of the plan's steps, in order */
    private function stepIds(Tank $tank, Keeper $keeper): array
    {
        $plan = $this->editor->plan($this->tanks->head($tank));

        return array_map(static fn (Step $s): string => $s->id, Steps::of($plan));
    }

    /**
     * @param array<string, array<string, string>> $typed
     * @param array<string, string>                $errors
     */
    private function page(
        Request $request,
        Tank $tank,
        Keeper $keeper,
        array $typed = [],
        array $errors = [],
        string $notice = '',
        int $status = Response::HTTP_UNPROCESSABLE_ENTITY,
    ): Response {
        $plan = $this->editor->plan($this->tanks->head($tank));
        $units = $keeper->units();
        $progress = $this->buildRecords->progress($tank);
        $marks = $this->buildRecords->marks($tank);
        $steps = [];
        $later = false;
        foreach (array_reverse(Steps::of($plan)) as $step) {
            $mark = $marks[$step->id] ?? null;
            $steps[] = new StepView(
                $step,
                $mark,
                $later && null === $mark,
                null === $step->draw ? null : StepDrawing::of($plan, $step->draw, $units),
                $typed['note'][$step->id] ?? '',
                $errors["step.$step->id"] ?? null,
            );
            $later = $later || true === $mark?->done();
        }
        $steps = array_reverse($steps);
        $shop = $this->buildRecords->shop($progress);
        $sheet = Sheet::of($plan, $this->catalogue, $shop);
        $wants = ShoppingList::of($plan, $shop);

        return $this->render(
            'build/build.html.twig',
            [
                'tank' => $tank,
                'plan' => $plan,
                'units' => $units,
                'sheet' => $sheet,
                'aisles' => self::aisles($wants),
                'total' => ShoppingList::total($sheet, $wants),
                'water' => ShoppingList::waterToPrepare($plan),
                'progress' => $progress,
                'kept' => $progress->sheet(),
                'steps' => $steps,
                'next' => self::next($steps),
                'light' => LightPlan::of($plan),
                'tasks' => $this->tasks->of($this->tanks->head($tank)),
                'filled' => $this->buildRecords->filled($tank, ''),
                'typed' => $typed,
                'errors' => $errors,
                'notice' => $notice,
                'poison' => null === $this->lastTest->warning($tank) ? '' : Step::LET_IN,
                'sums' => Calculators::asked($request, $plan->netWater(), ShoppingList::waterToPrepare($plan), $units),
            ],
            new Response(status: [] === $errors && '' === $notice ? Response::HTTP_OK : $status),
        );
    }

    /**
     * The day's work: the first open step behind all that is done; where there is none, the first open one; null where none is open.
     *
     * @param list<StepView> $steps
     */
    private static function next(array $steps): ?StepView
    {
        $open = array_filter($steps, static fn (StepView $s): bool => null === $s->mark);
        $ahead = array_filter($open, static fn (StepView $s): bool => !$s->asked);

        return array_values($ahead)[0] ?? array_values($open)[0] ?? null;
    }

    /**
     * @param list<Want> $wants
     *
     * @return array<string, non-empty-list<Want>> by what their aisle is called
     */
    private static function aisles(array $wants): array
    {
        $aisles = [];
        foreach ($wants as $want) {
            $aisles[$want->aisle->words()][] = $want;
        }

        return $aisles;
    }
}
