<?php

declare(strict_types=1);

namespace Olvek\Page\Today;

use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Judgement\Start\TankToday;
use Olvek\Core\Keeping\Care\LightPlan;
use Olvek\Core\Keeping\Log\ToRead;
use Olvek\Core\Nature\Water\Measure;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Device\DeviceKind;
use Olvek\Service\Device\Devices;
use Olvek\Service\Device\DeviceTrouble;
use Olvek\Service\Device\Sample;
use Olvek\Service\Log\Logbook;
use Olvek\Service\Site\ConcurrentChange;
use Olvek\Service\Site\FormToken;
use Olvek\Service\Tank\Tank;
use Olvek\Service\Weeks\Situations;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsCsrfTokenValid;

/** A tank's lamp timer and water probe. Pages never wait for them: what they say comes as a fragment of its own. */
#[Route('/tanks/{tank}/devices', requirements: ['tank' => Requirement::UUID])]
#[IsCsrfTokenValid(FormToken::ID, methods: 'POST')]
final class DeviceController extends AbstractController
{
    /** An hour apart: a day, in which temperature and pH swing. */
    private const SAMPLES = 24;

    public function __construct(
        private readonly Devices $devices,
        private readonly Situations $situations,
    ) {
    }

    /** How the tank's devices stand; a trouble is told, and is no error. */
    #[Route('', name: 'devices', methods: ['GET'])]
    public function state(Request $request, Tank $tank, #[CurrentUser] Keeper $keeper): Response
    {
        return $this->devices($request, $tank, $keeper);
    }

    #[Route('/wire', name: 'devices_wire', methods: ['POST'])]
    public function wire(Request $request, Tank $tank, #[CurrentUser] Keeper $keeper): Response
    {
        $kind = DeviceKind::tryFrom($request->request->getString('kind'));
        try {
            $wired = null !== $kind && $this->devices->wire($tank, $kind, $request->request->getString('device'));
        } catch (ConcurrentChange) {
            return $this->devices(
                $request,
                $tank,
                $keeper,
                'Another window has chosen a device at the same moment: this is how it stands now. Choose again if it should be another.',
                Response::HTTP_CONFLICT,
            );
        }
        if (!$wired) {
            return $this->devices(
                $request,
                $tank,
                $keeper,
                'That device is not known here. Nothing was changed: choose one from the list, or ask whoever runs Olvek to add it.',
                Response::HTTP_UNPROCESSABLE_ENTITY,
            );
        }

        return $this->redirectToRoute('devices', ['tank' => $tank->id()], Response::HTTP_SEE_OTHER);
    }

    /** Sends the lamp's weeks to its timer. */
    #[Route('/lamp', name: 'devices_push', methods: ['POST'])]
    public function push(Request $request, Tank $tank, #[CurrentUser] Keeper $keeper): Response
    {
        $situation = $this->situation($tank, $keeper);
        try {
            ($this->devices->lamp($tank) ?? throw $this->createNotFoundException('This tank has no lamp timer.'))->write(
                $this->programme($tank, $situation),
            );
        } catch (DeviceTrouble $trouble) {
            return $this->devices(
                $request,
                $tank,
                $keeper,
                'The programme was not sent; the lamp goes on as it did. Try again once the timer answers.',
                Response::HTTP_BAD_GATEWAY,
                [DeviceKind::Lamp->value => $trouble],
            );
        }

        return $this->devices($request, $tank, $keeper, 'The timer has taken the programme.');
    }

    /** Writes the probe's newest temperature and pH into the logbook. */
    #[Route('/probe', name: 'devices_keep', methods: ['POST'])]
    public function keep(Request $request, Tank $tank, #[CurrentUser] Keeper $keeper, Logbook $logbook): Response
    {
        try {
            $samples = ($this->devices->probe($tank) ?? throw $this->createNotFoundException('This tank has no water probe.'))->samples(1);
        } catch (DeviceTrouble $trouble) {
            return $this->devices(
                $request,
                $tank,
                $keeper,
                'Nothing was logged. Read by hand, or try again once the probe answers.',
                Response::HTTP_BAD_GATEWAY,
                [DeviceKind::Probe->value => $trouble],
            );
        }
        $newest = end($samples);
        $logbook->test(
            $tank,
            [
                Measure::Temperature->value => \sprintf('%.1f °C', $newest->celsius),
                Measure::Acidity->value => \sprintf('%.2f', $newest->pH),
                Measure::Conductivity->value => \sprintf('%.0f µS/cm', $newest->conductivity),
            ],
            ToRead::water(),
            '',
            $keeper->kit(),
            $keeper->units(),
        );

        return $this->redirectToRoute('today', ['tank' => $tank->id(), '_fragment' => 'log'], Response::HTTP_SEE_OTHER);
    }

    /** @param array<string, DeviceTrouble> $met troubles that were just met, by kind: such a device is not asked again at once */
    private function devices(
        Request $request,
        Tank $tank,
        Keeper $keeper,
        string $notice = '',
        int $status = Response::HTTP_OK,
        array $met = [],
    ): Response {
        $lamp = $probe = null;
        try {
            $lamp = isset($met['lamp']) ? null : $this->devices->lamp($tank)?->state();
        } catch (DeviceTrouble $trouble) {
            $met['lamp'] = $trouble;
        }
        try {
            $probe = isset($met['probe']) ? null : $this->devices->probe($tank)?->samples(self::SAMPLES);
        } catch (DeviceTrouble $trouble) {
            $met['probe'] = $trouble;
        }
        $situation = $this->situations->of($tank, $keeper);
        $context = [
            'tank' => $tank,
            'wired' => $this->devices->wired($tank),
            'lamp' => $lamp,
            'troubles' => array_map(static fn (DeviceTrouble $t): string => $t->getMessage(), $met),
            'notice' => $notice,
            'counted' => null !== $situation,
            'current' => null !== $lamp && null !== $situation && $lamp->programme === $this->programme($tank, $situation)['id'],
            'sample' => null === $probe ? null : self::sampled($probe, $keeper),
        ];

        return $this->render(
            $request->headers->has('Olvek-Parts') ? 'weeks/device/_state.html.twig' : 'weeks/device/state.html.twig',
            $context,
            new Response(status: $status),
        );
    }

    /**
     * The newest sample in words, and between what its day has swung.
     *
     * @param non-empty-list<Sample> $samples
     *
     * @return array{at: \DateTimeImmutable, words: string, day: string}
     */
    private static function sampled(array $samples, Keeper $keeper): array
    {
        $show = static fn (Dimension $of, float $value): string => $keeper->units()->show($of, $value);
        $newest = end($samples);
        $warmth = array_map(static fn (Sample $s): float => $s->celsius, $samples);
        $pH = array_map(static fn (Sample $s): float => $s->pH, $samples);

        return [
            'at' => $newest->at->setTimezone($keeper->zone()),
            'words' => \sprintf(
                '%s, pH %.1f, water %s deep, %d µS/cm',
                $show(Dimension::Temperature, $newest->celsius),
                $newest->pH,
                $show(Dimension::Length, $newest->level),
                (int) round($newest->conductivity),
            ),
            'day' => \sprintf(
                '%s to %s, pH %.1f to %.1f',
                $show(Dimension::Temperature, min($warmth)),
                $show(Dimension::Temperature, max($warmth)),
                min($pH),
                max($pH),
            ),
        ];
    }

    /**
     * @return array{id: string, filled: string|null, entries: list<mixed>} as the timer takes it; the id says which it is, and the timer
     * only echoes it
     */
    private function programme(Tank $tank, TankToday $situation): array
    {
        $programme = [
            ...LightPlan::document($situation->plan, $situation->log),
            'filled' => $tank->filledOn()?->format('Y-m-d'),
        ];

        return [...$programme, 'id' => hash('xxh128', json_encode($programme, \JSON_THROW_ON_ERROR))];
    }

    private function situation(Tank $tank, Keeper $keeper): TankToday
    {
        return $this->situations->of($tank, $keeper) ??
            throw $this->createNotFoundException('This tank has not been filled yet: its days are not counted.');
    }
}
