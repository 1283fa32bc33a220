<?php

declare(strict_types=1);

namespace Olvek\Page\Shelf;

use Doctrine\ORM\EntityManagerInterface;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Change\Giving;
use Olvek\Core\Planning\Change\Rescape;
use Olvek\Core\Planning\Plan\InvalidPlan;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Build\LastTest;
use Olvek\Service\Editing\SentChange;
use Olvek\Service\Editing\StaleEdit;
use Olvek\Service\Editing\TankEditor;
use Olvek\Service\Shelf\Moving;
use Olvek\Service\Site\FormToken;
use Olvek\Service\Site\Saver;
use Olvek\Service\Tank\Tank;
use Olvek\Service\Tank\TankRepository;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsCsrfTokenValid;

/** What of one tank goes into another: given to one that stands, or kept when it is set up anew. */
#[Route('/tanks/{tank}/things', requirements: ['tank' => Requirement::UUID])]
#[IsCsrfTokenValid(FormToken::ID, methods: 'POST')]
final class ThingsController extends AbstractController
{
    private const MOST_DAYS = Plan::LAST_DAY;
    private const MOVED_ON = 'One of the tanks was changed in another window meanwhile, so nothing was moved. Check both, and send '
        .'it again.';

    public function __construct(
        private readonly TankRepository $tanks,
        private readonly TankEditor $tankEditor,
        private readonly Editor $editor,
        private readonly Saver $saver,
        private readonly EntityManagerInterface $entities,
        private readonly Moving $moving,
        private readonly SentChange $sent,
        private readonly LastTest $lastTest,
    ) {
    }

    #[Route('', name: 'things', methods: ['GET'])]
    public function show(Tank $tank, #[CurrentUser] Keeper $keeper): Response
    {
        return $this->page($tank, $keeper);
    }

    /** Into another tank of the same keeper: both plans say so, or neither. */
    #[Route('/give', name: 'things_give', methods: ['POST'])]
    public function give(Request $request, Tank $tank, #[CurrentUser] Keeper $keeper): Response
    {
        $plan = $this->tankEditor->plan($this->tanks->head($tank));
        $to = $this->tanks->active($keeper)[$request->request->getString('to')] ?? null;
        [$pieces, $fault] = self::amounts($request, 'pieces', array_column($plan->clumps, 'pieces', 'id'));
        $there = $this->moving->heads($tank, $plan, $keeper);
        [$heads, $other] = self::amounts($request, 'heads', $there);
        $today = $request->request->getBoolean('done') ? $this->moving->days($tank, $to, $keeper) : null;
        [$out, $first] = $today ?? [self::day($request, 'out'), self::day($request, 'in')];
        $giving = new Giving(
            $plan,
            $pieces,
            $heads,
            array_values(array_filter($request->request->all('things'), is_string(...))),
            $request->request->getBoolean('bed'),
            $request->request->getBoolean('water'),
        );
        if (null !== $to && $this->isDone($to)) {
            // The same form, sent twice: it went over the first time.
            return $this->given($tank, $to, $giving);
        }
        $poison = null === $to || null === $today || 0 === array_sum($heads) ? null : $this->lastTest->warning($to);
        $moved = $request->request->getInt('base') !== $tank->head()
            || (null !== $to && ($request->request->all('bases')[$to->id()->toRfc4122()] ?? '') !== (string) $to->head());
        $fault = $moved ? self::MOVED_ON : $fault ?? $other ?? match (true) {
            null === $to || $to === $tank => 'Choose the tank that it goes into.',
            null !== $poison && !$request->request->getBoolean('anyway') => "$poison Tick “give all the same” if you want to go on.",
            $request->request->getBoolean('done') && null === $today => 'One of the two is not filled yet, so its days '
                .'are not counted: give the days instead.',
            null === $out || null === $first => 'Give each day as a number from 0 to '.self::MOST_DAYS.'.',
            $giving->isEmpty() => 'Nothing is chosen yet: say how many of what goes over.',
            default => null,
        };
        if (null !== $fault || null === $to || null === $out || null === $first) {
            return $this->page($tank, $keeper, $request, (string) $fault, null !== $poison);
        }
        try {
            // Both are tried before either is saved.
            $taker = $this->tankEditor->plan($this->tanks->head($to));
            $this->editor->make($taker, $giving->taken($first), $keeper->units());
            $this->editor->make($plan, $giving->given($out), $keeper->units());
            $this->entities->wrapInTransaction(function () use ($to, $tank, $giving, $first, $out, $keeper, $today, $taker): void {
                $this->tankEditor->change($to, $to->head(), $giving->taken($first), $keeper->units());
                if ([] !== $giving->given($out)) {
                    $this->tankEditor->change($tank, $tank->head(), $giving->given($out), $keeper->units());
                }
                if (null !== $today) {
                    $this->moving->log($tank, $to, $giving, $taker, $keeper);
                }
            });
        } catch (InvalidPlan $refused) {
            return $this->page($tank, $keeper, $request, implode(' ', $refused->messages($keeper->units())));
        } catch (StaleEdit) {
            $this->addFlash('shelf', ['tank' => '', 'name' => '', 'words' => '', 'undo' => '', 'fault' => self::MOVED_ON]);

            return $this->redirectToRoute('things', ['tank' => $tank->id()], Response::HTTP_SEE_OTHER);
        }

        return $this->given($tank, $to, $giving);
    }

    private function isDone(Tank $to): bool
    {
        $id = $this->sent->id();

        return null !== $id && null !== $this->tanks->madeBy($to, $id);
    }

    private function given(Tank $tank, Tank $to, Giving $giving): Response
    {
        $this->addFlash('shelf', [
            'tank' => $to->id()->toRfc4122(),
            'name' => $to->name(),
            'words' => \sprintf('given from %s: %s', $tank->name(), $giving->words()),
            'undo' => '',
            'fault' => '',
        ]);

        return $this->redirectToRoute('bench', ['tank' => $to->id()], Response::HTTP_SEE_OTHER);
    }

    /** A new plan of the same tank, with what is kept. */
    #[Route('/rescape', name: 'things_rescape', methods: ['POST'])]
    public function rescape(Request $request, Tank $tank, #[CurrentUser] Keeper $keeper): Response
    {
        $day = self::day($request, 'back');
        if (null === $day) {
            return $this->page($tank, $keeper, $request, 'Give each day as a number from 0 to '.self::MOST_DAYS.'.');
        }
        $plan = $this->tankEditor->plan($this->tanks->head($tank));
        $kept = array_values(array_filter($request->request->all('kept'), is_string(...)));
        $changes = Rescape::of($plan, $kept, $request->request->getBoolean('bed'), $request->request->getBoolean('water'), $day);
        try {
            $edited = $this->editor->make($plan, $changes, $keeper->units());
        } catch (InvalidPlan $refused) {
            return $this->page($tank, $keeper, $request, implode(' ', $refused->messages($keeper->units())));
        }
        $next = $this->tankEditor->begin($keeper, $edited->plan, \sprintf('re-scape of %s, version %d', $tank->name(), $tank->head()));
        $next->follow($tank);
        $next->standIn($tank->room());
        $this->saver->flush();

        return $this->redirectToRoute('bench', ['tank' => $next->id()], Response::HTTP_SEE_OTHER);
    }

    /**
     * @param array<string, int> $there how many there are, by id
     *
     * @return array{array<string, int>, string|null} how many are given, and what is wrong with what was typed
     */
    private static function amounts(Request $request, string $name, array $there): array
    {
        $amounts = [];
        foreach ($request->request->all($name) as $id => $typed) {
            $typed = \is_string($typed) ? trim($typed) : '';
            if ('' === $typed || !isset($there[$id])) {
                continue;
            }
            if (!ctype_digit($typed) || (int) $typed > $there[$id]) {
                return [[], \sprintf('Of this there are %d: give a whole number up to that.', $there[$id])];
            }
            $amounts[(string) $id] = (int) $typed;
        }

        return [$amounts, null];
    }

    private static function day(Request $request, string $name): ?int
    {
        $day = filter_var(trim($request->request->getString($name)), \FILTER_VALIDATE_INT, [
            'options' => ['min_range' => 0, 'max_range' => self::MOST_DAYS],
        ]);

        return false === $day ? null : $day;
    }

    /** @param bool $asks whether it is asked if animals are to go into water that the last test found poisonous */
    private function page(Tank $tank, Keeper $keeper, ?Request $request = null, string $fault = '', bool $asks = false): Response
    {
        return $this->render(
            'shelf/things.html.twig',
            [
                'tank' => $tank,
                'plan' => $this->tankEditor->plan($this->tanks->head($tank)),
                'units' => $keeper->units(),
                'heads' => $this->moving->heads($tank, $this->tankEditor->plan($this->tanks->head($tank)), $keeper),
                'others' => array_filter($this->tanks->active($keeper), static fn (Tank $t): bool => $t !== $tank),
                'sent' => $request?->request->all() ?? [],
                'fault' => $fault,
                'asks' => $asks,
                'day' => $this->moving->day($tank, $keeper),
                'most' => self::MOST_DAYS,
            ],
            new Response(status: '' === $fault ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY),
        );
    }
}
