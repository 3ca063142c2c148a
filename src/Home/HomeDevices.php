<?php

declare(strict_types=1);

namespace HandGarden\Home;

use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Client\Client;
use HandGarden\Core\Home\LetInCode;
use Symfony\Component\Uid\Uuid;

/** Devices at home, and those that are being let in. */
final readonly class HomeDevices
{
    public function __construct(
        private EntityManagerInterface $entities,
    ) {
    }

    public function bySecret(#[\SensitiveParameter] string $secret): ?HomeDevice
    {
        $hash = DeviceSecret::hash($secret);
        $found = $this->entities->createQuery(
            'SELECT d FROM '.HomeDevice::class.' d WHERE d.secret.secretHash = :hash OR d.secret.previousHash = :hash',
        )->setParameter('hash', $hash)->getOneOrNullResult();

        return $found instanceof HomeDevice ? $found : null;
    }

    public function byId(string $id): ?HomeDevice
    {
        return Uuid::isValid($id) ? $this->entities->find(HomeDevice::class, $id) : null;
    }

    /** @return list<HomeDevice> newest first, those that were taken out too */
    public function of(Client $client): array
    {
        return $this->entities->getRepository(HomeDevice::class)->findBy(
            $client->scope(),
            ['madeAt' => 'DESC'],
        );
    }

    public function find(Client $client, string $id): ?HomeDevice
    {
        return Uuid::isValid($id)
            ? $this->entities->getRepository(HomeDevice::class)->findOneBy(
                $client->scope() + ['id' => $id],
            )
            : null;
    }

    /** How many of one helper open the plan, or of the client. */
    public function count(Client $client, ?string $helperId): int
    {
        return \count(array_filter(
            $this->of($client),
            static fn (HomeDevice $d): bool => $d->isIn() && $d->helperId === $helperId && null === $d->tabletId,
        ));
    }

    public function pairing(Client $client, \DateTimeImmutable $now): ?Pairing
    {
        return $this->openPairing($client->scope(), $now);
    }

    public function pairingOfCareHome(string $careHomeId, \DateTimeImmutable $now): ?Pairing
    {
        return $this->openPairing(['careHomeId' => $careHomeId], $now);
    }

    /** @return list<HomeDevice> opened on a tablet of a care home, that are in */
    public function onTablet(string $tabletId): array
    {
        return $this->entities->getRepository(HomeDevice::class)->findBy(
            ['tabletId' => $tabletId, 'takenOutAt' => null],
        );
    }

    public function pairingByCode(LetInCode $code): ?Pairing
    {
        return $this->entities->getRepository(Pairing::class)->findOneBy(
            ['codeHash' => Pairing::hash($code)],
        );
    }

    public function pairingByKey(string $keyHash): ?Pairing
    {
        return $this->entities->getRepository(Pairing::class)->findOneBy(['keyHash' => $keyHash]);
    }

    /** @return list<HomeSlot> that were not begun yet */
    public function openSlots(HomeDevice $device): array
    {
        return $this->entities->getRepository(HomeSlot::class)->findBy(
            ['deviceId' => $device->id, 'usedAt' => null],
        );
    }

    /** @return list<HomeSlot> begun since */
    public function usedSlots(HomeDevice $device, \DateTimeImmutable $since): array
    {
        /** @var list<HomeSlot> $slots */
        $slots = $this->entities->createQuery(
            'SELECT s FROM '.HomeSlot::class.' s WHERE s.deviceId = :device AND s.usedAt >= :since',
        )->setParameter('device', $device->id)->setParameter('since', $since)->getResult();

        return $slots;
    }

    public function slot(string $sittingId): ?HomeSlot
    {
        return Uuid::isValid($sittingId) ? $this->entities->find(HomeSlot::class, $sittingId) : null;
    }

    public function keep(object ...$records): void
    {
        foreach ($records as $record) {
            $this->entities->persist($record);
        }
        $this->entities->flush();
    }

    /** @param array<string, string> $of */
    private function openPairing(array $of, \DateTimeImmutable $now): ?Pairing
    {
        foreach ($this->entities->getRepository(Pairing::class)->findBy(
            $of + ['endedAt' => null],
            ['madeAt' => 'DESC'],
        ) as $pairing) {
            if ($pairing->isOpen($now)) {
                return $pairing;
            }
        }

        return null;
    }
}
