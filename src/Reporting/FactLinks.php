<?php

declare(strict_types=1);

namespace HandGarden\Reporting;

use HandGarden\Assessment\ReadingRepository;
use HandGarden\Client\Client;
use HandGarden\Core\Report\Fact;
use HandGarden\Core\Report\FactKind;
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;

/** Where what a sentence rests on is seen. */
final class FactLinks
{
    /** Of many, so many stand at their line. */
    public const MOST = 2;
    private const VISITS = 500;

    /** @var array<string, array<string, string>> ids of visits by day, by client */
    private array $visits = [];

    public function __construct(
        private readonly ReadingRepository $readings,
        private readonly UrlGeneratorInterface $urls,
        private readonly Security $security,
    ) {
    }

    /** @return string empty: whoever asks may not see it */
    public function of(Client $client, Fact $fact): string
    {
        $of = ['client' => $client->id];

        return match ($fact->kind) {
            FactKind::Client => $this->urls->generate('desk_client', $of),
            FactKind::Reading => $this->ofReading($client, $fact),
            FactKind::Sitting => $this->urls->generate('sitting_record', ['sitting' => $fact->id]),
            FactKind::Dose => $this->urls->generate('following_trends', $of).'#h-dose',
            FactKind::Decision => $this->urls->generate('progress_decisions', $of),
            FactKind::Alert => $this->urls->generate('following_alert', $of + ['alert' => $fact->id]),
            FactKind::Answer => $this->urls->generate('client_screening', $of),
            FactKind::Review => $this->urls->generate('following_review', $of),
            FactKind::Routine => $this->urls->generate('planning_routine', $of),
            FactKind::Block => $this->urls->generate('planning_week', $of),
            FactKind::Look => $this->urls->generate('desk_look', $of),
            FactKind::SignOff => $this->urls->generate('planning_helpers', $of),
            FactKind::Wear => $this->urls->generate('wearing_plans', $of),
            FactKind::Clinic => $this->security->isGranted('ROLE_LEAD') ? $this->urls->generate(
                'office_clinic',
            ) : '',
        };
    }

    /** The visit of its day, with who took it and how; what was never measured is measured. */
    private function ofReading(Client $client, Fact $fact): string
    {
        $day = explode('@', $fact->id)[1] ?? '';
        $visit = '' === $day ? null : $this->visitsOf($client)[$day] ?? null;

        return match (true) {
            null !== $visit => $this->urls->generate(
                'assessment_visit',
                ['client' => $client->id, 'visit' => $visit],
            ),
            '' === $day => $this->urls->generate('assessment_measure', ['client' => $client->id]),
            default => $this->urls->generate('following_trends', ['client' => $client->id]).'#h-measured',
        };
    }

    /** @return array<string, string> ids by day */
    private function visitsOf(Client $client): array
    {
        if (!isset($this->visits[$client->id])) {
            $this->visits[$client->id] = [];
            foreach ($this->readings->visits($client, self::VISITS) as $visit) {
                $this->visits[$client->id][$visit->onDay->format('Y-m-d')] = $visit->id;
            }
        }

        return $this->visits[$client->id];
    }
}
