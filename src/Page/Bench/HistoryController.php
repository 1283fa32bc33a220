<?php

declare(strict_types=1);

namespace Olvek\Page\Bench;

use Olvek\Core\Planning\Plan\InvalidPlan;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Editing\PlanImportReport;
use Olvek\Service\Editing\StaleEdit;
use Olvek\Service\Editing\TankEditor;
use Olvek\Service\Site\FormToken;
use Olvek\Service\Site\PlainText;
use Olvek\Service\Tank\Revision;
use Olvek\Service\Tank\Tank;
use Olvek\Service\Tank\TankRepository;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsCsrfTokenValid;

/** A tank's revisions: looked through, named, taken up again, branched off; and a whole plan brought in as one of them. */
#[Route('/tanks/{tank}', requirements: ['tank' => Requirement::UUID, 'number' => '\d{1,9}'])]
#[IsCsrfTokenValid(FormToken::ID, methods: 'POST')]
final class HistoryController extends AbstractController
{
    private const PAGE = 40;
    private const LAST_PAGE = 100_000;

    public function __construct(private readonly TankRepository $tanks, private readonly TankEditor $editor)
    {
    }

    #[Route('/history', name: 'bench_history', methods: ['GET'])]
    public function history(Request $request, Tank $tank): Response
    {
        return $this->shown($tank, max(1, min(self::LAST_PAGE, $request->query->getInt('page', 1))));
    }

    #[Route('/history/{number}/restore', name: 'bench_restore', methods: ['POST'])]
    public function restore(Request $request, Tank $tank, int $number): Response
    {
        $revision = $this->revision($tank, $number);

        return $this->done($request, $tank, function () use ($request, $tank, $revision): Response {
            $this->editor->restore($tank, $request->request->getInt('base'), $revision);

            return $this->redirectToRoute('bench', ['tank' => $tank->id()], Response::HTTP_SEE_OTHER);
        });
    }

    #[Route('/history/{number}/name', name: 'bench_name_revision', methods: ['POST'])]
    public function name(Request $request, Tank $tank, int $number): Response
    {
        $revision = $this->revision($tank, $number);

        return $this->done($request, $tank, function () use ($request, $tank, $revision): Response {
            $label = trim($request->request->getString('label'));
            $fault = PlainText::fault($label, Revision::LONGEST_LABEL, 'A name');
            if (null !== $fault) {
                return $this->shown($tank, 1, $fault, [$revision->number => mb_scrub($label)]);
            }
            $this->editor->label($revision, $label);

            return $this->redirectToRoute(
                'bench_history',
                ['tank' => $tank->id(), 'page' => max(1, min(self::LAST_PAGE, $request->request->getInt('page', 1)))],
                Response::HTTP_SEE_OTHER,
            );
        });
    }

    #[Route('/history/{number}/branch', name: 'bench_branch', methods: ['POST'])]
    public function branch(Request $request, Tank $tank, int $number, #[CurrentUser] Keeper $keeper): Response
    {
        $revision = $this->revision($tank, $number);

        return $this->done($request, $tank, function () use ($keeper, $revision): Response {
            $variant = $this->editor->branch($keeper, $revision);

            return $this->redirectToRoute('bench', ['tank' => $variant->id()], Response::HTTP_SEE_OTHER);
        });
    }

    #[Route('/import', name: 'bench_import', methods: ['GET', 'POST'])]
    public function import(Request $request, Tank $tank, #[CurrentUser] Keeper $keeper): Response
    {
        $json = '';
        $report = [];
        $notice = '';
        $status = Response::HTTP_UNPROCESSABLE_ENTITY;
        if ($request->isMethod('POST')) {
            $json = PlanImportReport::sent($request);
            try {
                $this->editor->bring($tank, $request->request->getInt('base'), $json);

                return $this->redirectToRoute('bench', ['tank' => $tank->id()], Response::HTTP_SEE_OTHER);
            } catch (StaleEdit $stale) {
                $notice = $stale->getMessage();
                $status = Response::HTTP_CONFLICT;
            } catch (InvalidPlan $refused) {
                $report = PlanImportReport::of($json, $refused, $keeper->units());
            }
        }
        $fine = [] === $report && '' === $notice;

        return $this->render(
            'bench/import.html.twig',
            ['tank' => $tank, 'json' => mb_scrub($json), 'report' => $report, 'notice' => $notice],
            new Response(status: $fine ? Response::HTTP_OK : $status),
        );
    }

    private function revision(Tank $tank, int $number): Revision
    {
        return $this->tanks->revision($tank, $number) ?? throw $this->createNotFoundException('This tank has no such revision.');
    }

    /** @param \Closure(): Response $do */
    private function done(Request $request, Tank $tank, \Closure $do): Response
    {
        try {
            return $do();
        } catch (StaleEdit $stale) {
            return $this->shown($tank, 1, $stale->getMessage(), status: Response::HTTP_CONFLICT);
        }
    }

    /** @param array<int, string> $typed names that were not saved, by revision */
    private function shown(
        Tank $tank,
        int $page,
        string $notice = '',
        array $typed = [],
        int $status = Response::HTTP_UNPROCESSABLE_ENTITY,
    ): Response {
        $revisions = $this->tanks->revisions($tank, self::PAGE + 1, ($page - 1) * self::PAGE);

        return $this->render(
            'bench/history.html.twig',
            [
                'before' => null === $tank->follows() ? null : $this->tanks->owned($tank->follows(), $tank->keeper),
                'after' => $this->tanks->follower($tank),
                'tank' => $tank,
                'revisions' => \array_slice($revisions, 0, self::PAGE),
                'page' => $page,
                'more' => \count($revisions) > self::PAGE,
                'notice' => $notice,
                'typed' => $typed,
            ],
            new Response(status: '' === $notice ? Response::HTTP_OK : $status),
        );
    }
}
