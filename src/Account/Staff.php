<?php

declare(strict_types=1);

namespace HandGarden\Account;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Core\Actor\Actor;
use Symfony\Component\Security\Core\User\EquatableInterface;
use Symfony\Component\Security\Core\User\PasswordAuthenticatedUserInterface;
use Symfony\Component\Security\Core\User\UserInterface;
use Symfony\Component\Uid\Uuid;

/** A person who works at a clinic. */
#[ORM\Entity]
#[ORM\Table(name: 'staff')]
#[ORM\Index(name: 'staff_by_clinic', columns: ['clinic_id', 'name'])]
class Staff implements ActsFor, UserInterface, PasswordAuthenticatedUserInterface, EquatableInterface
{
    #[ORM\Id]
    #[ORM\Column(type: Types::GUID)]
    public readonly string $id;

    #[ORM\Column(length: 255)]
    public string $password = '';

    /** Null: never set since they were invited. */
    #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE, nullable: true)]
    public ?\DateTimeImmutable $passwordAt = null;

    #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE, nullable: true)]
    public ?\DateTimeImmutable $signedInAt = null;

    /** Secret of the device whose codes are the second factor, sealed; null: there is none. */
    #[ORM\Column(length: 255, nullable: true)]
    public ?string $secondFactor = null;

    /** The newest step of time whose code was taken: each counts once. */
    #[ORM\Column(type: Types::BIGINT)]
    public int $secondFactorStep = 0;

    /** @var list<string> hashes of the codes on paper that are left */
    #[ORM\Column(type: Types::JSON, options: ['jsonb' => true])]
    public array $recoveryCodes = [];

    #[ORM\Column]
    public bool $active = true;

    /** Trained in the hands-on release since; null: that is not offered. */
    #[ORM\Column(type: Types::DATE_IMMUTABLE, nullable: true)]
    public ?\DateTimeImmutable $releaseTrainedOn = null;

    public function __construct(
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        /** @var non-empty-string */
        #[ORM\Column(length: 180, unique: true)]
        public string $email,
        #[ORM\Column(length: 120)]
        public string $name,
        #[ORM\Column(length: 20, enumType: Role::class)]
        public Role $role,
        /** Made for the demonstration: signs in on loopback only. */
        #[ORM\Column]
        public readonly bool $forDemo = false,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }

    public function actor(): Actor
    {
        return Actor::staff($this->id);
    }

    public function clinicId(): string
    {
        return $this->clinicId;
    }

    /** @return non-empty-string */
    public function getUserIdentifier(): string
    {
        return $this->email;
    }

    /** @return list<string> */
    public function getRoles(): array
    {
        return $this->isTrainedInRelease()
            ? [$this->role->securityRole(), 'ROLE_RELEASE']
            : [$this->role->securityRole()];
    }

    public function takeOffSecondFactor(): void
    {
        $this->secondFactor = null;
        $this->recoveryCodes = [];
    }

    /** Works here, and is a therapist. */
    public function canHaveClients(): bool
    {
        return $this->active && Role::Assistant !== $this->role;
    }

    public function isLead(): bool
    {
        return Role::Lead === $this->role;
    }

    /** The mark counts for a therapist alone. */
    public function isTrainedInRelease(): bool
    {
        return Role::Assistant !== $this->role && null !== $this->releaseTrainedOn;
    }

    public function getPassword(): string
    {
        return $this->password;
    }

    public function eraseCredentials(): void
    {
    }

    /** Tells one password from another, and nothing of either. */
    public function passwordMark(): string
    {
        return hash('crc32c', $this->password);
    }

    /**
     * Asked of the person kept in the session: a new password or second factor, another role, a mark or leaving ends
     * the session.
     */
    public function isEqualTo(UserInterface $user): bool
    {
        return $user instanceof self
            && $user->active
            && $user->role === $this->role
            && $user->isTrainedInRelease() === $this->isTrainedInRelease()
            && $this->secondFactor === $user->factorMark()
            && $this->password === $user->passwordMark();
    }

    /**
     * The session keeps who it is, not the hash of the password.
     *
     * @return array<string, mixed>
     */
    public function __serialize(): array
    {
        return [
            'id' => $this->id,
            'clinicId' => $this->clinicId,
            'email' => $this->email,
            'name' => $this->name,
            'role' => $this->role,
            'releaseTrainedOn' => $this->releaseTrainedOn,
            'forDemo' => $this->forDemo,
            'active' => $this->active,
            'password' => $this->passwordMark(),
            'secondFactor' => $this->factorMark(),
        ];
    }

    private function factorMark(): ?string
    {
        return null === $this->secondFactor ? null : hash('crc32c', $this->secondFactor);
    }
}
