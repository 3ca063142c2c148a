<?php

declare(strict_types=1);

namespace HandGarden\Home;

use HandGarden\Assessment\Chart\InkLines;
use HandGarden\Client\Client;
use HandGarden\Content\Format\InkFormat;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Home\ConsentKind;
use HandGarden\Following\BlockSamples;
use HandGarden\Following\Looks;
use HandGarden\Planning\PlanBlock;
use HandGarden\Planning\PlanRepository;
use HandGarden\Planning\WantedTask;
use HandGarden\Sitting\SittingRepository;

/** A block that is over and that nobody has looked back on yet: the client says how it goes. */
final readonly class EndedBlock
{
    public function __construct(
        private PlanRepository $plans,
        private SittingRepository $sittings,
        private Looks $looks,
        private BlockWords $words,
        private BlockSamples $samples,
        private Consents $consents,
        private WantedTask $wanted,
    ) {
    }

    public function of(Client $client, \DateTimeImmutable $today): ?PlanBlock
    {
        $kept = $this->plans->block($client);

        return null !== $kept && $kept->block()->ends() < $today
            && null === $this->looks->reviewOf($client, $kept->id)
            && null === $this->words->of($kept->id)
                ? $kept
                : null;
    }

    /** @return ?array<string, mixed> null: nothing is asked */
    public function asked(Client $client, \DateTimeImmutable $today): ?array
    {
        $kept = $this->of($client, $today);
        if (null === $kept) {
            return null;
        }
        $ends = $kept->block()->ends();

        return [
            'id' => $kept->id,
            'days' => \count(array_filter(
                $this->sittings->practiceDays($client),
                static fn (\DateTimeImmutable $d): bool => $d >= $kept->beginsOn && $d <= $ends,
            )),
            'of' => $kept->days,
            'task' => $this->wanted->of($client) ?? '',
            'lookOn' => $this->looks->nextVisit($client, $today)?->format('Y-m-d'),
            'sample' => $this->consents->holds($client, ConsentKind::SampleKept)
                ? $this->sample($client, $kept)
                : null,
        ];
    }

    /** @return array<string, mixed>|null null: it was not taken twice */
    private function sample(Client $client, PlanBlock $kept): ?array
    {
        $pair = $this->samples->of($client, $kept);
        $drawn = null === $pair ? null : InkLines::pair(
            InkFormat::sheet(Node::fromJson($pair[0]->raw)),
            InkFormat::sheet(Node::fromJson($pair[1]->raw)),
        );

        return null === $pair || null === $drawn ? null : [
            'width' => $drawn['width'],
            'height' => $drawn['height'],
            'before' => ['on' => $pair[0]->onDay->format('Y-m-d'), 'lines' => $drawn[0]],
            'now' => ['on' => $pair[1]->onDay->format('Y-m-d'), 'lines' => $drawn[1]],
        ];
    }
}
