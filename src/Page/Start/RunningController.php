<?php

declare(strict_types=1);

namespace Olvek\Page\Start;

use Olvek\Core\Basis\Unit\Words;
use Olvek\Core\Nature\Water\Measure;
use Olvek\Core\Planning\Plan\Refused;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Account\Today;
use Olvek\Service\Log\ImportColumn;
use Olvek\Service\Site\FormToken;
use Olvek\Service\Start\TakeOver;
use Olvek\Service\Tank\Tank;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsCsrfTokenValid;

/** A tank that stands already: what is in it, since when, and what was read last. */
#[Route('/tanks/new/running')]
#[IsCsrfTokenValid(FormToken::ID, methods: 'POST')]
final class RunningController extends AbstractController
{
    public function __construct(
        private readonly RunningForm $running,
        private readonly WishPage $page,
        private readonly TakeOver $takeOver,
        private readonly Today $today,
        private readonly RunningFacts $facts,
    ) {
    }

    #[Route('', name: 'running', methods: ['GET'])]
    public function show(Request $request, #[CurrentUser] Keeper $keeper): Response
    {
        return $this->form($keeper, $request->query->all(), []);
    }

    #[Route('', name: 'running_take', methods: ['POST'])]
    public function take(Request $request, #[CurrentUser] Keeper $keeper): Response
    {
        $sent = $request->request->all();
        try {
            $tank = $this->takeOver->begin($keeper, $this->running->read($sent, $keeper));
        } catch (Refused $refused) {
            return $this->form($keeper, $sent, $refused->messages($keeper->units()));
        }

        return $tank instanceof Tank
            ? $this->redirectToRoute('today', ['tank' => $tank->id()], Response::HTTP_SEE_OTHER)
            : $this->form($keeper, $sent, $tank);
    }

    /** Whether a fault stands beside none of the fields of the page. */
    private static function isElsewhere(string $place): bool
    {
        return !\in_array($place, ['filled', 'name'], true)
            && !RunningFacts::asks($place)
            && 1 !== preg_match('/^(plants|animals|reading)\./', $place);
    }

    /**
     * @param array<mixed>          $sent
     * @param array<string, string> $errors
     */
    private function form(Keeper $keeper, array $sent, array $errors): Response
    {
        return $this->render(
            'start/running.html.twig',
            [
                ...$this->page->of($keeper, $sent, $errors),
                'facts' => $this->facts->fields(VesselForm::texts($sent), $errors, $keeper->units()),
                'others' => array_filter($errors, self::isElsewhere(...), \ARRAY_FILTER_USE_KEY),
                'rows' => range(0, RunningForm::ROWS - 1),
                'kinds' => [
                    'plants' => $this->page->plants(),
                    'animals' => $this->page->animalNames(),
                ],
                'measures' => array_map(
                    static fn (Measure $m): array => [
                        'id' => $m->value,
                        'label' => Words::capital($m->label()),
                        'units' => ImportColumn::ways($m),
                    ],
                    array_filter(Measure::ofWater(), static fn (Measure $m): bool => $m->measured()->isUsual || $m->isElement()),
                ),
                'today' => $this->today->of($keeper)->format('Y-m-d'),
            ],
            new Response(status: [] === $errors ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY),
        );
    }
}
