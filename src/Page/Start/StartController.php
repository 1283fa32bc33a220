<?php

declare(strict_types=1);

namespace Olvek\Page\Start;

use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Change\QuarantineTank;
use Olvek\Core\Planning\Change\TakeMethod;
use Olvek\Core\Planning\Plan\Method;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Core\Planning\Plan\Refused;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Editing\PlanImportReport;
use Olvek\Service\Editing\TankEditor;
use Olvek\Service\Site\FormToken;
use Olvek\Service\Site\Saver;
use Olvek\Service\Tank\TankRepository;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsCsrfTokenValid;

/** The ways in which a tank begins: for a wish, by a method, from another tank, as it runs, from a file, from nothing. */
#[Route('/tanks')]
#[IsCsrfTokenValid(FormToken::ID, methods: 'POST')]
final class StartController extends AbstractController
{
    public function __construct(
        private readonly VesselForm $vessels,
        private readonly StartPage $page,
        private readonly TankEditor $tankEditor,
        private readonly Editor $editor,
        private readonly TankRepository $tanks,
    ) {
    }

    #[Route('/new', name: 'shelf_new', methods: ['GET'])]
    public function show(Request $request, #[CurrentUser] Keeper $keeper): Response
    {
        return $this->form($keeper, $request->query->all());
    }

    /** A tank with nothing in it but its usual bed, or with all that a method lays. */
    #[Route('/new', name: 'shelf_begin', methods: ['POST'])]
    public function begin(Request $request, #[CurrentUser] Keeper $keeper): Response
    {
        $sent = $request->request->all();
        $door = $request->request->getString('door');
        try {
            $plan = $this->vessels->read($sent, $keeper->units());
            $method = 'method' === $door ? $this->method($request->request->getString('method')) : null;
            $changes = match (true) {
                null !== $method => [new TakeMethod($method)],
                'quarantine' === $door => QuarantineTank::changes($plan),
                default => [],
            };
            $plan = [] === $changes ? $plan : $this->editor->make($plan, $changes, $keeper->units())->plan;
        } catch (Refused $refused) {
            return $this->form($keeper, $sent, $refused->messages($keeper->units()));
        }
        if ('wish' === $door || 'running' === $door) {
            // On to the next page with what was picked, by an address that can be kept.
            return $this->redirectToRoute('wish' === $door ? 'wish' : 'running', VesselForm::query($sent), Response::HTTP_SEE_OTHER);
        }
        $tank = $this->tankEditor->begin($keeper, $plan, match (true) {
            null !== $method => 'created by '.$method->words(),
            'quarantine' === $door => 'created as a quarantine tank',
            default => 'created',
        });

        return $this->redirectToRoute('bench', ['tank' => $tank->id()], Response::HTTP_SEE_OTHER);
    }

    /** Another tank of the keeper's: as it is, as a twin beside it, or set up anew with what is in it. */
    #[Route('/new/from', name: 'start_from', methods: ['POST'])]
    public function from(Request $request, #[CurrentUser] Keeper $keeper, Saver $saver): Response
    {
        $from = $this->tanks->active($keeper)[$request->request->getString('from')] ?? null;
        if (null === $from) {
            return $this->form($keeper, [], ['from' => 'Choose one of your tanks.']);
        }
        if ('rescape' === $request->request->getString('how')) {
            return $this->redirectToRoute('things', ['tank' => $from->id(), '_fragment' => 'rescape'], Response::HTTP_SEE_OTHER);
        }
        $copy = $this->tankEditor->branch($keeper, $this->tanks->head($from));
        $copy->standIn($from->room());
        $saver->flush();
        if ('twin' === $request->request->getString('how')) {
            $name = mb_substr($from->name(), 0, Plan::LONGEST_NAME - 6).', twin';
            $this->tankEditor->edit($copy, $copy->head(), ['name' => $name], $keeper->units());
        }

        return $this->redirectToRoute('bench', ['tank' => $copy->id()], Response::HTTP_SEE_OTHER);
    }

    #[Route('/import', name: 'shelf_import', methods: ['POST'])]
    public function import(Request $request, #[CurrentUser] Keeper $keeper, PlanDocument $document): Response
    {
        $json = PlanImportReport::sent($request);
        try {
            $tank = $this->tankEditor->begin($keeper, $document->fromForeignJson($json), 'imported from a file');
        } catch (Refused $refused) {
            return $this->form($keeper, [], json: $json, problems: PlanImportReport::of($json, $refused, $keeper->units()));
        }

        return $this->redirectToRoute('bench', ['tank' => $tank->id()], Response::HTTP_SEE_OTHER);
    }

    /**
     * @param array<mixed>                                            $sent
     * @param array<string, string>                                   $errors
     * @param list<array{line: ?int, place: string, message: string}> $problems of an import
     */
    private function form(Keeper $keeper, array $sent, array $errors = [], string $json = '', array $problems = []): Response
    {
        return $this->render(
            'start/start.html.twig',
            [...$this->page->of($keeper, $sent, $errors), 'json' => mb_scrub($json), 'problems' => $problems],
            new Response(status: [] === $errors && [] === $problems ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY),
        );
    }

    /** @throws Refused */
    private function method(string $id): Method
    {
        return Method::tryFrom($id) ?? throw FormRefused::at('method', 'Choose a method, or begin from nothing.');
    }
}
