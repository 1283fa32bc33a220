<?php

declare(strict_types=1);

namespace Olvek\Page\Log;

use Olvek\Service\Account\Keeper;
use Olvek\Service\Log\EntryRepository;
use Olvek\Service\Log\Logbook;
use Olvek\Service\Log\LogWriter;
use Olvek\Service\Site\FormToken;
use Olvek\Service\Tank\Tank;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsCsrfTokenValid;

/** The logbook at the tank: read, done, seen, noted; each undone. */
#[Route('/tanks/{tank}/log', requirements: ['tank' => Requirement::UUID])]
#[IsCsrfTokenValid(FormToken::ID, methods: 'POST')]
final class LogController extends AbstractController
{
    public function __construct(
        private readonly LogPage $page,
        private readonly LogWriter $writer,
        private readonly EntryRepository $entries,
        private readonly Logbook $logbook,
    ) {
    }

    #[Route('', name: 'log', methods: ['GET'])]
    public function show(Request $request, Tank $tank, #[CurrentUser] Keeper $keeper): Response
    {
        return $this->render('log/log.html.twig', [
            ...$this->page->all($tank, $keeper, max(0, $request->query->getInt('from'))),
            'way' => $request->query->getString('way'),
        ]);
    }

    /**
     * One entry. A script sends it and is answered as JSON: {"saved": true}, or {"errors": why, by field}.
     */
    #[Route('', name: 'log_write', methods: ['POST'])]
    public function write(Request $request, Tank $tank, #[CurrentUser] Keeper $keeper): Response
    {
        $asJson = 'json' === $request->getPreferredFormat();
        $errors = $this->writer->write($tank, $request->request);
        if ($asJson) {
            return new JsonResponse(
                [] === $errors ? ['saved' => true] : ['errors' => $errors],
                [] === $errors ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY,
            );
        }

        return [] === $errors
            ? $this->redirectToRoute('log', ['tank' => $tank->id(), '_fragment' => 'lines'], Response::HTTP_SEE_OTHER)
            : $this->refused($tank, $keeper, $request, $errors);
    }

    #[Route('/{entry}/undo', name: 'log_undo', requirements: ['entry' => Requirement::UUID], methods: ['POST'])]
    public function undo(Request $request, Tank $tank, string $entry, #[CurrentUser] Keeper $keeper): Response
    {
        $found = $this->entries->ofTank($tank, $entry) ?? throw $this->createNotFoundException('This logbook has no such line.');
        $asJson = 'json' === $request->getPreferredFormat();
        $this->logbook->takeBack($found);
        if ($asJson) {
            return new JsonResponse(['undone' => true]);
        }

        [$page, $lines] = 'today' === $request->request->getString('back') ? ['today', 'log'] : ['log', 'lines'];

        return $this->redirectToRoute($page, ['tank' => $tank->id(), '_fragment' => $lines], Response::HTTP_SEE_OTHER);
    }

    /** @param array<string, string> $errors */
    private function refused(Tank $tank, Keeper $keeper, Request $request, array $errors): Response
    {
        return $this->render(
            'log/log.html.twig',
            $this->page->all($tank, $keeper, 0, self::typed($request->request->all()), $errors),
            new Response(status: Response::HTTP_UNPROCESSABLE_ENTITY),
        );
    }

    /**
     * What was typed, to be shown again: texts, and lists of texts such as "test". What no form of ours sends is left out.
     *
     * @param array<mixed> $sent
     *
     * @return array<string|array<string>> by field
     */
    private static function typed(array $sent): array
    {
        $typed = [];
        foreach ($sent as $name => $value) {
            if (\is_string($value)) {
                $typed[$name] = $value;
            } elseif (\is_array($value)) {
                $typed[$name] = array_filter($value, is_string(...));
            }
        }

        return $typed;
    }
}
