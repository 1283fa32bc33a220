<?php

declare(strict_types=1);

namespace Olvek\Service\Account;

use Doctrine\ORM\Mapping as ORM;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Keeping\Log\TestKit;
use Symfony\Bridge\Doctrine\Types\UuidType;
use Symfony\Component\Security\Core\User\EquatableInterface;
use Symfony\Component\Security\Core\User\PasswordAuthenticatedUserInterface;
use Symfony\Component\Security\Core\User\UserInterface;
use Symfony\Component\Uid\Uuid;

/** A person who keeps tanks. */
#[ORM\Entity(repositoryClass: KeeperRepository::class)]
#[ORM\Table(name: 'keeper')]
#[ORM\UniqueConstraint('keeper_sign_in_name', ['sign_in_name'])]
#[ORM\UniqueConstraint('keeper_feed', ['feed'])]
class Keeper implements UserInterface, PasswordAuthenticatedUserInterface, EquatableInterface
{
    public const LONGEST_NAME = 80;
    /** Sign-in name of the keeper whose shelf the demo opens. */
    public const DEMO = 'ferry-landing';
    /** Days for which what a keeper removed can be brought back. */
    public const UNDONE_WITHIN = 30;

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

    /** Pieces of plants on hand, "hygrophila-polysperma 20" a line. */
    #[ORM\Column(type: 'text', options: ['default' => ''])]
    private string $stock = '';

    /** What the private address of the calendar ends in; null until one is wanted. */
    #[ORM\Column(type: 'string', length: 64, nullable: true)]
    private ?string $feed = null;

    /** Changed whenever all that are signed in are to be signed out. */
    #[ORM\Column(type: 'string', length: 32, options: ['default' => ''])]
    private string $seal = '';

    /** Since when the keeper may not sign in; null where one may. */
    #[ORM\Column(name: 'disabled_at', type: 'datetime_immutable', nullable: true)]
    private ?\DateTimeImmutable $disabledAt = null;

    /** When the keeper asked to be removed: until it is done for good, it can be undone. */
    #[ORM\Column(name: 'removed_at', type: 'datetime_immutable', nullable: true)]
    private ?\DateTimeImmutable $removedAt = null;

    /** @param string $signInName without case, as SignInName::fold() gives it */
    public function __construct(
        #[ORM\Column(type: 'string', length: 80)] public readonly string $signInName,
        #[ORM\Column(type: 'string', length: self::LONGEST_NAME)] private string $displayName,
    ) {
        $this->id = Uuid::v7();
    }

    public function id(): Uuid
    {
        return $this->id;
    }

    /** Tells one keeper from another on a device that they share, and says nothing else. */
    public function mark(): string
    {
        return substr(hash('xxh128', $this->id->toRfc4122()), 0, 16);
    }

    public function displayName(): string
    {
        return $this->displayName;
    }

    public function goBy(string $displayName): void
    {
        $this->displayName = $displayName;
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

    /** @return array<string, int> pieces of plants on hand, by kind */
    public function stock(): array
    {
        $stock = [];
        foreach (array_filter(explode("\n", $this->stock), static fn (string $line): bool => '' !== $line) as $line) {
            [$kind, $pieces] = explode(' ', $line, 2);
            $stock[$kind] = (int) $pieces;
        }

        return $stock;
    }

    /** @param int $pieces of a kind of plant that are on hand; 0 for none */
    public function hold(string $kind, int $pieces): void
    {
        $stock = array_filter([...$this->stock(), $kind => $pieces], static fn (int $n): bool => $n > 0);
        ksort($stock);
        $this->stock = implode("\n", array_map(static fn (string $k, int $n): string => "$k $n", array_keys($stock), $stock));
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

    /** A password that is new: whoever is signed in by the old one is signed out. */
    public function takePassword(string $hash): void
    {
        $this->password = $hash;
        $this->signOutEverywhere();
    }

    /** The same password, hashed by better means. */
    public function rehash(string $hash): void
    {
        $this->password = $hash;
    }

    /** Ends every session of this keeper; the one that asks has to sign in anew too, or is told the new seal. */
    public function signOutEverywhere(): void
    {
        $this->seal = bin2hex(random_bytes(8));
    }

    public function seal(): string
    {
        return $this->seal;
    }

    public function disable(\DateTimeImmutable $at): void
    {
        $this->disabledAt ??= $at;
        $this->signOutEverywhere();
    }

    public function enable(): void
    {
        $this->disabledAt = null;
    }

    public function isDisabled(): bool
    {
        return null !== $this->disabledAt;
    }

    public function remove(\DateTimeImmutable $at): void
    {
        $this->removedAt ??= $at;
        $this->signOutEverywhere();
    }

    public function bringBack(): void
    {
        $this->removedAt = null;
    }

    public function removedAt(): ?\DateTimeImmutable
    {
        return $this->removedAt;
    }

    /** Whether nobody may do anything in this keeper's name. */
    public function isAway(): bool
    {
        return null !== $this->disabledAt || null !== $this->removedAt;
    }

    /** Whether someone who is signed in still is: asked at every request. */
    public function isEqualTo(UserInterface $user): bool
    {
        return $user instanceof self
            && $user->signInName === $this->signInName
            && $user->seal === $this->seal
            && !$user->isAway()
            && !$this->isAway();
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

    /**
     * What a session holds of a keeper: who it is and the seal, not the password's hash.
     *
     * @return array{id: string, name: string, seal: string}
     */
    public function __serialize(): array
    {
        return ['id' => $this->id->toRfc4122(), 'name' => $this->signInName, 'seal' => $this->seal];
    }

    /** @param array{id: string, name: string, seal: string} $kept */
    public function __unserialize(array $kept): void
    {
        $this->id = Uuid::fromString($kept['id']);
        $this->signInName = $kept['name'];
        $this->seal = $kept['seal'];
        $this->displayName = '';
    }
}
