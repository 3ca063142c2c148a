<?php

declare(strict_types=1);

namespace HandGarden\Client;

use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Core\Screening\Answer;
use HandGarden\Web\Row;
use Symfony\Component\Uid\Uuid;

/** Clients of one clinic, with what was asked of them. */
final readonly class ClientRepository
{
    public function __construct(
        private EntityManagerInterface $entities,
    ) {
    }

    public function find(string $clinicId, string $id): ?Client
    {
        return Uuid::isValid($id)
            ? $this->entities->getRepository(Client::class)->findOneBy(
                ['id' => $id, 'clinicId' => $clinicId],
            )
            : null;
    }

    /** The same for somebody who is about to change what is kept of them: one at a time, the others wait. */
    public function findToChange(string $clinicId, string $id): ?Client
    {
        if (!Uuid::isValid($id)) {
            return null;
        }
        $this->entities->getConnection()->executeQuery(
            'SELECT 1 FROM client WHERE id = ? AND clinic_id = ? FOR UPDATE',
            [$id, $clinicId],
        );

        return $this->find($clinicId, $id);
    }

    /** @return list<Client> by family name */
    public function all(string $clinicId, bool $archived): array
    {
        /** @var list<Client> $clients */
        $clients = $this->entities->createQuery(
            'SELECT c FROM '
                .Client::class
                .' c WHERE c.clinicId = :clinic AND c.archivedAt IS '
                .($archived ? 'NOT NULL' : 'NULL')
                .' ORDER BY c.familyName, c.givenName, c.id',
        )
            ->setParameter('clinic', $clinicId)->getResult();

        return $clients;
    }

    /** @return array<string, string> names by id, of everybody of a clinic */
    public function names(string $clinicId): array
    {
        /** @var array<string, string> $names */
        $names = $this->entities->getConnection()->fetchAllKeyValue(
            "SELECT id, given_name || ' ' || family_name FROM client WHERE clinic_id = ?
                ORDER BY family_name, given_name",
            [$clinicId],
        );

        return $names;
    }

    /** @return iterable<Client> of all clinics, one after the other: for commands that go through everybody */
    public function everybody(): iterable
    {
        $query = $this->entities->createQuery('SELECT c FROM '.Client::class.' c ORDER BY c.id');
        foreach ($query->toIterable() as $client) {
            \assert($client instanceof Client);
            yield $client;
            $this->entities->detach($client);
        }
    }

    public function add(Client $client): void
    {
        $this->entities->persist($client);
        $this->entities->flush();
    }

    public function save(): void
    {
        $this->entities->flush();
    }

    /**
     * Newest answer to each question.
     *
     * @return array<string, array{Answer, \DateTimeImmutable}>
     */
    public function screening(Client $client): array
    {
        $newest = [];
        foreach (
            $this->entities->getConnection()->fetchAllAssociative(
                'SELECT DISTINCT ON (question_id) question_id, answer, asked_on FROM screening_answer WHERE '
                    .'client_id = ? AND clinic_id = ? ORDER BY question_id, asked_on DESC, at DESC, id DESC',
                [$client->id, $client->clinicId],
            ) as $values
        ) {
            $row = new Row($values);
            $newest[$row->text('question_id')] = [
                Answer::from($row->text('answer')),
                $row->day('asked_on'),
            ];
        }

        return $newest;
    }

    /** @return list<\DateTimeImmutable> days on which a question of the screening was a yes, oldest first */
    public function saidYes(Client $client, string $questionId): array
    {
        return array_map(
            static fn (ScreeningAnswer $a): \DateTimeImmutable => $a->askedOn,
            $this->entities->getRepository(ScreeningAnswer::class)->findBy(
                $client->scope() + ['questionId' => $questionId, 'answer' => Answer::Yes],
                ['askedOn' => 'ASC'],
            ),
        );
    }

    /** @param list<ScreeningAnswer> $answers */
    public function addAnswers(array $answers): void
    {
        foreach ($answers as $answer) {
            $this->entities->persist($answer);
        }
        $this->entities->flush();
    }
}
