<?php

declare(strict_types=1);

namespace Olvek\Page\Start;

use Olvek\Service\Account\Keeper;
use Olvek\Service\Start\MethodsJob;
use Olvek\Service\Tank\Tank;
use Olvek\Service\Tank\TankRepository;
use Olvek\Service\Work\SlowPool;
use Olvek\Service\Work\WorkQueue;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** All methods in this vessel, side by side. */
#[SlowPool]
final class MethodsController extends AbstractController
{
    #[Route('/tanks/{tank}/methods', name: 'methods', requirements: ['tank' => Requirement::UUID], methods: ['GET'])]
    public function show(Tank $tank, #[CurrentUser] Keeper $keeper, TankRepository $tanks, WorkQueue $queue): Response
    {
        $ticket = $queue->ask(new MethodsJob($tanks->head($tank)->plan, $keeper->units()), $keeper);

        return $this->render(
            'start/methods.html.twig',
            ['tank' => $tank, 'ticket' => $ticket, 'here' => $ticket->value],
            new Response(status: $ticket->status(), headers: $ticket->headers()),
        );
    }
}
