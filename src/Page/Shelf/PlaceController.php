<?php

declare(strict_types=1);

namespace Olvek\Page\Shelf;

use Olvek\Service\Account\Keeper;
use Olvek\Service\Editing\TankEditor;
use Olvek\Service\Site\FormToken;
use Olvek\Service\Site\PlainText;
use Olvek\Service\Site\Saver;
use Olvek\Service\Tank\Tank;
use Olvek\Service\Tank\TankRepository;
use Psr\Clock\ClockInterface;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsCsrfTokenValid;

/** Where tanks stand on the shelf: in which room, put away, removed, copied. Each is undone from where it was done. */
#[Route('/tanks/{tank}', requirements: ['tank' => Requirement::UUID], methods: ['POST'])]
#[IsCsrfTokenValid(FormToken::ID, methods: 'POST')]
final class PlaceController extends AbstractController
{
    public function __construct(
        private readonly TankRepository $tanks,
        private readonly TankEditor $editor,
        private readonly Saver $saver,
        private readonly ClockInterface $clock,
    ) {
    }

    #[Route('/room', name: 'shelf_room')]
    public function room(Request $request, Tank $tank): Response
    {
        $room = trim($request->request->getString('room'));
        $fault = PlainText::fault($room, Tank::LONGEST_ROOM, 'A room');

        return null === $fault
            ? $this->then($request, fn () => $this->tanks->move($tank, $room), $tank, '' === $room ? 'out of its room' : "in $room")
            : $this->back($tank, fault: $fault);
    }

    #[Route('/archive', name: 'shelf_archive')]
    public function archive(Request $request, Tank $tank): Response
    {
        return $this->then($request, fn () => $this->tanks->putAway($tank, $this->clock->now()), $tank, 'put away', 'shelf_put_back');
    }

    #[Route('/put-back', name: 'shelf_put_back')]
    public function putBack(Request $request, Tank $tank): Response
    {
        return $this->then($request, fn () => $this->tanks->putBack($tank), $tank, 'back on the shelf', 'shelf_archive');
    }

    /** Gone from the shelf; for thirty days it can be brought back. */
    #[Route('/take-off', name: 'shelf_take_off')]
    public function takeOff(Request $request, Tank $tank): Response
    {
        return $this->then($request, fn () => $this->tanks->takeOff($tank, $this->clock->now()), $tank, 'removed', 'bring-back');
    }

    #[Route('/copy', name: 'shelf_copy')]
    public function copy(Request $request, Tank $tank, #[CurrentUser] Keeper $keeper): Response
    {
        $copy = $this->editor->branch($keeper, $this->tanks->head($tank));
        $copy->standIn($tank->room());
        $this->saver->flush();

        return $this->redirectToRoute('bench', ['tank' => $copy->id()], Response::HTTP_SEE_OTHER);
    }

    /**
     * @param \Closure(): mixed $change
     * @param string            $words  what has become of it
     * @param string            $undo   route that undoes it, or "bring-back"
     */
    private function then(Request $request, \Closure $change, Tank $tank, string $words, string $undo = ''): Response
    {
        $change();

        return $this->back($tank, $words, $undo);
    }

    /** To the shelf, which says what was done and how it is undone. */
    private function back(Tank $tank, string $words = '', string $undo = '', string $fault = ''): Response
    {
        $this->addFlash('shelf', [
            'tank' => $tank->id()->toRfc4122(),
            'name' => $tank->name(),
            'words' => $words,
            'undo' => $undo,
            'fault' => $fault,
        ]);

        return $this->redirectToRoute('shelf', [], Response::HTTP_SEE_OTHER);
    }
}
