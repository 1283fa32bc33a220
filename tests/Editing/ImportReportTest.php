<?php

declare(strict_types=1);

namespace Olvek\Tests\Editing;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Planning\Plan\InvalidPlan;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Service\Editing\PlanImportReport;
use PHPUnit\Framework\TestCase;

/** What of a file was not understood, by its lines. */
final class ImportReportTest extends TestCase
{
    public function testWhatIsMissingIsToldWhereItIsMissing(): void
    {
        $json = "{\"format\": \"olvek.plan\", \"version\": 1,\n\"vessel\": {\n\"shape\": \"bowl\"}}";
        try {
            (new PlanDocument(Catalogue::shipped()))->fromForeignJson($json);
            self::fail('taken');
        } catch (InvalidPlan $refused) {
            $report = PlanImportReport::of($json, $refused, UnitSystem::Metric);
        }
        $lines = array_column($report, 'line', 'place');
        self::assertSame(2, $lines['vessel.diameter'], 'the vessel that lacks it');
        $sorted = array_map(intval(...), array_column($report, 'line'));
        sort($sorted);
        self::assertSame($sorted, array_map(intval(...), array_column($report, 'line')), 'in the order of lines');
        foreach ($report as $entry) {
            self::assertNotSame('', $entry['message']);
        }
    }
}
