<?php

declare(strict_types=1);

namespace HandGarden\Home;

use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Client\Client;
use HandGarden\Client\KeptOfClient;
use HandGarden\Core\Progress\ProposalKind;
use HandGarden\Core\Words\Phrase;
use HandGarden\Core\Words\PhraseFormat;
use HandGarden\Progress\Decision;
use HandGarden\Progress\DecisionAnswer;
use HandGarden\Progress\DecisionRepository;
use HandGarden\Web\Clock;

/** Plans as they were handed out, and what changed from one to the next. */
final readonly class HomePlans
{
    private const CHANGES_SHOWN = 30;

    public function __construct(
        private EntityManagerInterface $entities,
        private PlanSheet $sheet,
        private KeptOfClient $kept,
        private DecisionRepository $decisions,
        private Clock $clock,
    ) {
    }

    /** The plan as it is now; a device asks every half minute, so it is worked out when something has changed. */
    public function current(Client $client): HomePlan
    {
        $id = $this->kept->get('plan-at-home', $client, fn (): string => $this->renewed($client)->id);

        return $this->entities->find(HomePlan::class, $id) ?? $this->renewed($client);
    }

    /** The version kept already where nothing is different. */
    private function renewed(Client $client): HomePlan
    {
        $made = $this->sheet->make($client);
        $before = $this->newest($client);
        if ($before?->hash === $made->hash) {
            return $before;
        }
        $kept = $this->version($client->clinicId, $client->id, $made->hash);
        if (null === $kept) {
            $this->entities->persist($made);
        } else { // it went there and back
            $kept->madeAt = $made->madeAt;
        }
        if (null !== $before) {
            $this->noteChanges($client, $before, $kept ?? $made);
        }
        $this->entities->flush();

        return $kept ?? $made;
    }

    public function version(string $clinicId, string $clientId, string $hash): ?HomePlan
    {
        return $this->entities->getRepository(HomePlan::class)->findOneBy(
            ['clinicId' => $clinicId, 'clientId' => $clientId, 'hash' => $hash],
        );
    }

    public function newest(Client $client): ?HomePlan
    {
        return $this->entities->getRepository(HomePlan::class)->findOneBy(
            $client->scope(),
            ['madeAt' => 'DESC', 'id' => 'DESC'],
        );
    }

    /** @return list<PlanChange> newest first */
    public function changes(Client $client): array
    {
        return $this->entities->getRepository(PlanChange::class)->findBy(
            $client->scope(),
            ['at' => 'DESC', 'id' => 'DESC'],
            self::CHANGES_SHOWN,
        );
    }

    /** @param list<string> $ids */
    public function sawChanges(Client $client, array $ids): void
    {
        foreach ($this->changes($client) as $change) {
            if (\in_array($change->id, $ids, true)) {
                $change->seenAt ??= $this->clock->now();
            }
        }
        $this->entities->flush();
    }

    private function noteChanges(Client $client, HomePlan $before, HomePlan $now): void
    {
        $why = [];
        foreach ($this->decisions->for($client) as $decision) {
            if (DecisionAnswer::Declined !== $decision->answer && $decision->at >= $before->madeAt) {
                $why[$decision->itemKey()] = new Phrase(self::reason($decision));
            }
        }
        foreach ($before->record + $now->record as $key => $named) {
            $was = $before->record[$key]['dose'] ?? '';
            $is = $now->record[$key]['dose'] ?? '';
            if ($was !== $is) {
                $this->entities->persist(new PlanChange(
                    $client->clinicId,
                    $client->id,
                    match (true) {
                        '' === $was => PlanChangeKind::Added,
                        '' === $is => PlanChangeKind::TakenOut,
                        default => PlanChangeKind::Dose,
                    },
                    $named['name'],
                    before: $was,
                    now: $is,
                    why: isset($why[$key]) ? PhraseFormat::write($why[$key]) : null,
                    at: $now->madeAt,
                ));
            }
        }
    }

    /** In words that somebody at home knows. */
    private static function reason(Decision $decision): string
    {
        return match (true) {
            ProposalKind::tryFrom($decision->kind)?->isMore() ?? false => 'home_why.went_well',
            $decision->isOfASymptom() => 'home_why.hurt',
            default => 'home_why.easier',
        };
    }
}
