<?php

declare(strict_types=1);

namespace Olvek\Page\Shelf;

use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Shelf\TankStocks;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * All plants and animals of a keeper, over all tanks that are filled, and what was spent on each; or one kind of them, with every tank.
 *
 * @phpstan-type StockKind array{id: string, name: string, sum: int, in: array<string, array{name: string, count: int}>}
 */
final class StockController extends AbstractController
{
    /** Tanks that are named beside a kind; its own page names all. J: as many as a line or two hold. */
    private const NAMED = 8;

    public function __construct(private readonly TankStocks $stocks, private readonly Catalogue $catalogue)
    {
    }

    #[Route('/stock', name: 'stock', methods: ['GET'])]
    public function __invoke(Request $request, #[CurrentUser] Keeper $keeper): Response
    {
        $only = $request->query->getString('kind');
        $animals = $plants = $spent = [];
        foreach ($this->stocks->of($keeper) as [$tank, $stock]) {
            $id = $tank->id()->toRfc4122();
            foreach ($stock['kinds'] as [$isAnimal, $kind, $name, $count]) {
                if ('' !== $only && $only !== $kind) {
                    continue;
                }
                if ($isAnimal) {
                    $animals = self::put($animals, $kind, $name, $id, $tank->name(), $count);
                } else {
                    $plants = self::put($plants, $kind, $name, $id, $tank->name(), $count);
                }
            }
            if ($stock['spent'] > 0) {
                $spent[] = ['tank' => $tank, 'money' => $stock['spent']];
            }
        }
        foreach ($keeper->stock() as $kind => $pieces) {
            if ('' === $only || $only === $kind) {
                $plants = self::put($plants, $kind, $this->catalogue->plants[$kind]->common ?? $kind, '', 'on hand', $pieces);
            }
        }
        if ('' !== $only && [] === $animals && [] === $plants) {
            throw $this->createNotFoundException('None of that kind is in any of your tanks.');
        }

        return $this->render('shelf/stock.html.twig', [
            'animals' => self::sorted($animals),
            'plants' => self::sorted($plants),
            'spent' => '' === $only ? $spent : [],
            'only' => $only,
            'named' => '' === $only ? self::NAMED : null,
        ]);
    }

    /**
     * @param array<string, StockKind> $all
     *
     * @return array<string, StockKind>
     */
    private static function put(array $all, string $kind, string $name, string $tank, string $where, int $count): array
    {
        if ($count > 0) {
            $all[$kind] ??= ['id' => $kind, 'name' => $name, 'sum' => 0, 'in' => []];
            $all[$kind]['sum'] += $count;
            $all[$kind]['in'][$tank] = ['name' => $where, 'count' => ($all[$kind]['in'][$tank]['count'] ?? 0) + $count];
        }

        return $all;
    }

    /**
     * @param array<string, StockKind> $all
     *
     * @return list<StockKind>
     */
    private static function sorted(array $all): array
    {
        usort($all, static fn (array $a, array $b): int => $a['name'] <=> $b['name']);

        return $all;
    }
}
