<?php

declare(strict_types=1);

namespace Olvek\Page\Shelf;

use Olvek\Service\Account\Keeper;
use Olvek\Service\Almanac\Almanac;
use Olvek\Service\Almanac\Due;
use Olvek\Service\Estimate\Standings;
use Olvek\Service\Log\EntryRepository;
use Olvek\Service\Shelf\Summaries;
use Olvek\Service\Tank\Revision;
use Olvek\Service\Tank\Tank;
use Olvek\Service\Tank\TankRepository;
use Olvek\Service\Work\Deadline;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

final class ShelfController extends AbstractController
{
    /** Tanks that stand on one page of the shelf. */
    private const BOARD = 12;
    /** Seconds that the page gives to tanks whose standing today is not known yet. J. */
    private const PATIENCE = 0.25;

    #[Route('/', name: 'shelf', methods: ['GET'])]
    public function shelf(
        Request $request,
        #[CurrentUser] Keeper $keeper,
        TankRepository $tanks,
        Summaries $summaries,
        Almanac $almanac,
        EntryRepository $entries,
        Standings $standings,
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
        $read = $entries->lastRead($here);
        [$stand, $unknown] = $standings->among($here, $keeper, new Deadline(self::PATIENCE));

        return $this->render('shelf/shelf.html.twig', [
            'board' => $board,
            'waiting' => max($asks['waiting'], $unknown),
            'boards' => $boards,
            'archived' => $tanks->archived($keeper),
            'rooms' => $tanks->rooms($keeper),
            'tanks' => array_map(
                static fn (Revision $r): array => [
                    'tank' => $r->tank,
                    'summary' => $summaries->of($r, $stand[$r->tank->id()->toRfc4122()] ?? null, $keeper->units()),
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
}
