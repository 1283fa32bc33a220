<?php

declare(strict_types=1);

namespace Olvek\Service\Account;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;

/** Makes invitations, and takes each once. */
final readonly class Invitations
{
    public const CODE = '[A-Za-z0-9_-]{32}';

    public function __construct(private EntityManagerInterface $entities, private ClockInterface $clock)
    {
    }

    /** @return string the code, which is told once and kept nowhere */
    public function make(int $days): string
    {
        $code = strtr(base64_encode(random_bytes(24)), '+/', '-_');
        $now = $this->clock->now();
        $this->entities->persist(new Invitation(self::hash($code), $now, $now->modify("+$days days")));
        $this->entities->flush();

        return $code;
    }

    /** The invitation of a code; null where there is none, or it has been used or has ended. */
    public function find(string $code): ?Invitation
    {
        $found = $this->entities->find(Invitation::class, self::hash($code));

        return null === $found || $found->endsAt < $this->clock->now() ? null : $found;
    }

    /** @return bool whether it was still there to be taken: of two at the same moment, one gets it */
    public function take(Invitation $invitation): bool
    {
        return 1 ===
            $this->entities
                ->createQuery('DELETE FROM '.Invitation::class.' i WHERE i.codeHash = :code')
                ->setParameter('code', $invitation->codeHash)
                ->execute();
    }

    private static function hash(string $code): string
    {
        return hash('sha256', $code);
    }
}
