<?php

declare(strict_types=1);

namespace Olvek\Service\Device;

use Doctrine\ORM\EntityManagerInterface;
use Olvek\Service\Account\Keeper;
use Psr\Clock\ClockInterface;
use Symfony\Component\Uid\Uuid;

/** The tokens of keepers' devices: made, shown once, found by what a device sends, taken back. */
final readonly class DeviceTokens
{
    /** Of one keeper. J. */
    public const MOST = 20;
    private const BYTES = 24;
    /** By which it is seen on sight, in a log or a file, what it is. */
    private const PREFIX = 'olvek_';
    /** Seconds between two notes of when a token was used last: a probe posts every few minutes. */
    private const NOTED = 600;

    public function __construct(private EntityManagerInterface $entities, private ClockInterface $clock)
    {
    }

    /** @return string|null the token, which nobody can be shown again; null where there are as many as there may be */
    public function make(Keeper $keeper, string $name): ?string
    {
        // Counted and added under one right to write: of two at the same moment the second is counted too.
        return $this->entities->wrapInTransaction(function () use ($keeper, $name): ?string {
            if (\count($this->of($keeper)) >= self::MOST) {
                return null;
            }
            $token = self::PREFIX.bin2hex(random_bytes(self::BYTES));
            $this->entities->persist(new DeviceToken($keeper, $name, hash('sha256', $token), $this->clock->now()));

            return $token;
        });
    }

    /** @return list<DeviceToken> oldest first */
    public function of(Keeper $keeper): array
    {
        return $this->entities->getRepository(DeviceToken::class)->findBy(['keeper' => $keeper->id()], ['id' => 'ASC']);
    }

    public function takeBack(Keeper $keeper, string $id): bool
    {
        $token = Uuid::isValid($id)
            ? $this->entities->getRepository(DeviceToken::class)->findOneBy(['id' => Uuid::fromString($id), 'keeper' => $keeper->id()])
            : null;
        if (null !== $token) {
            $this->entities->remove($token);
            $this->entities->flush();
        }

        return null !== $token;
    }

    public function find(string $token): ?DeviceToken
    {
        $found = $this->entities->getRepository(DeviceToken::class)->findOneBy(['hash' => hash('sha256', $token)]);
        $now = $this->clock->now();
        if (null !== $found && (null === $found->used() || $now->getTimestamp() - $found->used()->getTimestamp() > self::NOTED)) {
            $found->isUsed($now);
            $this->entities->flush();
        }

        return $found;
    }
}
