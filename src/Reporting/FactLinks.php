<?php

declare(strict_types=1);

namespace HandGarden\Reporting;

use HandGarden\Client\Client;
use HandGarden\Core\Report\Fact;
use HandGarden\Core\Report\FactKind;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;

/** Where what a sentence rests on is seen. */
final readonly class FactLinks
{
    /** Of many, so many are named one by one. */
    public const MOST = 4;

    public function __construct(
        private UrlGeneratorInterface $urls,
    ) {
    }

    public function of(Client $client, Fact $fact): string
    {
        $of = ['client' => $client->id];

        return match ($fact->kind) {
            FactKind::Client => $this->urls->generate('desk_client', $of),
            FactKind::Reading => $this->urls->generate('following_trends', $of).'#h-measured',
            FactKind::Sitting => $this->urls->generate('sitting_record', ['sitting' => $fact->id]),
            FactKind::Dose => $this->urls->generate('following_trends', $of).'#h-dose',
            FactKind::Decision => $this->urls->generate('progress_decisions', $of),
            FactKind::Alert => $this->urls->generate('following_alert', $of + ['alert' => $fact->id]),
            FactKind::Answer => $this->urls->generate('client_screening', $of),
            FactKind::Review => $this->urls->generate('following_review', $of),
        };
    }
}
