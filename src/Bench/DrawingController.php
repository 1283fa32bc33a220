<?php

declare(strict_types=1);

namespace Olvek\Bench;

use Olvek\Account\Keeper;
use Olvek\Shelf\Tank;
use Olvek\Site\Attachment;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Drawings that leave the page, as SVG files of their own. */
final class DrawingController extends AbstractController
{
    #[Route('/tanks/{tank}/drawing/{name}.svg', name: 'bench_drawing', requirements: ['tank' => Requirement::UUID, 'name' => 'front|side|floor|hours|year'], methods: ['GET'])]
    public function drawing(Request $request, Tank $tank, string $name, #[CurrentUser] Keeper $keeper, BenchPage $page, Standalone $standalone): Response
    {
        $seen = $page->drawn($tank, $keeper->units(), View::asked($request, $keeper->units()));
        $context = ['style' => $standalone->style()];
        if ('year' === $name) {
            $year = $seen['year'];
            $context += [
                'title' => \sprintf('%s: the first year', $tank->name()), 'words' => implode(' ', array_map(static fn (array $g): string => "Day $g[day]: $g[words].", $year->gates)),
                'year' => $year, 'marks' => $seen['marks'], 'viewBox' => \sprintf('0 0 %d %d', $year::WIDTH, $year::HEIGHT), 'width' => $year::WIDTH, 'height' => $year::HEIGHT,
            ];
        } else {
            $drawing = $seen['drawings'][$name];
            $context += ['title' => \sprintf('%s: %s, day %d', $tank->name(), mb_strtolower($drawing->title), $seen['day']), 'words' => implode(' ', $drawing->words), 'drawing' => $drawing,
                'viewBox' => $drawing->viewBox(), 'width' => $drawing->width, 'height' => $drawing->height];
        }

        return new Response($this->renderView('bench/drawing.svg.twig', $context), headers: Attachment::headers('image/svg+xml', $tank->name()." $name.svg", "$name.svg"));
    }
}
