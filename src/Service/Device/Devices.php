<?php

declare(strict_types=1);

namespace Olvek\Service\Device;

use Doctrine\ORM\EntityManagerInterface;
use Olvek\Service\Site\ConcurrentChange;
use Olvek\Service\Site\Saver;
use Olvek\Service\Tank\Tank;
use Psr\Clock\ClockInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Contracts\HttpClient\HttpClientInterface;

/**
 * The devices of this house, and which tank has which. Addresses come from whoever runs Olvek (OLVEK_DEVICES), never from a form:
 * the server calls nobody whom a keeper has only typed.
 */
final readonly class Devices
{
    /** @var array<string, array{DeviceKind, string}> kind and address by name */
    private array $known;

    /** @param string $list name=kind:address, separated by semicolons */
    public function __construct(
        private EntityManagerInterface $entities,
        private Saver $saver,
        private HttpClientInterface $http,
        private ClockInterface $clock,
        #[Autowire('%env(OLVEK_DEVICES)%')] string $list,
    ) {
        $known = [];
        foreach (explode(';', $list) as $item) {
            if (1 === preg_match('~^\s*([a-z0-9-]{1,40})=(lamp|probe):(https?://[^\s/]+)/?\s*$~', $item, $match)) {
                $known[$match[1]] = [DeviceKind::from($match[2]), $match[3]];
            }
        }
        $this->known = $known;
    }

    /** @return list<string> names of a kind */
    public function names(DeviceKind $kind): array
    {
        return array_keys(array_filter($this->known, static fn (array $device): bool => $device[0] === $kind));
    }

    /**
     * @return array<string, array{kind: DeviceKind, device: string, names: list<string>}> by kind, what a tank has ('' for none) and could
     * have
     */
    public function wired(Tank $tank): array
    {
        $wired = [];
        foreach (DeviceKind::cases() as $kind) {
            $device = $this->wiring($tank, $kind)->device ?? '';
            $wired[$kind->value] = [
                'kind' => $kind,
                'device' => isset($this->known[$device]) ? $device : '',
                'names' => $this->names($kind),
            ];
        }

        return $wired;
    }

    /**
     * @param string $device its name; '' for none
     *
     * @throws ConcurrentChange when another window has wired it at the same moment
     */
    public function wire(Tank $tank, DeviceKind $kind, string $device): bool
    {
        if ('' !== $device && $kind !== ($this->known[$device][0] ?? null)) {
            return false;
        }
        $wiring = $this->wiring($tank, $kind);
        if (null !== $wiring && '' === $device) {
            $this->entities->remove($wiring);
        } elseif (null !== $wiring) {
            $wiring->device = $device;
        } elseif ('' !== $device) {
            $this->entities->persist(new DeviceAssignment($tank, $kind, $device));
        }
        $this->saver->flush();

        return true;
    }

    public function lamp(Tank $tank): ?LampTimer
    {
        $wire = $this->reach($tank, DeviceKind::Lamp);

        return null === $wire ? null : new HttpLampTimer($wire);
    }

    public function probe(Tank $tank): ?WaterProbe
    {
        $wire = $this->reach($tank, DeviceKind::Probe);

        return null === $wire ? null : new HttpWaterProbe($wire, $this->clock->now());
    }

    private function wiring(Tank $tank, DeviceKind $kind): ?DeviceAssignment
    {
        return $this->entities->find(DeviceAssignment::class, ['tank' => $tank->id(), 'kind' => $kind->value]);
    }

    private function reach(Tank $tank, DeviceKind $kind): ?DeviceHttp
    {
        $device = $this->wired($tank)[$kind->value]['device'];

        return '' === $device ? null : new DeviceHttp($this->http, $device, $this->known[$device][1]);
    }
}
