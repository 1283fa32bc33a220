<?php

declare(strict_types=1);

namespace Olvek\Page\Estimate;

use Olvek\Core\Keeping\Estimation\Breath;
use Olvek\Core\Keeping\Estimation\Estimate;
use Olvek\Core\Keeping\Estimation\Quantity;
use Olvek\Core\Keeping\Estimation\QuantityGroup;
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
use Olvek\Service\Estimate\Gauge;
use Olvek\Service\Estimate\Standings;
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

/** A tank as it is today: what is estimated of it, what only the keeper knows, what to test next, and what may be asked. */
#[Route('/tanks/{tank}/today', requirements: ['tank' => Requirement::UUID])]
#[IsCsrfTokenValid(FormToken::ID, methods: 'POST')]
final class TodayController extends AbstractController
{
    /** What the page shows, in groups. */
    public function __construct(
        private readonly Estimates $estimates,
        private readonly Logbook $logbook,
        private readonly TankEditor $editor,
        private readonly Standings $standings,
    ) {
    }

    #[SlowPool]
    #[Route('', name: 'today', methods: ['GET'])]
    public function show(Tank $tank, #[CurrentUser] Keeper $keeper): Response
    {
        return $this->page($tank, $keeper);
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

    private function page(Tank $tank, Keeper $keeper, string $notice = '', ?int $status = null): Response
    {
        $life = $this->estimates->life($tank, $keeper);
        [$ticket, $share] = null === $life || !$life->isRun() ? [null, 0.0] : $this->estimates->ask($life, $keeper);
        $estimate = $ticket?->value;
        $common = ['tank' => $tank, 'life' => $life, 'ticket' => $ticket, 'share' => $share, 'notice' => $notice];
        $response = new Response(status: $status ?? $ticket?->status() ?? Response::HTTP_OK, headers: $ticket?->headers() ?? []);
        if (null === $life || !$estimate instanceof Estimate) {
            return $this->render('estimate/today.html.twig', [...$common, 'estimate' => null], $response);
        }
        $groups = [];
        foreach (QuantityGroup::cases() as $group) {
            $groups[$group->value] = array_map(
                static fn (Quantity $q): Gauge => Gauge::of($q, $estimate, $life->log, $keeper->kit(), $keeper->units()),
                $group->quantities(),
            );
        }
        $topics = [];
        foreach ($this->estimates->proposals($life, $estimate, $keeper->units()) as $proposal) {
            $topics[$proposal->topic->value]['words'] = $proposal->topic->words();
            $topics[$proposal->topic->value]['proposals'][] = [
                'proposal' => $proposal,
                'shown' => null === $proposal->amount ? '' : $proposal->number?->show($proposal->amount, $keeper->units()) ?? '',
                'unit' => $proposal->number?->unit($keeper->units())->symbol() ?? '',
                'of' => $proposal->number->label ?? '',
            ];
        }

        return $this->render('estimate/today.html.twig', [
            ...$common,
            'estimate' => $estimate,
            'standing' => $this->standings->of($tank, $keeper),
            'groups' => $groups,
            'asked' => $estimate->asked(ActualPlan::unlogged($life->plan, $life->log, $life->day)),
            'breath' => Breath::of($life->plan, $life->log),
            'topics' => $topics,
        ], $response);
    }
}
