<?php

declare(strict_types=1);

namespace HandGarden\Progress;

use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Client\Client;
use HandGarden\Core\Progress\UsualPain;
use HandGarden\Web\Clock;

final readonly class UsualPains
{
    public function __construct(
        private EntityManagerInterface $entities,
        private Clock $clock,
    ) {
    }

    public function for(Client $client): UsualPain
    {
        $levels = [];
        foreach ($this->notes($client) as $note) {
            $levels[UsualPain::key($note->part, $note->side)] = $note->level;
        }

        return new UsualPain($levels);
    }

    /** @return list<UsualPainNote> that hold: the newest of each part and side */
    public function notes(Client $client): array
    {
        $since = $this->clock->now()->modify('-'.UsualPain::DAYS.' days');
        $newest = [];
        foreach ($this->entities->getRepository(UsualPainNote::class)->findBy(
            ['clinicId' => $client->clinicId, 'clientId' => $client->id],
            ['at' => 'DESC', 'id' => 'DESC'],
        ) as $note) {
            if ($note->at >= $since) {
                $newest[UsualPain::key($note->part, $note->side)] ??= $note;
            }
        }

        return array_values($newest);
    }

    public function keep(UsualPainNote $note): void
    {
        $this->entities->persist($note);
        $this->entities->flush();
    }
}
