<?php

declare(strict_types=1);

namespace Olvek\Page\Bench;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Service\Drawing\Standalone;
use Olvek\Service\Drawing\View;
use Olvek\Service\Drawing\YearChart;
use Olvek\Service\Tank\Tank;
use Twig\Environment;

/** A drawing of a tank as an SVG file that stands on its own. */
final readonly class DrawingFile
{
    public const NAMES = ['front', 'side', 'floor', 'hours', 'year'];

    public function __construct(private BenchPage $page, private Standalone $standalone, private Environment $twig)
    {
    }

    /**
     * @param list<string> $names of NAMES
     *
     * @return array<string, string> SVG by name
     */
    public function of(Tank $tank, UnitSystem $units, ViewSettings $view, array $names = self::NAMES): array
    {
        $seen = $this->page->drawn($tank, $units, $view);
        $files = [];
        foreach ($names as $name) {
            $files[$name] = $this->twig->render('bench/drawing.svg.twig', [
                'style' => $this->standalone->style(),
                ...'year' === $name ? self::year($tank, $seen) : self::drawing($tank, $seen, $name),
            ]);
        }

        return $files;
    }

    /**
     * @param array<string, mixed> $seen
     *
     * @return array<string, mixed>
     */
    private static function year(Tank $tank, array $seen): array
    {
        $year = $seen['year'];
        \assert($year instanceof YearChart);

        return [
            'title' => \sprintf('%s: the first year', $tank->name()),
            'words' => implode(' ', array_map(static fn (array $g): string => "Day $g[day]: $g[words].", $year->gates)),
            'year' => $year,
            'marks' => $seen['marks'],
            'viewBox' => $year->viewBox(),
            'width' => $year::WIDTH,
            'height' => $year::HEIGHT,
        ];
    }

    /**
     * @param array<string, mixed> $seen
     *
     * @return array<string, mixed>
     */
    private static function drawing(Tank $tank, array $seen, string $name): array
    {
        \assert(\is_array($seen['drawings']) && \is_int($seen['day']));
        $drawing = $seen['drawings'][$name];
        \assert($drawing instanceof View);

        return [
            'title' => \sprintf('%s: %s, day %d', $tank->name(), mb_strtolower($drawing->title), $seen['day']),
            'words' => implode(' ', $drawing->words),
            'drawing' => $drawing,
            'viewBox' => $drawing->viewBox(),
            'width' => $drawing->width,
            'height' => $drawing->height,
        ];
    }
}
