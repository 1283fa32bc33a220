<?php

declare(strict_types=1);

namespace Olvek\Page\Palette;

use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Planning\Plan\Clump;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Editing\TankEditor;
use Olvek\Service\Judging\Outcomes;
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

/** Palettes of the catalogue beside a tank, and what plants the keeper has on hand. */
#[Route('/tanks/{tank}/palette/{list}', requirements: ['tank' => Requirement::UUID])]
#[IsCsrfTokenValid(FormToken::ID, methods: 'POST')]
final class PaletteController extends AbstractController
{
    public function __construct(
        private readonly TankRepository $tanks,
        private readonly TankEditor $editor,
        private readonly Outcomes $outcomes,
        private readonly Palette $palette,
        private readonly Catalogue $catalogue,
    ) {
    }

    /** As a fragment where a script asks, else as a page. */
    #[Route('', name: 'palette', methods: ['GET'])]
    public function show(Request $request, Tank $tank, ListName $list, #[CurrentUser] Keeper $keeper): Response
    {
        return $this->shown($request, $tank, $list, $keeper);
    }

    /** So many pieces of a plant are on hand, or none any more. */
    #[Route('/stock', name: 'palette_stock', methods: ['POST'])]
    public function stock(Request $request, Tank $tank, ListName $list, #[CurrentUser] Keeper $keeper, Saver $saver): Response
    {
        $kind = $request->request->getString('kind');
        $typed = trim($request->request->getString('pieces'));
        $fault = match (true) {
            !isset($this->catalogue->plants[$kind]) => 'Olvek knows no such plant.',
            !ctype_digit($typed) || \strlen($typed) > 4 || (int) $typed > Clump::MOST_PIECES => \sprintf(
                'Say how many pieces you have, from 0 to %d.',
                Clump::MOST_PIECES,
            ),
            default => null,
        };
        if (null !== $fault) {
            return $this->shown($request, $tank, $list, $keeper, $fault, Response::HTTP_UNPROCESSABLE_ENTITY);
        }
        $keeper->hold($kind, (int) $typed);
        $saver->flush();

        return $request->headers->has('Olvek-Parts')
            ? $this->shown($request, $tank, $list, $keeper)
            : $this->redirectToRoute('palette', ['tank' => $tank->id(), 'list' => $list->value], Response::HTTP_SEE_OTHER);
    }

    private function shown(
        Request $request,
        Tank $tank,
        ListName $list,
        Keeper $keeper,
        string $fault = '',
        int $status = Response::HTTP_OK,
    ): Response {
        $revision = $this->tanks->head($tank);
        $plan = $this->editor->plan($revision);
        $search = mb_substr(mb_scrub($request->query->getString('q')), 0, 60);
        $fitting = $request->query->getBoolean('fits');

        return $this->render(
            $request->headers->has('Olvek-Parts') ? 'palette/_palette.html.twig' : 'palette/palette.html.twig',
            [
                'tank' => $tank,
                'list' => $list,
                'groups' => $this->palette->of(
                    $list,
                    $plan,
                    $this->outcomes->of($revision, $plan, $keeper->units()),
                    $keeper->units(),
                    $keeper->stock(),
                    $search,
                    $fitting,
                ),
                'search' => $search,
                'fitting' => $fitting,
                'fault' => $fault,
            ],
            new Response(status: $status),
        );
    }
}
