<?php

declare(strict_types=1);

namespace Olvek\Page\Bench;

use Olvek\Core\Planning\Plan\InvalidPlan;
use Olvek\Page\Account\EntryPoint;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Editing\StaleEdit;
use Olvek\Service\Editing\TankEditor;
use Olvek\Service\Estimate\Standings;
use Olvek\Service\Site\Attachment;
use Olvek\Service\Site\FormToken;
use Olvek\Service\Tank\Tank;
use Olvek\Service\Tank\TankRepository;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsCsrfTokenValid;

#[Route('/tanks/{tank}', requirements: ['tank' => Requirement::UUID])]
#[IsCsrfTokenValid(FormToken::ID, methods: 'POST')]
final class BenchController extends AbstractController
{
    /** What a script asks for that takes an answer line by line: the judgement, then all else that changed. */
    private const LINES = 'application/x-ndjson';

    public function __construct(
        private readonly BenchPage $page,
        private readonly TankEditor $editor,
        private readonly TankRepository $tanks,
        private readonly Standings $standings,
    ) {
    }

    #[Route('', name: 'bench', methods: ['GET'])]
    public function show(Request $request, Tank $tank, #[CurrentUser] Keeper $keeper): Response
    {
        $pending = $request->getSession()->remove(EntryPoint::PENDING);
        if (\is_array($pending) && $pending['tank'] === $tank->id()->toRfc4122() && \is_array($pending['edits'])) {
            return $this->answer(
                $request,
                $tank,
                $keeper,
                self::texts($pending['edits']),
                [],
                'You had been signed out, so this was not saved yet. What you typed stands in its fields: send it again.',
            );
        }

        return $this->answer($request, $tank, $keeper);
    }

    #[Route('/edit', name: 'bench_edit', methods: ['POST'])]
    public function edit(Request $request, Tank $tank, #[CurrentUser] Keeper $keeper): Response
    {
        $edits = array_filter(
            self::texts($request->request->all('edits')),
            static fn (string $typed, string $place): bool => '' !== $typed || !str_ends_with($place, '.add'),
            \ARRAY_FILTER_USE_BOTH,
        );

        return $this->travel(
            $request,
            $tank,
            $keeper,
            $edits,
            fn (Tank $tank, int $base) => $this->editor->edit($tank, $base, $edits, $keeper->units()),
        );
    }

    /** The tank on a day: drawings and year only. */
    #[Route('/day', name: 'bench_day', methods: ['GET'])]
    public function day(Request $request, Tank $tank, #[CurrentUser] Keeper $keeper): Response
    {
        $view = ViewSettings::asked($request, $keeper->units());

        return $this->glanced($request, $tank, $this->page->glance($tank, $keeper->units(), $view));
    }

    /** Judges a change while a hand is still at it; nothing is saved. */
    #[Route('/try', name: 'bench_try', methods: ['POST'])]
    public function try(Request $request, Tank $tank, #[CurrentUser] Keeper $keeper): Response
    {
        try {
            $plan = $this->editor->tried($tank, self::texts($request->request->all('edits')), $keeper->units());
        } catch (InvalidPlan $refused) {
            return new JsonResponse(['message' => implode(' ', $refused->messages($keeper->units()))], Response::HTTP_UNPROCESSABLE_ENTITY);
        }

        return $this->glanced(
            $request,
            $tank,
            $this->page->glance(
                $tank,
                $keeper->units(),
                ViewSettings::asked($request, $keeper->units()),
                $plan,
                $this->standings->tried($tank, $plan, $keeper),
            ),
        );
    }

    #[Route('/undo', name: 'bench_undo', methods: ['POST'])]
    public function undo(Request $request, Tank $tank, #[CurrentUser] Keeper $keeper): Response
    {
        return $this->travel($request, $tank, $keeper, [], $this->editor->undo(...));
    }

    #[Route('/redo', name: 'bench_redo', methods: ['POST'])]
    public function redo(Request $request, Tank $tank, #[CurrentUser] Keeper $keeper): Response
    {
        return $this->travel($request, $tank, $keeper, [], $this->editor->redo(...));
    }

    #[Route('/plan.json', name: 'bench_export', methods: ['GET'])]
    public function export(Tank $tank): Response
    {
        return new Response(
            $this->tanks->head($tank)->plan,
            headers: Attachment::headers('application/json', $tank->name().'.plan.json', 'plan.json'),
        );
    }

    /**
     * @param array<string, string>     $edits
     * @param \Closure(Tank, int): void $step
     */
    private function travel(Request $request, Tank $tank, Keeper $keeper, array $edits, \Closure $step): Response
    {
        try {
            $step($tank, $request->request->getInt('base'));
        } catch (StaleEdit $stale) {
            $tank = $this->tanks->owned($tank->id(), $keeper) ?? throw $this->createNotFoundException();

            return $this->answer(
                $request,
                $tank,
                $keeper,
                $this->page->typedSince($tank, $request->request->getInt('base'), $edits, $keeper->units()),
                [],
                $stale->getMessage(),
                Response::HTTP_CONFLICT,
            );
        } catch (InvalidPlan $refused) {
            return $this->answer(
                $request,
                $tank,
                $keeper,
                $edits,
                $refused->messages($keeper->units()),
                null,
                Response::HTTP_UNPROCESSABLE_ENTITY,
            );
        }
        if (self::wantsParts($request)) {
            return $this->answer($request, $tank, $keeper);
        }

        $view = ViewSettings::asked($request, $keeper->units());

        return $this->redirectToRoute(
            'bench',
            ['tank' => $tank->id(), ...$view->query(), ...'' === $view->stage ? [] : ['_fragment' => $view->stage]],
            Response::HTTP_SEE_OTHER,
        );
    }

    /**
     * @param array<string, string> $typed
     * @param array<string, string> $errors
     */
    private function answer(
        Request $request,
        Tank $tank,
        Keeper $keeper,
        array $typed = [],
        array $errors = [],
        ?string $notice = null,
        int $status = Response::HTTP_OK,
    ): Response {
        $view = ViewSettings::asked($request, $keeper->units());
        $standing = $this->standings->of($tank, $keeper);
        if (!self::wantsParts($request)) {
            $parts = $this->page->parts($tank, $keeper->units(), $view, $typed, $errors, $standing);

            return $this->render(
                'bench/show.html.twig',
                ['tank' => $tank, 'parts' => $parts, 'notice' => $notice, 'view' => $view, 'errors' => $errors],
                new Response(status: $status),
            );
        }
        // A script fetches what is out of sight once the hand rests; a page without one has all of it at once.
        $turns = $this->page->inTurn($tank, $keeper->units(), $view, $typed, $errors, $standing, $view->drawn());
        $known = self::known($request);
        $outOfSight = [] !== array_diff(BenchPage::DRAWN, $view->drawn());
        if (!\in_array(self::LINES, $request->getAcceptableContentTypes(), true)) {
            $parts = array_merge(...iterator_to_array($turns, false));

            return JsonResponse::fromJsonString(self::line($tank, $known, $parts, $notice, $outOfSight), $status);
        }
        // Judged here, where a failure is still an answer of its own; drawn while what was said is on its way.
        $said = self::line($tank, $known, $turns->current(), $notice, false, last: false);

        return new StreamedResponse(
            static function () use ($said, $turns, $tank, $known, $notice, $outOfSight): void {
                echo $said, "\n";
                if (ob_get_level() > 0) {
                    ob_flush();
                }
                flush();
                $turns->next();
                echo self::line($tank, $known, $turns->current(), $notice, $outOfSight), "\n";
            },
            $status,
            ['Content-Type' => self::LINES, 'X-Accel-Buffering' => 'no'],
        );
    }

    /** @param array<string, Part> $parts of which only those are rendered and travel that the page does not have already */
    private function glanced(Request $request, Tank $tank, array $parts): JsonResponse
    {
        $outOfSight = [] !== array_diff(BenchPage::DRAWN, array_keys($parts));

        return JsonResponse::fromJsonString(self::line($tank, self::known($request), $parts, null, $outOfSight));
    }

    /** @return array<mixed> fingerprints of the parts that a page has */
    private static function known(Request $request): array
    {
        $known = json_decode($request->headers->get('Olvek-Parts', '{}'), true);

        return \is_array($known) ? $known : [];
    }

    /**
     * An answer, or the next line of one, as a script reads it. Markup stands in it as it is: with each bracket and quote escaped it would
     * be three times as long, and no browser takes JSON for a page.
     *
     * @param array<mixed>        $known
     * @param array<string, Part> $parts
     */
    private static function line(
        Tank $tank,
        array $known,
        array $parts,
        ?string $notice,
        bool $outOfSight,
        bool $last = true,
    ): string {
        $fresh = array_filter(
            $parts,
            static fn (Part $part, string $name): bool => ($known[$name] ?? '') !== $part->fingerprint,
            \ARRAY_FILTER_USE_BOTH,
        );
        $answer = [
            'base' => $tank->head(),
            'notice' => $notice,
            'outOfSight' => $outOfSight,
            'last' => $last,
            'parts' => array_map(
                static fn (Part $part): array => ['html' => $part->html(), 'fingerprint' => $part->fingerprint],
                $fresh,
            ),
        ];

        return json_encode($answer, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_SLASHES | \JSON_UNESCAPED_UNICODE);
    }

    private static function wantsParts(Request $request): bool
    {
        return $request->headers->has('Olvek-Parts');
    }

    /**
     * @param array<mixed> $edits
     *
     * @return array<string, string>
     */
    private static function texts(array $edits): array
    {
        $texts = [];
        foreach ($edits as $place => $typed) {
            if (\is_string($typed)) {
                // PHP turns a place that is a number into one; no plan has such a place, and the editor says so.
                $texts[\is_int($place) ? "[$place]" : mb_scrub($place)] = $typed;
            }
        }

        return $texts;
    }
}
