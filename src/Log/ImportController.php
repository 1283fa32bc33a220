<?php

declare(strict_types=1);

namespace Olvek\Log;

use Olvek\Account\Keeper;
use Olvek\Build\BuildRecords;
use Olvek\Tank\Tank;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** A table that was kept elsewhere comes into a logbook: looked at, its columns told by hand, taken line by line. */
#[Route('/tanks/{tank}/log/import', requirements: ['tank' => Requirement::UUID])]
final class ImportController extends AbstractController
{
    private const EXPIRED = 'This page has expired, so nothing was taken. Send it again.';

    public function __construct(private readonly LogImport $import, private readonly BuildRecords $book)
    {
    }

    #[Route('', name: 'log_import', methods: ['GET'])]
    public function show(Tank $tank): Response
    {
        return $this->page($tank);
    }

    /** A first look where the columns are not told yet, else the table itself. */
    #[Route('', name: 'log_import_take', methods: ['POST'])]
    public function take(Request $request, Tank $tank, #[CurrentUser] Keeper $keeper): Response
    {
        $file = $request->files->get('file');
        $text = $file instanceof UploadedFile && $file->isValid() ? $file->getContent() : $request->request->getString('text');
        $fault = match (true) {
            !$this->isCsrfTokenValid('log', $request->request->getString('_token')) => self::EXPIRED,
            null === $this->book->filledOn($tank) => 'The tank has not been filled yet: its days are counted from then on.',
            '' === trim($text) => 'Choose a file, or paste its text.',
            !mb_check_encoding($text, 'UTF-8') => 'This is not UTF-8 text. Save the table as “CSV, UTF-8”.',
            substr_count($text, "\n") > LogImport::MOST_LINES => \sprintf(
                'This has more than %d lines: import it in parts.',
                LogImport::MOST_LINES,
            ),
            default => '',
        };
        if ('' !== $fault) {
            return $this->page($tank, ['fault' => $fault, 'text' => mb_scrub($text)], Response::HTTP_UNPROCESSABLE_ENTITY);
        }
        $look = LogImport::look($text, $keeper);
        $map = array_map(static fn (mixed $holds): string => \is_string($holds) ? $holds : '', $request->request->all('map'));
        if ($look['own']) {
            return $this->page($tank, ['report' => $this->import->takeOwn($tank, $text)]);
        }
        if ([] === $map) {
            return $this->page($tank, ['look' => $look, 'text' => $text, 'map' => $look['guesses'], 'dates' => $look['dates']]);
        }
        $map = array_values($map);
        $fault = match (true) {
            !\in_array(ImportColumn::DAY, $map, true) => 'Say which column holds the day.',
            [] === array_diff($map, ['', ImportColumn::DAY]) => 'Say what at least one column holds, beside the day.',
            default => '',
        };
        $dates = $request->request->getString('dates');
        if ('' !== $fault) {
            return $this->page(
                $tank,
                ['fault' => $fault, 'look' => $look, 'text' => $text, 'map' => $map, 'dates' => $dates],
                Response::HTTP_UNPROCESSABLE_ENTITY,
            );
        }

        return $this->page($tank, [
            'report' => $this->import->take($tank, $text, $map, $dates),
            'look' => $look,
            'text' => $text,
            'map' => $map,
            'dates' => $dates,
        ]);
    }

    /** @param array<string, mixed> $shown */
    private function page(Tank $tank, array $shown = [], int $status = Response::HTTP_OK): Response
    {
        return $this->render(
            'log/import.html.twig',
            [
                'tank' => $tank,
                'filled' => $this->book->filledOn($tank),
                'fault' => '',
                'look' => null,
                'report' => null,
                'text' => '',
                'choices' => ImportColumn::choices(),
                'formats' => LogImport::DATES,
                ...$shown,
            ],
            new Response(status: $status),
        );
    }
}
