<?php

declare(strict_types=1);

namespace Olvek\Service\Account;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\DBAL\Exception\UniqueConstraintViolationException;
use Doctrine\Persistence\ManagerRegistry;
use Olvek\Service\Site\PlainText;
use Symfony\Bridge\Doctrine\Security\User\UserLoaderInterface;
use Symfony\Component\PasswordHasher\Hasher\UserPasswordHasherInterface;
use Symfony\Component\Security\Core\Exception\UnsupportedUserException;
use Symfony\Component\Security\Core\User\PasswordAuthenticatedUserInterface;
use Symfony\Component\Security\Core\User\PasswordUpgraderInterface;

/** @extends ServiceEntityRepository<Keeper> */
final class KeeperRepository extends ServiceEntityRepository implements PasswordUpgraderInterface, UserLoaderInterface
{
    public function __construct(
        ManagerRegistry $registry,
        private readonly UserPasswordHasherInterface $hasher,
        private readonly PasswordRule $rule,
    ) {
        parent::__construct($registry, Keeper::class);
    }

    public function named(string $signInName): ?Keeper
    {
        $name = SignInName::fold($signInName);

        return null === $name ? null : $this->findOneBy(['signInName' => $name]);
    }

    /**
     * Who wants to sign in. Where there is nobody of that name, as much work is done as looking at a password takes: the time of an answer
     * must not tell which names are known.
     */
    public function loadUserByIdentifier(string $identifier): ?Keeper
    {
        $keeper = $this->named($identifier);
        if (null === $keeper || null !== $keeper->removedAt()) {
            $this->hasher->hashPassword(new Keeper('nobody', ''), 'what is typed takes the same time');

            return null;
        }

        return $keeper;
    }

    /** @throws \InvalidArgumentException with a message for the person who asked */
    public function enrol(string $signInName, string $displayName, #[\SensitiveParameter] string $password): Keeper
    {
        $keeper = $this->prepare($signInName, $displayName, $password);
        $this->add($keeper);

        return $keeper;
    }

    /**
     * A keeper who can be added; not in the database yet.
     *
     * @throws \InvalidArgumentException with a message for the person who asked
     */
    public function prepare(string $signInName, string $displayName, #[\SensitiveParameter] string $password): Keeper
    {
        $name = SignInName::read($signInName) ?? throw new \InvalidArgumentException(SignInName::RULE);
        $display = trim('' === trim($displayName) ? $signInName : $displayName);
        $fault = PlainText::fault($display, Keeper::LONGEST_NAME, 'A display name') ?? $this->rule->fault($password);
        if (null !== $fault) {
            throw new \InvalidArgumentException($fault);
        }
        if (null !== $this->named($name)) {
            throw self::taken($name);
        }
        $keeper = new Keeper($name, $display);
        $keeper->takePassword($this->hasher->hashPassword($keeper, $password));

        return $keeper;
    }

    /** @throws \InvalidArgumentException with a message for the person who asked */
    public function add(Keeper $keeper): void
    {
        $this->getEntityManager()->persist($keeper);
        try {
            $this->getEntityManager()->flush();
        } catch (UniqueConstraintViolationException) {
            throw self::taken($keeper->signInName);
        }
    }

    private static function taken(string $name): \InvalidArgumentException
    {
        return new \InvalidArgumentException(\sprintf('There is a keeper “%s” already.', $name));
    }

    /** @throws \InvalidArgumentException with a message for the person who asked */
    public function changePassword(Keeper $keeper, #[\SensitiveParameter] string $password): void
    {
        $fault = $this->rule->fault($password);
        if (null !== $fault) {
            throw new \InvalidArgumentException($fault);
        }
        $keeper->takePassword($this->hasher->hashPassword($keeper, $password));
        $this->getEntityManager()->flush();
    }

    public function upgradePassword(PasswordAuthenticatedUserInterface $user, string $newHashedPassword): void
    {
        if (!$user instanceof Keeper) {
            throw new UnsupportedUserException();
        }
        $user->rehash($newHashedPassword);
        $this->getEntityManager()->flush();
    }
}
