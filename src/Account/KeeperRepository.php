<?php

declare(strict_types=1);

namespace Olvek\Account;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;
use Symfony\Component\PasswordHasher\Hasher\UserPasswordHasherInterface;
use Symfony\Component\Security\Core\Exception\UnsupportedUserException;
use Symfony\Component\Security\Core\User\PasswordAuthenticatedUserInterface;
use Symfony\Component\Security\Core\User\PasswordUpgraderInterface;

/** @extends ServiceEntityRepository<Keeper> */
final class KeeperRepository extends ServiceEntityRepository implements PasswordUpgraderInterface
{
    public const LEAST_PASSWORD = 10;

    public function __construct(ManagerRegistry $registry, private readonly UserPasswordHasherInterface $hasher)
    {
        parent::__construct($registry, Keeper::class);
    }

    public function named(string $signInName): ?Keeper
    {
        return $this->findOneBy(['signInName' => $signInName]);
    }

    /** @throws \InvalidArgumentException with a message for the person who asked */
    public function enrol(string $signInName, string $displayName, string $password): Keeper
    {
        if (1 !== preg_match('/^[\p{L}\p{N}._@-]{2,80}$/u', $signInName)) {
            throw new \InvalidArgumentException('A sign-in name has 2 to 80 letters, digits, dots, hyphens, underscores or @.');
        }
        if (null !== $this->named($signInName)) {
            throw new \InvalidArgumentException(\sprintf('There is a keeper "%s" already.', $signInName));
        }
        if (mb_strlen($password) < self::LEAST_PASSWORD || \strlen($password) > 4096) {
            throw new \InvalidArgumentException(\sprintf('A password needs at least %d characters.', self::LEAST_PASSWORD));
        }
        $keeper = new Keeper($signInName, $displayName);
        $keeper->takePassword($this->hasher->hashPassword($keeper, $password));
        $this->getEntityManager()->persist($keeper);
        $this->getEntityManager()->flush();

        return $keeper;
    }

    public function upgradePassword(PasswordAuthenticatedUserInterface $user, string $newHashedPassword): void
    {
        if (!$user instanceof Keeper) {
            throw new UnsupportedUserException();
        }
        $user->takePassword($newHashedPassword);
        $this->getEntityManager()->flush();
    }
}
