<?php

declare(strict_types=1);

namespace Olvek\Page\Read;

use Olvek\Core\Judgement\Sign\Knowledge;
use Olvek\Core\Keeping\Log\Improved;
use Olvek\Core\Planning\Plan\InvalidPlan;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Editing\StaleEdit;
use Olvek\Service\Read\AttemptLog;
use Olvek\Service\Read\ReadingQuestion;
use Olvek\Service\Read\TankReader;
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

/** A tank is read: what is seen in it, what lies behind, what to do, and whether it helped. */
#[Route('/tanks/{tank}/read', requirements: ['tank' => Requirement::UUID])]
#[IsCsrfTokenValid(FormToken::ID, methods: 'POST')]
final class ReadController extends AbstractController
{
    public function __construct(
        private readonly TankReader $reader,
        private readonly ReadPage $page,
        private readonly AttemptLog $attempts,
        private readonly Knowledge $knowledge,
    ) {
    }

    #[SlowPool]
    #[Route('', name: 'read', methods: ['GET'])]
    public function show(Request $request, Tank $tank, #[CurrentUser] Keeper $keeper): Response
    {
        return $this->all($request, $tank, $keeper);
    }

    /** One press: what is advised goes into the plan, the logbook and the almanac. */
    #[Route('', name: 'read_try', methods: ['POST'])]
    public function try(Request $request, Tank $tank, #[CurrentUser] Keeper $keeper): Response
    {
        $question = ReadingQuestion::of($request->query, $this->reader->plan($tank), $this->knowledge);
        $cause = $this->page->cause($request->request->getString('cause'));
        $day = $this->reader->day($tank, $keeper);
        $case = null === $day || [] === $question->seen ? null : $this->reader->case($tank, $keeper, $question);
        if (null === $cause || null === $case) {
            return $this->all($request, $tank, $keeper, 'That cannot be tried in this tank: choose what you see, and read it again.');
        }
        $trial = 'plan' === $request->request->getString('do') ? $this->page->trial($case, $cause) : null;
        try {
            $this->attempts->try($tank, $keeper, $request->request->getInt('base'), $cause, $question->seen, $trial);
        } catch (StaleEdit|InvalidPlan $refused) {
            return $this->all(
                $request,
                $tank,
                $keeper,
                $refused instanceof StaleEdit ? $refused->getMessage() : implode(' ', $refused->messages($keeper->units())),
                Response::HTTP_CONFLICT,
            );
        }

        return $this->redirectToRoute('read', ['tank' => $tank->id(), '_fragment' => 'tried'], Response::HTTP_SEE_OTHER);
    }

    /** Whether it is better. */
    #[Route('/came', name: 'read_came', methods: ['POST'])]
    public function came(Request $request, Tank $tank, #[CurrentUser] Keeper $keeper): Response
    {
        $came = Improved::tryFrom($request->request->getString('came'));
        $day = $this->reader->day($tank, $keeper) ?? 0;
        foreach ($this->page->attempts($tank, $keeper, $day) as $one) {
            if (
                null !== $came
                && null === $one['attempt']->came
                && $one['attempt']->isOf($request->request->getString('cause'), $request->request->getString('seen'))
            ) {
                $this->attempts->came($tank, $keeper, $one['attempt'], $one['cause'], $came);

                return $this->redirectToRoute('read', ['tank' => $tank->id(), '_fragment' => 'tried'], Response::HTTP_SEE_OTHER);
            }
        }

        return $this->all($request, $tank, $keeper, 'This was answered already.', Response::HTTP_CONFLICT);
    }

    private function all(
        Request $request,
        Tank $tank,
        Keeper $keeper,
        string $notice = '',
        int $status = Response::HTTP_UNPROCESSABLE_ENTITY,
    ): Response {
        $plan = $this->reader->plan($tank);
        $question = ReadingQuestion::of($request->query, $plan, $this->knowledge);
        $today = $this->reader->day($tank, $keeper);
        $asked = filter_var($request->query->get('day'), \FILTER_VALIDATE_INT, [
            'options' => ['min_range' => 0, 'max_range' => Plan::LAST_DAY - 2],
        ]);
        $case = [] === $question->seen ? null : $this->reader->case($tank, $keeper, $question, false === $asked ? null : $asked);
        $tooOld = [] !== $question->seen && null === $case;

        return $this->render('read/read.html.twig', [
            'tank' => $tank,
            'plan' => $plan,
            'day' => $case->day ?? $today,
            'filled' => $tank->filledOn(),
            'question' => $question,
            'signs' => ReadPage::signs(),
            'tooOld' => $tooOld,
            'attempts' => null === $today ? [] : $this->page->attempts($tank, $keeper, $today),
            'answer' => null === $case ? null : $this->page->read($case, $question, $request->query->getString('try')),
            'notice' => $notice,
            'route' => 'read',
            'base' => ['tank' => $tank->id(), ...null === $today && null !== $case ? ['day' => $case->day] : []],
        ], new Response(status: match (true) {
            '' !== $notice => $status,
            [] === $question->errors => Response::HTTP_OK,
            default => Response::HTTP_UNPROCESSABLE_ENTITY,
        }));
    }
}
