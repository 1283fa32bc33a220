<?php

declare(strict_types=1);

namespace Olvek\Service\Editing;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Planning\Plan\JsonLines;
use Olvek\Core\Planning\Plan\Refused;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\Request;

/** What of a brought-in file was not understood, line by line. */
final class PlanImportReport
{
    /** The text that was sent: as a file, else as typed. */
    public static function sent(Request $request): string
    {
        $file = $request->files->get('file');

        return $file instanceof UploadedFile && $file->isValid() ? $file->getContent() : $request->request->getString('plan');
    }

    /** @return list<array{line: ?int, place: string, message: string}> in the order of the lines */
    public static function of(string $json, Refused $refused, UnitSystem $units): array
    {
        $lines = JsonLines::of($json);
        $report = [];
        foreach ($refused->messages($units) as $place => $message) {
            $place = (string) $place;
            $report[] = ['line' => $lines->line($place), 'place' => $place, 'message' => $message];
        }
        usort($report, static fn (array $a, array $b): int => ($a['line'] ?? 0) <=> ($b['line'] ?? 0));

        return $report;
    }
}
