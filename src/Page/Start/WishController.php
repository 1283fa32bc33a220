<?php

declare(strict_types=1);

namespace Olvek\Page\Start;

use Olvek\Core\Judgement\Margin\Uncertainty;
use Olvek\Core\Judgement\Solve\Compose\NearestWish;
use Olvek\Core\Judgement\Solve\Compose\Wish;
use Olvek\Core\Judgement\Solve\Compose\WishDocument;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Core\Planning\Plan\Refused;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Drawing\Elevation;
use Olvek\Service\Editing\TankEditor;
use Olvek\Service\Site\FormToken;
use Olvek\Service\Start\Composed;
use Olvek\Service\Start\ComposeJob;
use Olvek\Service\Start\ConfirmJob;
use Olvek\Service\Start\NearestJob;
use Olvek\Service\Work\SlowPool;
use Olvek\Service\Work\Ticket;
use Olvek\Service\Work\WorkQueue;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsCsrfTokenValid;

/** From a wish to three plans side by side, and one of them onto the shelf. The wish stands in the address: it can be kept and sent on. */
#[Route('/tanks/new')]
#[IsCsrfTokenValid(FormToken::ID, methods: 'POST')]
final class WishController extends AbstractController
{
    public function __construct(
        private readonly WishForm $form,
        private readonly WishPage $page,
        private readonly WishDocument $wishes,
        private readonly PlanDocument $plans,
        private readonly WorkQueue $queue,
    ) {
    }

    #[Route('/wish', name: 'wish', methods: ['GET'])]
    public function wish(Request $request, #[CurrentUser] Keeper $keeper): Response
    {
        return $this->asked($request, $keeper, []);
    }

    /** Three plans, each of them worked out by a request of its own. */
    #[Route('/plans', name: 'wish_plans', methods: ['GET'])]
    public function plans(Request $request, #[CurrentUser] Keeper $keeper): Response
    {
        $wish = $this->read($request, $keeper);
        if ($wish instanceof Response) {
            return $wish;
        }

        return $this->render('start/plans.html.twig', ['wish' => $wish, 'tastes' => $wish->tastes(), 'query' => $request->query->all()]);
    }

    /**
     * One of the three, as a fragment where a script asks, else as a page: as soon as it is made, or when it is known how sure it is, which
     * takes longer.
     */
    #[SlowPool]
    #[Route('/plans/{n}', name: 'wish_plan', requirements: ['n' => '[0-2]'], methods: ['GET'])]
    #[Route('/plans/{n}/sure', name: 'wish_sure', requirements: ['n' => '[0-2]'], defaults: ['sure' => true], methods: ['GET'])]
    public function plan(Request $request, int $n, #[CurrentUser] Keeper $keeper, bool $sure = false): Response
    {
        $wish = $this->read($request, $keeper);
        if ($wish instanceof Response) {
            return $wish;
        }
        $ticket = $this->ticket($wish, $n, $keeper);
        $composed = $ticket->isDone() ? self::composed($ticket) : null;
        if ($sure && null !== $composed) {
            $ticket = $this->queue->ask(new ConfirmJob($composed->plan), $keeper);
            $composed = $ticket->isDone() ? $this->confirmed($composed, $ticket) : null;
        }
        $fragment = null === $composed ? 'bench/_waiting.html.twig' : 'start/_plan.html.twig';

        return $this->render(
            $request->headers->has('Olvek-Parts') ? $fragment : 'start/plan.html.twig',
            [
                'inner' => $fragment,
                'ticket' => $ticket,
                'n' => $n,
                'query' => $request->query->all(),
                'taste' => $wish->tastes()[$n],
                'found' => $composed,
                'drawing' => null === $composed ? null : Elevation::thumbnail($this->plans->fromJson($composed->plan), $composed->look),
            ],
            new Response(status: $ticket->status(), headers: $ticket->headers()),
        );
    }

    /** Where no plan holds: the nearest wish for which one does. */
    #[SlowPool]
    #[Route('/plans/{n}/nearest', name: 'wish_nearest', requirements: ['n' => '[0-2]'], methods: ['GET'])]
    public function nearest(Request $request, int $n, #[CurrentUser] Keeper $keeper): Response
    {
        $query = $request->query->all();
        $wish = $this->read($request, $keeper);
        if ($wish instanceof Response) {
            return $wish;
        }
        $ticket = $this->queue->ask(new NearestJob($this->wishes->toJson($wish), $wish->tastes()[$n], $keeper->units()), $keeper);
        $nearest = $ticket->value instanceof NearestWish ? $ticket->value : null;
        $fragment = $ticket->isDone() ? 'start/_nearest.html.twig' : 'bench/_waiting.html.twig';

        return $this->render(
            $request->headers->has('Olvek-Parts') ? $fragment : 'start/plan.html.twig',
            [
                'inner' => $fragment,
                'ticket' => $ticket,
                'query' => $query,
                'taste' => $wish->tastes()[$n],
                'nearest' => $nearest,
                'then' => null === $nearest ? [] : WishForm::query($nearest->wish, $query),
            ],
            new Response(status: $ticket->status(), headers: $ticket->headers()),
        );
    }

    #[SlowPool]
    #[Route('/plans/{n}', name: 'wish_take', requirements: ['n' => '[0-2]'], methods: ['POST'])]
    public function take(Request $request, int $n, #[CurrentUser] Keeper $keeper, TankEditor $editor): Response
    {
        $wish = $this->read($request, $keeper);
        if ($wish instanceof Response) {
            return $wish;
        }
        $ticket = $this->ticket($wish, $n, $keeper);
        if (!$ticket->isDone()) {
            return $this->redirectToRoute('wish_plan', ['n' => $n, ...$request->query->all()], Response::HTTP_SEE_OTHER);
        }
        $composed = self::composed($ticket);
        $tank = $editor->begin(
            $keeper,
            $this->plans->fromJson($composed->plan),
            'made for a wish: '.mb_strtolower($composed->taste->words()),
        );

        return $this->redirectToRoute('bench', ['tank' => $tank->id()], Response::HTTP_SEE_OTHER);
    }

    /** The wish of the address, or the page that says why it is none. */
    private function read(Request $request, Keeper $keeper): Wish|Response
    {
        try {
            return $this->form->read($request->query->all(), $keeper->units(), $keeper->stock());
        } catch (Refused $refused) {
            return $this->asked($request, $keeper, $refused->messages($keeper->units()));
        }
    }

    private function ticket(Wish $wish, int $n, Keeper $keeper): Ticket
    {
        return $this->queue->ask(new ComposeJob($this->wishes->toJson($wish), $wish->tastes()[$n], $keeper->units()), $keeper);
    }

    private static function composed(Ticket $done): Composed
    {
        \assert($done->value instanceof Composed);

        return $done->value;
    }

    private function confirmed(Composed $composed, Ticket $done): Composed
    {
        \assert($done->value instanceof Uncertainty);

        return $composed->with($done->value, $this->plans->fromJson($composed->plan));
    }

    /** @param array<string, string> $errors why the wish was refused, by place */
    private function asked(Request $request, Keeper $keeper, array $errors): Response
    {
        return $this->render(
            'start/wish.html.twig',
            $this->page->of($keeper, $request->query->all(), $errors),
            new Response(status: [] === $errors ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY),
        );
    }
}
