<?php

declare(strict_types=1);

namespace Olvek\Page\Log;

use Olvek\Core\Basis\Unit\DayFormat;
use Olvek\Core\Basis\Unit\TextTable;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Log\ImportBatches;
use Olvek\Service\Log\ImportColumn;
use Olvek\Service\Log\LogImport;
use Olvek\Service\Log\TableChoice;
use Olvek\Service\Log\TableLook;
use Olvek\Service\Site\FormToken;
use Olvek\Service\Tank\Tank;
use Olvek\Service\Work\Deadline;
use Olvek\Service\Work\SlowPool;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsCsrfTokenValid;

/**
 * A table that was kept elsewhere comes into a logbook: looked at, its columns and days told by hand, shown as it would be written, then
 * written, and undone by one press.
 */
#[SlowPool]
#[Route('/tanks/{tank}/log/import', requirements: ['tank' => Requirement::UUID])]
#[IsCsrfTokenValid(FormToken::ID, methods: 'POST')]
final class ImportController extends AbstractController
{
    /** Seconds for which entries are written, or taken back, in one request. */
    private const PATIENCE = 15.0;

    public function __construct(
        private readonly LogImport $import,
        private readonly ImportBatches $batches,
    ) {
    }

    #[Route('', name: 'log_import', methods: ['GET'])]
    public function show(Request $request, Tank $tank): Response
    {
        $undone = $request->query->has('undone') ? max(0, $request->query->getInt('undone')) : null;

        return $this->page($tank, ['undone' => $undone]);
    }

    /** A look at a table, with what would be written; written only where just that has been seen. */
    #[Route('', name: 'log_import_take', methods: ['POST'])]
    public function take(Request $request, Tank $tank, #[CurrentUser] Keeper $keeper): Response
    {
        $file = $request->files->get('file');
        $file = $file instanceof UploadedFile && $file->isValid() ? $file : null;
        // As a page sends it back: line ends as browsers make them, so that what was seen is known again.
        $text = str_replace("\r\n", "\n", TextTable::utf8($file?->getContent() ?? $request->request->getString('text')));
        $name = mb_scrub($file?->getClientOriginalName() ?? $request->request->getString('name'));
        $fault = match (true) {
            null === $tank->filledOn() => 'The tank has not been filled yet: its days are counted from then on.',
            '' === trim($text) => 'Choose a file, or paste its text.',
            substr_count($text, "\n") > LogImport::MOST_LINES => \sprintf(
                'This has more than %d lines: import it in parts.',
                LogImport::MOST_LINES,
            ),
            default => '',
        };
        if ('' !== $fault) {
            return $this->page($tank, ['fault' => $fault, 'text' => $text, 'name' => $name], Response::HTTP_UNPROCESSABLE_ENTITY);
        }
        $map = array_values(array_map(static fn (mixed $holds): string => \is_string($holds) ? $holds : '', $request->request->all('map')));
        $column = array_search(ImportColumn::DAY, $map, true);
        $look = $this->import->look($tank, $text, \is_int($column) ? $column : null);
        if (\count($look->names) > TableLook::MOST_COLUMNS) {
            $most = TableLook::MOST_COLUMNS;
            $fault = "This has more than $most columns, so it isn’t a table of readings: is it the right file?";

            return $this->page($tank, ['fault' => $fault, 'name' => $name], Response::HTTP_UNPROCESSABLE_ENTITY);
        }
        $first = [] === $map && '' === $request->request->getString('seen');
        $choice = new TableChoice(
            [] === $map ? $look->guesses : $map,
            DayFormat::tryFrom($request->request->getString('dates')) ?? (1 === \count($look->days) ? $look->days[0] : null),
        );
        $shown = ['look' => $look, 'text' => $text, 'name' => $name, 'choice' => $choice];
        $fault = $choice->fault($look);
        if ('' !== $fault) {
            return $this->page($tank, ['fault' => $fault, ...$shown], $first ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY);
        }
        $seen = hash('xxh128', serialize([$text, $choice->map, $choice->days, $keeper->units(), $keeper->kit()->code()]));
        if (!$request->request->has('write') || $seen !== $request->request->getString('seen')) {
            return $this->page($tank, [
                'preview' => $this->import->preview($tank, $text, $look, $choice),
                'seen' => $seen,
                'changed' => $request->request->has('write'),
                ...$shown,
            ]);
        }
        $report = $this->import->take($tank, $text, $name, $look, $choice, new Deadline(self::PATIENCE));

        return $this->page($tank, ['report' => $report, ...'' === $report->stopped ? [] : [...$shown, 'seen' => $seen]]);
    }

    /** All that an import brought, at once. */
    #[Route('/{batch}/undo', name: 'log_import_undo', requirements: ['batch' => Requirement::UUID], methods: ['POST'])]
    public function undo(Request $request, Tank $tank, string $batch): Response
    {
        $found = $this->batches->find($tank, $batch) ?? throw $this->createNotFoundException('This import isn’t in the logbook any more.');
        $undone = $this->batches->undo($found, new Deadline(self::PATIENCE));
        if (null === $undone) {
            return $this->page($tank, ['fault' => 'There wasn’t time to undo all of it: press Undo again for the rest.']);
        }

        return $this->redirectToRoute('log_import', ['tank' => $tank->id(), 'undone' => $undone], Response::HTTP_SEE_OTHER);
    }

    /** @param array<string, mixed> $shown */
    private function page(Tank $tank, array $shown = [], int $status = Response::HTTP_OK): Response
    {
        return $this->render(
            'log/import.html.twig',
            [
                'tank' => $tank,
                'filled' => $tank->filledOn(),
                'fault' => '',
                'look' => null,
                'preview' => null,
                'report' => null,
                'text' => '',
                'name' => '',
                'seen' => '',
                'changed' => false,
                'undone' => null,
                'choices' => ImportColumn::choices(),
                'batches' => $this->batches->newest($tank),
                ...$shown,
            ],
            new Response(status: $status),
        );
    }
}
