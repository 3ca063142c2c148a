<?php

declare(strict_types=1);

namespace HandGarden\Assessment;

use HandGarden\Account\Audit;
use HandGarden\Client\Client;
use HandGarden\Core\Measure\Reading;

/**
 * A recording and the figures of it that are followed over time go on record together, in the open visit of the
 * day.
 */
final readonly class KeepRecording
{
    public function __construct(
        private RecordingRepository $recordings,
        private ReadingRepository $readings,
        private Audit $audit,
    ) {
    }

    /** @param list<Reading> $figures */
    public function keep(Client $client, Recording $record, array $figures, string $said): void
    {
        $visit = [] === $figures
            ? null
            : $this->readings->visit($client, $record->onDay, $record->byStaffId, $record->at);
        $this->recordings->add(
            $record,
            ...(
                null === $visit
                    ? []
                    : array_map(
                        static fn (Reading $r): RecordedReading => RecordedReading::from(
                            $r,
                            $visit,
                            $record->byStaffId,
                            $record->at,
                        ),
                        $figures,
                    )
            ),
        );
        $this->audit->wrote($said, $client->id, $record->id);
    }
}
