<?php

declare(strict_types=1);

namespace Olvek\Shelf;

use Olvek\Account\Keeper;
use Olvek\Account\Today;
use Olvek\Build\BuildRecords;
use Olvek\Core\Catalogue\Catalogue;
use Olvek\Core\Log\Stock;
use Olvek\Editing\TankEditor;
use Olvek\Log\Logbook;
use Olvek\Tank\TankRepository;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** All plants and animals of a keeper, over all tanks that are filled, and what was spent on each. */
final class StockController extends AbstractController
{
    /** Tanks that are looked through. J: beyond it a page would be a book. */
    private const MOST = 100;

    public function __construct(
        private readonly TankRepository $tanks,
        private readonly TankEditor $road,
        private readonly BuildRecords $book,
        private readonly Logbook $logbook,
        private readonly Today $today,
        private readonly Catalogue $catalogue,
    ) {
    }

    #[Route('/stock', name: 'stock', methods: ['GET'])]
    public function __invoke(#[CurrentUser] Keeper $keeper): Response
    {
        $today = $this->today->of($keeper);
        $animals = $plants = $spent = [];
        foreach ($this->tanks->shelf($keeper, self::MOST) as $revision) {
            $tank = $revision->tank;
            $filled = $this->book->filledOn($tank);
            if (null === $filled) {
                continue;
            }
            $day = max(0, Today::between($filled, $today));
            $stock = new Stock($this->road->plan($revision), $this->logbook->since($tank, $filled, $day), $day);
            foreach ($stock->groups() as $group) {
                $animals = self::put(
                    $animals,
                    $group->kind->id,
                    $group->kind->common,
                    $tank->id()->toRfc4122(),
                    $tank->name(),
                    $stock->heads($group),
                );
            }
            foreach ($stock->clumps() as $clump) {
                $plants = self::put(
                    $plants,
                    $clump->kind->id,
                    $clump->kind->common,
                    $tank->id()->toRfc4122(),
                    $tank->name(),
                    $stock->pieces($clump),
                );
            }
            if ($stock->spent() > 0) {
                $spent[] = ['tank' => $tank, 'money' => $stock->spent()];
            }
        }
        foreach ($keeper->stock() as $kind => $pieces) {
            $plants = self::put($plants, $kind, $this->catalogue->plants[$kind]->common ?? $kind, '', 'on hand', $pieces);
        }

        return $this->render('shelf/stock.html.twig', [
            'animals' => self::sorted($animals),
            'plants' => self::sorted($plants),
            'spent' => $spent,
        ]);
    }

    /**
     * @param array<string, array{name: string, sum: int, in: array<string, array{name: string, count: int}>}> $all
     *
     * @return array<string, array{name: string, sum: int, in: array<string, array{name: string, count: int}>}>
     */
    private static function put(array $all, string $kind, string $name, string $tank, string $where, ?int $count): array
    {
        if (null !== $count && $count > 0) {
            $all[$kind] ??= ['name' => $name, 'sum' => 0, 'in' => []];
            $all[$kind]['sum'] += $count;
            $all[$kind]['in'][$tank] = ['name' => $where, 'count' => ($all[$kind]['in'][$tank]['count'] ?? 0) + $count];
        }

        return $all;
    }

    /**
     * @param array<string, array{name: string, sum: int, in: array<string, array{name: string, count: int}>}> $all
     *
     * @return list<array{name: string, sum: int, in: array<string, array{name: string, count: int}>}>
     */
    private static function sorted(array $all): array
    {
        usort($all, static fn (array $a, array $b): int => $a['name'] <=> $b['name']);

        return $all;
    }
}
