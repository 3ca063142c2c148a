<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Client\Client;
use HandGarden\Client\Helper;
use HandGarden\Core\Helping\SignEnd;
use HandGarden\Core\Placement\RungOnSide;
use HandGarden\Web\Clock;

/** Who was shown what: the client beside a therapist, a helper with a sign-off. */
final readonly class Marks
{
    public function __construct(
        private EntityManagerInterface $entities,
        private Clock $clock,
    ) {
    }

    /** @return list<string> `rung|side` that a therapist marked as shown */
    public function shown(Client $client): array
    {
        return array_values(array_unique(array_map(
            static fn (ShownRung $s): string => (new RungOnSide($s->rungId, $s->side))->text(),
            $this->entities->getRepository(ShownRung::class)->findBy($client->scope()),
        )));
    }

    /** @return list<SignOff> that hold on the day, those that end first before the others */
    public function signed(Client $client, \DateTimeImmutable $today): array
    {
        return array_values(array_filter(
            $this->entities->getRepository(SignOff::class)->findBy(
                $client->scope() + ['endedAt' => null],
                ['until' => 'ASC', 'id' => 'ASC'],
            ),
            static fn (SignOff $s): bool => $s->until->format('Y-m-d') >= $today->format('Y-m-d'),
        ));
    }

    /** @return list<SignOff> that held at an instant, whatever became of them since */
    public function signedAt(Client $client, \DateTimeImmutable $at, \DateTimeImmutable $day): array
    {
        return array_values(array_filter(
            $this->entities->getRepository(SignOff::class)->findBy($client->scope()),
            static fn (SignOff $s): bool => $s->at <= $at
                && (null === $s->endedAt || $s->endedAt > $at)
                && $s->until->format('Y-m-d') >= $day->format('Y-m-d'),
        ));
    }

    /** @return list<Teaching> newest first */
    public function taught(Client $client): array
    {
        return $this->entities->getRepository(Teaching::class)->findBy(
            $client->scope(),
            ['at' => 'DESC', 'id' => 'DESC'],
        );
    }

    /**
     * Signs a helper for exercises and hands; what was signed before for the same makes way.
     *
     * @param \DateTimeImmutable $today in the client's zone
     */
    public function sign(Teaching $teaching, \DateTimeImmutable $today, RungOnSide ...$for): void
    {
        $now = $this->clock->now();
        $this->entities->persist($teaching);
        foreach ($for as $one) {
            foreach ($this->holding($teaching->clientId, $teaching->helperId, $one) as $before) {
                $before->end(SignEnd::SignedAnew, $now);
            }
            $this->entities->persist(SignOff::after($teaching, $one, $today));
        }
        $this->entities->flush();
    }

    /** @param ?RungOnSide $only null: whatever they may do */
    public function end(Helper $helper, SignEnd $why, ?RungOnSide $only = null): int
    {
        $ended = 0;
        foreach ($this->holding($helper->clientId, $helper->id, $only) as $signed) {
            $signed->end($why, $this->clock->now());
            ++$ended;
        }
        $this->entities->flush();

        return $ended;
    }

    public function keep(object ...$records): void
    {
        foreach ($records as $record) {
            $this->entities->persist($record);
        }
        $this->entities->flush();
    }

    /** @return list<SignOff> */
    private function holding(string $clientId, string $helperId, ?RungOnSide $only): array
    {
        return $this->entities->getRepository(SignOff::class)->findBy(
            ['clientId' => $clientId, 'helperId' => $helperId, 'endedAt' => null]
                + (null === $only ? [] : ['rungId' => $only->rungId, 'side' => $only->side]),
        );
    }
}
