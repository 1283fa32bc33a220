<?php

declare(strict_types=1);

namespace Olvek\Page\Compare;

use Olvek\Core\Judgement\Compare\Curves;
use Olvek\Core\Judgement\Compare\Differences;
use Olvek\Core\Judgement\Compare\Part;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Planning\Change\TakePart;
use Olvek\Core\Planning\Plan\InvalidPlan;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Compare\Column;
use Olvek\Service\Compare\Comparables;
use Olvek\Service\Compare\Compared;
use Olvek\Service\Drawing\Elevation;
use Olvek\Service\Editing\StaleEdit;
use Olvek\Service\Editing\TankEditor;
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

/** Two or three tanks, versions or methods side by side. */
#[IsCsrfTokenValid(FormToken::ID, methods: 'POST')]
final class CompareController extends AbstractController
{
    private const MOST = 3;
    /** Day that is shown first: grown in. */
    private const FIRST_SHOWN = 60;
    /** Seconds until a page asks again whether the doubt has been worked out. */
    private const AGAIN = 2;

    public function __construct(
        private readonly Comparables $comparables,
        private readonly Catalogue $catalogue,
        private readonly TankEditor $editor,
    ) {
    }

    #[SlowPool]
    #[Route('/compare', name: 'compare', methods: ['GET'])]
    public function show(Request $request, #[CurrentUser] Keeper $keeper): Response
    {
        return $this->page($request, $keeper);
    }

    /** Drawings and numbers on one day, for a cursor that moves. */
    #[Route('/compare/day', name: 'compare_day', methods: ['GET'])]
    public function day(Request $request, #[CurrentUser] Keeper $keeper): Response
    {
        [$columns] = $this->columns($request, $keeper);

        return $this->render('compare/_day.html.twig', $this->onDay($columns, $request, $keeper));
    }

    /** A part of another becomes part of this tank's plan. */
    #[Route('/tanks/{tank}/compare/take', name: 'compare_take', requirements: ['tank' => Requirement::UUID], methods: ['POST'])]
    public function take(Request $request, Tank $tank, #[CurrentUser] Keeper $keeper): Response
    {
        $part = Part::tryFrom($request->request->getString('part')) ?? throw $this->createNotFoundException('A plan has no such part.');
        try {
            $from = $this->comparables->column($request->request->getString('from'), $keeper);
            $this->editor->change(
                $tank,
                $request->request->getInt('base'),
                [new TakePart($from->drawn->withName(mb_substr($from->name, 0, 80)), $part->words(), $part->keys())],
                $keeper->units(),
            );
        } catch (StaleEdit|InvalidPlan $refused) {
            return $this->page(
                $request,
                $keeper,
                $refused instanceof StaleEdit
                    ? $refused->getMessage()
                    : \sprintf('Its %s does not fit here: %s', $part->words(), implode(' ', $refused->messages($keeper->units()))),
                Response::HTTP_CONFLICT,
            );
        }

        return $this->redirectToRoute('compare', ['with' => $this->wanted($request)], Response::HTTP_SEE_OTHER);
    }

    private function page(
        Request $request,
        Keeper $keeper,
        string $notice = '',
        int $status = Response::HTTP_UNPROCESSABLE_ENTITY,
    ): Response {
        [$columns, $refused] = $this->columns($request, $keeper);
        $notice = '' === $notice ? $refused : $notice;
        $tanks = [];
        foreach ($columns as $column) {
            $tanks[$column->tank->id()->toRfc4122()] = $column->tank;
        }
        $enough = \count($columns) >= 2;
        $first = [] === $columns ? null : $columns[0]->plan;
        $doubt = $enough ? $this->comparables->doubt($columns, $keeper) : [[], []];

        return $this->render('compare/compare.html.twig', [
            'columns' => $columns,
            'wanted' => $this->wanted($request),
            'offered' => $this->comparables->offered($keeper, array_values($tanks)),
            'notice' => $notice,
            'sureness' => $doubt[0] ?? null,
            'clear' => $doubt[1] ?? null,
            'again' => null === $doubt ? self::AGAIN : null,
            'differences' => null === $first ? [] : array_map(
                fn (Column $other): Differences => Differences::between($first, $other->plan, $this->catalogue, $keeper->units()),
                \array_slice($columns, 1),
            ),
            ...$this->onDay($columns, $request, $keeper),
        ], new Response(
            status: match (true) {
                '' !== $notice => $status,
                null === $doubt => Response::HTTP_ACCEPTED,
                default => Response::HTTP_OK,
            },
            headers: null === $doubt ? ['Retry-After' => (string) self::AGAIN] : [],
        ));
    }

    /**
     * @param list<Column> $columns
     *
     * @return array<string, mixed>
     */
    private function onDay(array $columns, Request $request, Keeper $keeper): array
    {
        $days = [] === $columns ? 1 : max(array_map(static fn (Column $c): int => $c->compared->days, $columns));
        $day = self::asked($request, $days);
        $tanks = array_map(static fn (Column $c): Compared => $c->compared, $columns);

        return [
            'columns' => $columns,
            'day' => $day,
            'days' => $days,
            'views' => array_map(static fn (Column $c) => Elevation::thumbnail($c->plan, $c->compared->album->on($day)), $columns),
            'charts' => [] === $tanks ? [] : array_map(
                static fn ($quantity): CompareChart => CompareChart::of($quantity, $tanks, $days, $day, $keeper->kit(), $keeper->units()),
                Curves::all(),
            ),
        ];
    }

    /** The day that is asked for, the nearest that there is; the first shown where none is named. */
    private static function asked(Request $request, int $days): int
    {
        $sent = $request->query->all()['day'] ?? null;
        $day = filter_var($sent, \FILTER_VALIDATE_INT);

        return max(0, min($days - 1, match (true) {
            null === $sent => self::FIRST_SHOWN,
            false === $day => 0,
            default => $day,
        }));
    }

    /** @return list<string> */
    private function wanted(Request $request): array
    {
        $sent = $request->query->all()['with'] ?? [];
        $texts = array_filter(\is_array($sent) ? $sent : [$sent], static fn (mixed $t): bool => \is_string($t) && '' !== $t);

        return \array_slice(array_values($texts), 0, self::MOST);
    }

    /** @return array{list<Column>, string} and why one of them is none */
    private function columns(Request $request, Keeper $keeper): array
    {
        $columns = [];
        $refused = '';
        foreach ($this->wanted($request) as $text) {
            try {
                $columns[] = $this->comparables->column($text, $keeper);
            } catch (InvalidPlan $invalid) {
                $refused = 'This cannot be built so: '.implode(' ', $invalid->messages($keeper->units()));
            }
        }

        return [$columns, $refused];
    }
}
