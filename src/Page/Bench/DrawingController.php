<?php

declare(strict_types=1);

namespace Olvek\Page\Bench;

use Olvek\Core\Planning\Plan\Plan;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Site\Attachment;
use Olvek\Service\Tank\Tank;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Drawings that leave the page, as SVG files of their own. */
final class DrawingController extends AbstractController
{
    #[Route(
        '/tanks/{tank}/drawing/{name}.svg',
        name: 'bench_drawing',
        requirements: ['tank' => Requirement::UUID, 'name' => 'front|side|floor|hours|year'],
        methods: ['GET'],
    ),]
    public function drawing(Request $request, Tank $tank, string $name, #[CurrentUser] Keeper $keeper, DrawingFile $files): Response
    {
        $view = ViewSettings::asked($request, $keeper->units());
        if (null === $view->day && '' !== $request->query->getString('day')) {
            throw $this->createNotFoundException(\sprintf('Ask for a day from 0 to %d after filling.', Plan::LAST_DAY));
        }
        $svg = $files->of($tank, $keeper->units(), $view, [$name])[$name];

        return new Response($svg, headers: Attachment::headers('image/svg+xml', $tank->name()." $name.svg", "$name.svg"));
    }
}
