<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use HandGarden\Account\OpeningHours;
use HandGarden\Core\Sitting\AlertKind;
use HandGarden\Core\Sitting\Waited;

/** Until when an alert is to be seen and to be answered, by the working hours of the clinic. */
final readonly class AlertTimes
{
    public function __construct(
        public AlertKind $kind,
        public \DateTimeImmutable $receivedAt,
        public \DateTimeImmutable $seenBy,
        public \DateTimeImmutable $answeredBy,
        public \DateTimeImmutable $half,
        public \DateTimeImmutable $limit,
        public \DateTimeImmutable $twice,
    ) {
    }

    public static function of(Alert $alert, OpeningHours $hours): self
    {
        $answered = $hours->end(
            $alert->kind->answeredWithin(),
            $alert->receivedAt,
        );
        $seen = min(
            $answered,
            $hours->end($alert->kind->seenWithin(), $alert->receivedAt),
        );
        $limit = null === $alert->seenAt ? $seen : $answered;
        $work = $hours->worked($alert->receivedAt, $limit);

        return new self(
            $alert->kind,
            $alert->receivedAt,
            $seen,
            $answered,
            half: $hours->later(
                $alert->receivedAt,
                intdiv($work, 2),
            ),
            limit: $limit,
            twice: $hours->later(
                $alert->receivedAt,
                2 * $work,
            ),
        );
    }

    public function waited(\DateTimeImmutable $now): Waited
    {
        return Waited::of(
            $this->half,
            $this->limit,
            $this->twice,
            $now,
        );
    }
}
