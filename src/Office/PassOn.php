<?php

declare(strict_types=1);

namespace HandGarden\Office;

use HandGarden\Account\Audit;
use HandGarden\Account\Staff;
use HandGarden\Account\StaffRepository;
use HandGarden\Client\HandOver;
use HandGarden\Sitting\Alerts;

/** Clients go from one therapist to another, with what waits for an answer. */
final readonly class PassOn
{
    public function __construct(
        private StaffRepository $people,
        private HandOver $handOver,
        private Alerts $alerts,
        private Audit $audit,
    ) {
    }

    /** What is wrong with who is to have them; null: nothing. */
    public function problem(Staff $from, string $to): ?string
    {
        return isset($this->people->whoCouldTakeFrom(
            $from,
        )[$to])
            ? null
            : 'Choose a therapist of this clinic.';
    }

    /** @return int how many there were */
    public function all(Staff $from, string $to): int
    {
        $clients = $this->handOver->all($from->clinicId, $from->id, $to);
        $this->alerts->handOver($clients, $to);
        foreach ($clients as $client) {
            $this->audit->wrote('handed over', $client->id, $to);
        }

        return \count($clients);
    }
}
