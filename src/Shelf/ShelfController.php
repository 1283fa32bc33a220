<?php

declare(strict_types=1);

namespace Olvek\Shelf;

use Olvek\Account\Keeper;
use Olvek\Almanac\Almanac;
use Olvek\Almanac\Due;
use Olvek\Core\Catalogue\Catalogue;
use Olvek\Core\Change\Editor;
use Olvek\Core\Plan\Field;
use Olvek\Core\Plan\InvalidPlan;
use Olvek\Core\Plan\Plan;
use Olvek\Core\Plan\PlanDocument;
use Olvek\Editing\FieldView;
use Olvek\Editing\ImportReport;
use Olvek\Editing\TankEditor;
use Olvek\Log\Logbook;
use Olvek\Tank\Revision;
use Olvek\Tank\Tank;
use Olvek\Tank\TankRepository;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

final class ShelfController extends AbstractController
{
    /** Tanks that stand on one page of the shelf. */
    private const BOARD = 24;
    private const FIRST_FIELDS = ['vessel.length', 'vessel.width', 'vessel.height', 'waterLine'];

    public function __construct(
        private readonly Catalogue $catalogue,
        private readonly PlanDocument $document,
        private readonly TankEditor $road,
    ) {
    }

    #[Route('/', name: 'shelf', methods: ['GET'])]
    public function shelf(
        Request $request,
        #[CurrentUser] Keeper $keeper,
        TankRepository $tanks,
        Summaries $summaries,
        Almanac $almanac,
        Logbook $logbook,
    ): Response {
        $boards = max(1, (int) ceil($tanks->onShelf($keeper) / self::BOARD));
        $board = filter_var($request->query->getString('board', '1'), \FILTER_VALIDATE_INT, [
            'options' => ['min_range' => 1, 'max_range' => $boards],
        ]);
        if (false === $board) {
            throw $this->createNotFoundException('The shelf has no such board.');
        }

        $revisions = $tanks->shelf($keeper, self::BOARD, self::BOARD * ($board - 1));
        $here = array_map(static fn (Revision $r): Tank => $r->tank, $revisions);
        $asks = $almanac->of($keeper, array_map(static fn (Tank $t): string => $t->id()->toRfc4122(), $here));
        $read = $logbook->lastRead($here);

        return $this->render('shelf/shelf.html.twig', [
            'board' => $board,
            'boards' => $boards,
            'archived' => $tanks->archived($keeper),
            'rooms' => $tanks->rooms($keeper),
            'tanks' => array_map(
                static fn (Revision $r): array => [
                    'tank' => $r->tank,
                    'summary' => $summaries->of($r, $keeper->units()),
                    'late' => self::of($asks['late'], $r->tank),
                    'now' => self::of($asks['now'], $r->tank),
                    'read' => $read[$r->tank->id()->toRfc4122()] ?? [],
                ],
                $revisions,
            ),
        ]);
    }

    /**
     * @param list<Due> $times
     *
     * @return list<Due> of one tank
     */
    private static function of(array $times, Tank $tank): array
    {
        return array_values(array_filter($times, static fn (Due $d): bool => $d->tank === $tank));
    }

    #[Route('/tanks/new', name: 'shelf_new', methods: ['GET', 'POST'])]
    public function begin(Request $request, #[CurrentUser] Keeper $keeper, Editor $editor): Response
    {
        $plan = Plan::starting('A new tank', $this->catalogue, $keeper->units());
        $typed = [];
        $errors = [];
        if ($request->isMethod('POST')) {
            $typed = array_filter($request->request->all('edits'), is_string(...));
            if (!$this->isCsrfTokenValid('new', $request->request->getString('_token'))) {
                $errors[''] = 'This page has expired. Nothing is lost: send it again.';
            } else {
                try {
                    $wanted = array_intersect_key($typed, array_flip(['name', ...self::FIRST_FIELDS]));
                    $tank = $this->road->begin($keeper, $editor->apply($plan, $wanted, $keeper->units())->plan, 'created');

                    return $this->redirectToRoute('bench', ['tank' => $tank->id()], Response::HTTP_SEE_OTHER);
                } catch (InvalidPlan $refused) {
                    $errors = $refused->messages($keeper->units());
                }
            }
        }

        return $this->form($keeper, $plan, $typed, $errors, '', []);
    }

    #[Route('/tanks/import', name: 'shelf_import', methods: ['POST'])]
    public function import(Request $request, #[CurrentUser] Keeper $keeper): Response
    {
        $json = ImportReport::sent($request);
        $problems = [];
        if (!$this->isCsrfTokenValid('new', $request->request->getString('_token'))) {
            $problems[] = ['line' => null, 'place' => '', 'message' => 'This page has expired. Nothing is lost: send it again.'];
        } else {
            try {
                $tank = $this->road->begin($keeper, $this->document->fromForeignJson($json), 'imported from a file');

                return $this->redirectToRoute('bench', ['tank' => $tank->id()], Response::HTTP_SEE_OTHER);
            } catch (InvalidPlan $refused) {
                $problems = ImportReport::of($json, $refused, $keeper->units());
            }
        }

        return $this->form($keeper, Plan::starting('A new tank', $this->catalogue, $keeper->units()), [], [], $json, $problems);
    }

    /**
     * @param array<mixed>          $typed
     * @param array<string, string> $errors
     * @param list<array{line: ?int, place: string, message: string}> $problems of an import
     */
    private function form(Keeper $keeper, Plan $plan, array $typed, array $errors, string $json, array $problems): Response
    {
        $data = $this->document->toArray($plan);
        $fields = [];
        foreach (self::FIRST_FIELDS as $path) {
            $field = Field::at($path);
            $stored = array_reduce(
                explode('.', $path),
                static fn (mixed $at, string $key): mixed => \is_array($at) ? $at[$key] : null,
                $data,
            );
            \assert(null !== $field && \is_float($stored));
            $fields[] = new FieldView(
                $path,
                $field->label,
                \is_string($typed[$path] ?? null) ? $typed[$path] : $field->show($stored, $keeper->units()),
                $field->unit($keeper->units())->symbol(),
                $errors[$path] ?? null,
            );
        }
        $name = new FieldView(
            'name',
            'name of the tank',
            \is_string($typed['name'] ?? null) ? $typed['name'] : '',
            '',
            $errors['name'] ?? null,
            [],
            true,
        );

        return $this->render(
            'shelf/new.html.twig',
            [
                'name' => $name,
                'fields' => $fields,
                'json' => mb_scrub($json),
                'problems' => $problems,
                'others' => array_diff_key($errors, array_flip(['name', ...self::FIRST_FIELDS])),
            ],
            new Response(status: [] === $errors && [] === $problems ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY),
        );
    }
}
