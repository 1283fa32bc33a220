<?php

declare(strict_types=1);

namespace Olvek\Device;

use Olvek\Account\Keeper;
use Olvek\Build\Book;
use Olvek\Build\WeeksPage;
use Olvek\Core\Build\LightPlan;
use Olvek\Core\Build\Start\Situation;
use Olvek\Core\Unit\Dimension;
use Olvek\Core\Water\Measure;
use Olvek\Keep\Logbook;
use Olvek\Shelf\Tank;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** A tank's lamp timer and water probe. Pages never wait for them: what they say comes as a fragment of its own. */
#[Route('/tanks/{tank}/devices', requirements: ['tank' => Requirement::UUID])]
final class DeviceController extends AbstractController
{
    private const SAMPLES = 24;

    public function __construct(private readonly Devices $devices, private readonly WeeksPage $weeks, private readonly Book $book)
    {
    }

    /** How the tank's devices stand; a trouble is told, and is no error. */
    #[Route('', name: 'devices', methods: ['GET'])]
    public function state(Request $request, Tank $tank, #[CurrentUser] Keeper $keeper): Response
    {
        return $this->told($request, $tank, $keeper);
    }

    #[Route('/wire', name: 'devices_wire', methods: ['POST'])]
    public function wire(Request $request, Tank $tank, #[CurrentUser] Keeper $keeper): Response
    {
        $kind = DeviceKind::tryFrom($request->request->getString('kind'));
        if (null === $kind || !$this->trusted($request) || !$this->devices->wire($tank, $kind, $request->request->getString('device'))) {
            return $this->told($request, $tank, $keeper, 'That device is not known here, or the page had been open too long. Nothing was changed: choose again.', Response::HTTP_UNPROCESSABLE_ENTITY);
        }

        return $this->redirectToRoute('weeks', ['tank' => $tank->id(), '_fragment' => 'devices'], Response::HTTP_SEE_OTHER);
    }

    /** Sends the lamp's weeks to its timer. */
    #[Route('/lamp', name: 'devices_push', methods: ['POST'])]
    public function push(Request $request, Tank $tank, #[CurrentUser] Keeper $keeper): Response
    {
        $situation = $this->situation($tank, $keeper);
        if (!$this->trusted($request)) {
            return $this->told($request, $tank, $keeper, 'This page had been open too long to be trusted, so nothing was sent. Send it again.', Response::HTTP_UNPROCESSABLE_ENTITY);
        }
        try {
            ($this->devices->lamp($tank) ?? throw $this->createNotFoundException('This tank has no lamp timer.'))->write([...$this->programme($situation), 'filled' => $this->book->filledOn($tank)?->format('Y-m-d')]);
        } catch (DeviceTrouble $trouble) {
            return $this->told($request, $tank, $keeper, $trouble->getMessage().' The programme was not sent; the lamp goes on as it did.', Response::HTTP_BAD_GATEWAY);
        }

        return $this->told($request, $tank, $keeper, 'The timer has taken the programme.');
    }

    /** Writes the probe's newest temperature and pH into the logbook. */
    #[Route('/probe', name: 'devices_keep', methods: ['POST'])]
    public function keep(Request $request, Tank $tank, #[CurrentUser] Keeper $keeper, Logbook $logbook): Response
    {
        if (!$this->trusted($request)) {
            return $this->told($request, $tank, $keeper, 'This page had been open too long to be trusted, so nothing was written down. Try again.', Response::HTTP_UNPROCESSABLE_ENTITY);
        }
        try {
            $samples = ($this->devices->probe($tank) ?? throw $this->createNotFoundException('This tank has no water probe.'))->samples(1);
        } catch (DeviceTrouble $trouble) {
            return $this->told($request, $tank, $keeper, $trouble->getMessage().' Nothing was written down.', Response::HTTP_BAD_GATEWAY);
        }
        $newest = end($samples);
        $logbook->test($tank, [Measure::Temperature->value => \sprintf('%.1f °C', $newest->celsius), Measure::Acidity->value => \sprintf('%.2f', $newest->pH)], '', $keeper->kit(), $keeper->units());

        return $this->redirectToRoute('weeks', ['tank' => $tank->id(), '_fragment' => 'log'], Response::HTTP_SEE_OTHER);
    }

    private function told(Request $request, Tank $tank, Keeper $keeper, string $notice = '', int $status = Response::HTTP_OK): Response
    {
        $wired = $this->devices->wired($tank);
        $lamp = $probe = null;
        $troubles = [];
        try {
            $lamp = $this->devices->lamp($tank)?->state();
        } catch (DeviceTrouble $trouble) {
            $troubles['lamp'] = $trouble->getMessage();
        }
        try {
            $probe = $this->devices->probe($tank)?->samples(self::SAMPLES);
        } catch (DeviceTrouble $trouble) {
            $troubles['probe'] = $trouble->getMessage();
        }
        $situation = $this->weeks->situation($tank, $keeper);
        $newest = null === $probe ? null : end($probe);
        $context = ['tank' => $tank, 'wired' => $wired, 'lamp' => $lamp, 'troubles' => $troubles, 'notice' => $notice, 'counted' => null !== $situation,
            'current' => null !== $lamp && null !== $situation && $lamp->programme === HttpLampTimer::fingerprint($this->programme($situation)),
            'sample' => null === $newest ? null : ['at' => $newest->at->setTimezone($keeper->zone()), 'words' => \sprintf('%s, pH %.1f, water %s deep, %d µS/cm', $keeper->units()->show(Dimension::Temperature, $newest->celsius), $newest->pH, $keeper->units()->show(Dimension::Length, $newest->level), (int) round($newest->conductivity))]];

        return $this->render($request->headers->has('Olvek-Parts') ? 'device/_state.html.twig' : 'device/state.html.twig', $context, new Response(status: $status));
    }

    /** @return array<string, mixed> */
    private function programme(Situation $situation): array
    {
        return LightPlan::document($situation->plan, $situation->log);
    }

    private function situation(Tank $tank, Keeper $keeper): Situation
    {
        return $this->weeks->situation($tank, $keeper) ?? throw $this->createNotFoundException('This tank has not been filled yet: its days are not counted.');
    }

    private function trusted(Request $request): bool
    {
        return $this->isCsrfTokenValid('weeks', $request->request->getString('_token'));
    }
}
