<?php

declare(strict_types=1);

namespace HandGarden\Following;

use HandGarden\Assessment\Recording;
use HandGarden\Assessment\RecordingKind;
use HandGarden\Assessment\RecordingRepository;
use HandGarden\Client\Client;
use HandGarden\Core\Week\Block;
use HandGarden\Planning\PlanBlock;

/** The agreed sample of a block, as it was at its begin and as it was last, of the same hand. */
final readonly class BlockSamples
{
    public function __construct(
        private RecordingRepository $recordings,
    ) {
    }

    /** @return array{Recording, Recording}|null null: not both there */
    public function of(Client $client, PlanBlock $kept): ?array
    {
        $from = $kept->beginsOn->modify('-'.Block::LATE_AFTER.' days');
        $within = array_values(array_filter(
            array_reverse($this->recordings->for($client, RecordingKind::Ink)),
            static fn (Recording $r): bool => \in_array(
                $r->task,
                $kept->sample->names(),
                true,
            ) && $r->onDay >= $from,
        ));
        $side = $within[0]->side ?? null;
        $pair = array_values(array_filter(
            $within,
            static fn (Recording $r): bool => $r->side === $side,
        ));

        return \count($pair) < 2 ? null : [$pair[0], $pair[\count($pair) - 1]];
    }
}
