<?php

declare(strict_types=1);

namespace Olvek\Account;

use Doctrine\ORM\Mapping as ORM;
use Olvek\Core\Log\TestKit;
use Olvek\Core\Unit\UnitSystem;
use Symfony\Bridge\Doctrine\Types\UuidType;
use Symfony\Component\Security\Core\User\PasswordAuthenticatedUserInterface;
use Symfony\Component\Security\Core\User\UserInterface;
use Symfony\Component\Uid\Uuid;

/** A person who keeps tanks. */
#[ORM\Entity(repositoryClass: KeeperRepository::class)]
#[ORM\Table(name: 'keeper')]
class Keeper implements UserInterface, PasswordAuthenticatedUserInterface
{
    #[ORM\Id]
    #[ORM\Column(type: UuidType::NAME)]
    private Uuid $id;

    #[ORM\Column(type: 'string', length: 16, enumType: UnitSystem::class)]
    private UnitSystem $units = UnitSystem::Metric;

    #[ORM\Column(type: 'string', length: 255)]
    private string $password = '';

    /** What the keeper's tests count, as TestKit::code() gives it; '' for the usual. */
    #[ORM\Column(type: 'string', length: 20, options: ['default' => ''])]
    private string $kit = '';

    #[ORM\Column(type: 'string', length: 60, options: ['default' => 'UTC'])]
    private string $zone = 'UTC';

    /** What the private address of the calendar ends in; null until one is wanted. */
    #[ORM\Column(type: 'string', length: 64, unique: true, nullable: true)]
    private ?string $feed = null;

    public function __construct(
        #[ORM\Column(type: 'string', length: 80, unique: true)]
        public readonly string $signInName,
        #[ORM\Column(type: 'string', length: 80)]
        public readonly string $displayName,
    ) {
        $this->id = Uuid::v7();
    }

    public function id(): Uuid
    {
        return $this->id;
    }

    public function units(): UnitSystem
    {
        return $this->units;
    }

    public function prefer(UnitSystem $units): void
    {
        $this->units = $units;
    }

    public function kit(): TestKit
    {
        return TestKit::of($this->kit);
    }

    public function testWith(TestKit $kit): void
    {
        $this->kit = $kit->code();
    }

    /** In which the keeper's days begin and end. */
    public function zone(): \DateTimeZone
    {
        return new \DateTimeZone($this->zone);
    }

    public function liveIn(\DateTimeZone $zone): void
    {
        $this->zone = $zone->getName();
    }

    public function feed(): ?string
    {
        return $this->feed;
    }

    /** A new private address for the calendar; whoever knew the old one knows nothing any more. */
    public function renewFeed(): void
    {
        $this->feed = rtrim(strtr(base64_encode(random_bytes(32)), '+/', '-_'), '=');
    }

    public function closeFeed(): void
    {
        $this->feed = null;
    }

    public function takePassword(string $hash): void
    {
        $this->password = $hash;
    }

    public function getPassword(): string
    {
        return $this->password;
    }

    public function getUserIdentifier(): string
    {
        \assert('' !== $this->signInName);

        return $this->signInName;
    }

    /** @return list<string> */
    public function getRoles(): array
    {
        return ['ROLE_USER'];
    }

    public function eraseCredentials(): void
    {
    }
}
