<?php

declare(strict_types=1);

namespace Olvek\Page\Today;

use Olvek\Core\Keeping\Log\ActualPlan;
use Olvek\Core\Keeping\Log\LoggedEvent;
use Olvek\Core\Planning\Change\Remove;
use Olvek\Core\Planning\Plan\Clump;
use Olvek\Core\Planning\Plan\Group;
use Olvek\Core\Planning\Plan\InvalidPlan;
use Olvek\Core\Planning\Plan\PlannedEvent;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Editing\StaleEdit;
use Olvek\Service\Editing\TankEditor;
use Olvek\Service\Estimate\Estimates;
use Olvek\Service\Estimate\TankHistory;
use Olvek\Service\Log\Logbook;
use Olvek\Service\Site\FormToken;
use Olvek\Service\Tank\Tank;
use Olvek\Service\Work\SlowPool;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsCsrfTokenValid;

/** A tank as it is today: how it looks and stands, what to do, its start, and what is estimated of it. */
#[Route('/tanks/{tank}/today', requirements: ['tank' => Requirement::UUID])]
#[IsCsrfTokenValid(FormToken::ID, methods: 'POST')]
final class TodayController extends AbstractController
{
    public function __construct(
        private readonly TodayPage $page,
        private readonly Estimates $estimates,
        private readonly Logbook $logbook,
        private readonly TankEditor $editor,
    ) {
    }

    #[Route('', name: 'today', methods: ['GET'])]
    public function show(Tank $tank, #[CurrentUser] Keeper $keeper): Response
    {
        return $this->page($tank, $keeper);
    }

    /**
     * Works the estimate out, for as long as a page may take. The page's script asks for the parts that change;
     * without scripts this leads back to the page.
     */
    #[SlowPool]
    #[Route('/estimate', name: 'today_estimate', methods: ['GET'])]
    public function estimate(Request $request, Tank $tank, #[CurrentUser] Keeper $keeper): Response
    {
        $life = $this->estimates->life($tank, $keeper);
        if (true !== $life?->isRun()) {
            throw $this->createNotFoundException('Nothing is estimated of a tank that is not filled, or is older than a run.');
        }
        [$ticket, $share] = $this->estimates->ask($life, $keeper);
        if (!$request->headers->has('Olvek-Parts')) {
            return $this->redirectToRoute('today', ['tank' => $tank->id(), '_fragment' => 'estimate'], Response::HTTP_SEE_OTHER);
        }
        $response = new Response(status: $ticket->status(), headers: $ticket->headers());

        return $ticket->isDone()
            ? $this->render('today/_parts.html.twig', $this->page->asItIs($tank, $keeper), $response)
            : $this->render('today/_working.html.twig', ['ticket' => $ticket, 'share' => $share], $response);
    }

    /** The keeper's word on something that was planned and is in no logbook: it is logged on its day, or taken out of the plan. */
    #[Route('/happened/{event}', name: 'today_happened', requirements: ['event' => '[a-z0-9-]{1,40}'], methods: ['POST'])]
    public function happened(Request $request, Tank $tank, string $event, #[CurrentUser] Keeper $keeper): Response
    {
        $life = $this->estimates->life($tank, $keeper) ?? throw $this->createNotFoundException('This tank has not been filled yet.');
        $asked = null;
        foreach (ActualPlan::unlogged($life->plan, $life->log, $life->day) as $unlogged) {
            $asked = $unlogged->id === $event ? $unlogged : $asked;
        }
        if (null === $asked) {
            throw $this->createNotFoundException('Nothing of this kind is open any more.');
        }
        try {
            if ('yes' === $request->request->getString('did')) {
                $this->logged($tank, $life, $asked, $keeper);
            } else {
                $this->editor->change($tank, $request->request->getInt('base'), [new Remove('events', $event)], $keeper->units());
            }
        } catch (StaleEdit|InvalidPlan $refused) {
            return $this->page(
                $tank,
                $keeper,
                $refused instanceof StaleEdit ? $refused->getMessage() : implode(' ', $refused->messages($keeper->units())),
                Response::HTTP_CONFLICT,
            );
        }

        return $this->redirectToRoute('today', ['tank' => $tank->id()], Response::HTTP_SEE_OTHER);
    }

    private function logged(Tank $tank, TankHistory $life, PlannedEvent $event, Keeper $keeper): void
    {
        $values = array_values($event->values);
        $amount = (float) ($values[0] ?? 0.0);
        $this->logbook->done(
            $tank,
            $event->kind,
            $amount,
            $event->of,
            LoggedEvent::line(
                $event->kind,
                $amount,
                $keeper->kit(),
                'group' === $event->kind->of() ? $this->group($life, $event) : null,
                'clump' === $event->kind->of() ? $this->clump($life, $event) : null,
                $keeper->units(),
            ),
            $life->filled->modify("+$event->day days")->format('Y-m-d'),
        );
    }

    private function group(TankHistory $life, PlannedEvent $event): ?Group
    {
        return array_column($life->plan->groups, null, 'id')[$event->of ?? ''] ?? null;
    }

    private function clump(TankHistory $life, PlannedEvent $event): ?Clump
    {
        return array_column($life->plan->clumps, null, 'id')[$event->of ?? ''] ?? null;
    }

    private function page(Tank $tank, Keeper $keeper, string $notice = '', int $status = Response::HTTP_OK): Response
    {
        return $this->render('today/today.html.twig', $this->page->all($tank, $keeper, notice: $notice), new Response(status: $status));
    }
}
