<?php

declare(strict_types=1);

namespace Olvek\Page\Bench;

use Olvek\Core\Judgement\Margin\Harm\HarmId;
use Olvek\Core\Judgement\Margin\Judge;
use Olvek\Core\Judgement\Margin\MarginId;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Change\Recipe;
use Olvek\Core\Planning\Plan\InvalidPlan;
use Olvek\Core\Planning\Plan\Method;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Editing\TankEditor;
use Olvek\Service\Estimate\Estimates;
use Olvek\Service\Judging\AnswerJob;
use Olvek\Service\Judging\AvertingJob;
use Olvek\Service\Judging\BandJob;
use Olvek\Service\Judging\DecidingJob;
use Olvek\Service\Judging\Outcomes;
use Olvek\Service\Judging\Questions;
use Olvek\Service\Judging\RemedyJob;
use Olvek\Service\Judging\StressJob;
use Olvek\Service\Judging\Verdict;
use Olvek\Service\Site\FormToken;
use Olvek\Service\Tank\Tank;
use Olvek\Service\Tank\TankRepository;
use Olvek\Service\Work\SlowPool;
use Olvek\Service\Work\Ticket;
use Olvek\Service\Work\WorkQueue;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsCsrfTokenValid;

/** What takes longer than a look: which changes would help a margin, and how sure the margins are. */
#[SlowPool]
#[Route('/tanks/{tank}', requirements: ['tank' => Requirement::UUID])]
#[IsCsrfTokenValid(FormToken::ID, methods: 'POST')]
final class WhyController extends AbstractController
{
    public function __construct(
        private readonly TankRepository $tanks,
        private readonly TankEditor $tankEditor,
        private readonly Outcomes $outcomes,
        private readonly WorkQueue $queue,
        private readonly Questions $questions,
        private readonly Editor $editor,
        private readonly Estimates $estimates,
    ) {
    }

    /** The two or three changes that would help a margin most, each tried; as a fragment where a script asks, else as a page. */
    #[Route('/helps/{margin}', name: 'bench_helps', requirements: ['margin' => '[a-z]{2,20}'], methods: ['GET'])]
    public function helps(Request $request, Tank $tank, string $margin, #[CurrentUser] Keeper $keeper): Response
    {
        $revision = $this->tanks->head($tank);
        $plan = $this->tankEditor->plan($revision);
        $known =
            $this->outcomes
                ->of($revision, $plan, $keeper->units())
                ->margin(MarginId::tryFrom($margin) ?? throw $this->createNotFoundException('There is no such margin.')) ??
            throw $this->createNotFoundException('There is no such margin.');

        $ticket = $this->queue->ask(new RemedyJob($revision->plan, $known->id, $keeper->units()), $keeper);

        return $this->answered($request, $ticket, $tank, 'helps', ['margin' => $known, 'helps' => $ticket->value]);
    }

    /** What averts a harm, each tried; as a fragment where a script asks, else as a page. */
    #[Route('/averts/{harm}', name: 'bench_averts', requirements: ['harm' => '[a-z]{2,20}'], methods: ['GET'])]
    public function averts(Request $request, Tank $tank, string $harm, #[CurrentUser] Keeper $keeper): Response
    {
        $id = HarmId::tryFrom($harm) ?? throw $this->createNotFoundException('There is no such harm.');
        $ticket = $this->queue->ask(new AvertingJob($this->tanks->head($tank)->plan, $id, $keeper->units()), $keeper);

        return $this->answered($request, $ticket, $tank, 'averts', ['averts' => $ticket->value]);
    }

    /** An inverse question, answered by trying; the answer can be taken like any other change. */
    #[Route(
        '/solve/{question}/{kind}',
        name: 'bench_solve',
        requirements: ['question' => '[a-z]{2,20}', 'kind' => '[a-z0-9-]{1,60}'],
        defaults: ['kind' => null],
        methods: ['GET'],
    ),]
    public function solve(Request $request, Tank $tank, string $question, ?string $kind, #[CurrentUser] Keeper $keeper): Response
    {
        if (null === $this->questions->named($question, $kind)) {
            throw $this->createNotFoundException('Olvek has no such question.');
        }
        $ticket = $this->queue->ask(new AnswerJob($this->tanks->head($tank)->plan, $question, $kind), $keeper);

        return $this->answered($request, $ticket, $tank, 'answer', ['answer' => $ticket->value]);
    }

    /** What mishaps would come to in the grown tank, each rehearsed. */
    #[Route('/stress', name: 'bench_stress', methods: ['GET'])]
    public function stress(Request $request, Tank $tank, #[CurrentUser] Keeper $keeper): Response
    {
        $ticket = $this->queue->ask(new StressJob($this->tanks->head($tank)->plan), $keeper);

        return $this->answered($request, $ticket, $tank, 'stress', ['rehearsals' => $ticket->value]);
    }

    /** Which uncertain numbers decide the tank, and which of them can be measured. */
    #[Route('/deciding', name: 'bench_deciding', methods: ['GET'])]
    public function deciding(Request $request, Tank $tank, #[CurrentUser] Keeper $keeper): Response
    {
        $ticket = $this->queue->ask(new DecidingJob($this->tanks->head($tank)->plan, $keeper->units()), $keeper);

        return $this->answered($request, $ticket, $tank, 'deciding', ['tornado' => $ticket->value]);
    }

    /** What a method would change here, and what it would come to. */
    #[Route('/method/{method}', name: 'bench_method', methods: ['GET'])]
    public function method(Request $request, Tank $tank, string $method, #[CurrentUser] Keeper $keeper): Response
    {
        $recipe = Method::tryFrom($method) ?? throw $this->createNotFoundException('There is no such method.');
        $revision = $this->tanks->head($tank);
        $plan = $this->tankEditor->plan($revision);
        $words = [];
        $then = $refused = null;
        try {
            $edited = $this->editor->make($plan, Recipe::of($recipe, $plan, $keeper->units()), $keeper->units());
            $words = $edited->words;
            $then = Verdict::of(Judge::judge($edited->plan, $keeper->units()));
        } catch (InvalidPlan $broken) {
            $refused = array_values($broken->messages($keeper->units()));
        }

        return $this->shown($request, 'method', [
            'tank' => $tank,
            'method' => $recipe,
            'words' => $words,
            'refused' => $refused,
            'then' => $then,
            'differences' => null === $then ? [] : $then->differences($this->outcomes->of($revision, $plan, $keeper->units())),
        ]);
    }

    /**
     * What was asked, or how it stands with it.
     *
     * @param array<string, mixed> $context
     */
    private function answered(Request $request, Ticket $ticket, Tank $tank, string $what, array $context): Response
    {
        $response = $ticket->isDone()
            ? $this->shown($request, $what, ['tank' => $tank, ...$context])
            : $this->shown($request, 'waiting', ['tank' => $tank, 'ticket' => $ticket]);
        $response->setStatusCode($ticket->status());
        $response->headers->add($ticket->headers());

        return $response;
    }

    /**
     * A fragment where a script asks, else a page around it.
     *
     * @param array<string, mixed> $context
     */
    private function shown(Request $request, string $what, array $context): Response
    {
        return $request->headers->has('Olvek-Parts')
            ? $this->render("bench/_$what.html.twig", $context)
            : $this->render('bench/asked.html.twig', ['inner' => "bench/_$what.html.twig", ...$context]);
    }

    /** Judges a few more of the tanks whose uncertain numbers differ; of a running tank all of them, in the background. */
    #[Route('/sure/{part}', name: 'bench_sure', requirements: ['part' => '\d{1,3}'], methods: ['POST'])]
    public function sure(Request $request, Tank $tank, int $part, #[CurrentUser] Keeper $keeper): Response
    {
        if ($part >= Outcomes::PARTS) {
            throw $this->createNotFoundException('There are only so many parts.');
        }
        $life = $this->estimates->life($tank, $keeper);
        if (null !== $life && $life->isRun()) {
            // A running tank's estimate says how sure its verdict is, in one part.
            [$ticket] = $this->estimates->ask($life, $keeper);

            return new JsonResponse(
                ['base' => $tank->head(), 'done' => $ticket->isDone(), 'of' => 1],
                $ticket->status(),
                $ticket->headers(),
            );
        }
        $revision = $this->tanks->head($tank);
        $ticket = $this->queue->ask(new BandJob($revision->plan, $part), $keeper);

        return new JsonResponse(
            ['base' => $tank->head(), 'done' => $ticket->isDone() && $this->outcomes->gather($revision), 'of' => Outcomes::PARTS],
            $ticket->status(),
            $ticket->headers(),
        );
    }
}
