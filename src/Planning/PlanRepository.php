<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Content\Format\DoseFormat;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Placement\RungOnSide;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\ItemKey;
use HandGarden\Core\Words\Phrase;
use HandGarden\Core\Words\PhraseFormat;
use Symfony\Component\Uid\Uuid;

/**
 * What a therapist decided for one client: overrides, approved rungs, doses, suspensions and the routine.
 *
 * @phpstan-type DoseHistory non-empty-list<array{at: \DateTimeImmutable, dose: Dose, of: PrescribedDose}>
 */
final readonly class PlanRepository
{
    public function __construct(
        private EntityManagerInterface $entities,
        private CatalogueStore $catalogue,
    ) {
    }

    /** @return list<PlacementOverride> newest first, one of each ladder and hand */
    public function overrides(Client $client): array
    {
        $newest = [];
        foreach (
            $this->entities->getRepository(PlacementOverride::class)->findBy(
                $client->scope() + ['withdrawnAt' => null],
                ['at' => 'DESC', 'id' => 'DESC'],
            ) as $override
        ) {
            $newest[$override->ladderKey.$override->side->value] ??= $override;
        }

        return array_values($newest);
    }

    /** @return list<FocusChoice> that hold, the earliest first */
    public function focusChoices(Client $client): array
    {
        return $this->entities->getRepository(FocusChoice::class)->findBy(
            $client->scope() + ['endedAt' => null],
            ['at' => 'ASC', 'id' => 'ASC'],
        );
    }

    public function block(Client $client): ?PlanBlock
    {
        return $this->entities->getRepository(PlanBlock::class)->findOneBy(
            $client->scope(),
            ['at' => 'DESC', 'id' => 'DESC'],
        );
    }

    /** @return list<PlanBlock> of which each ended the one before, oldest first */
    public function blocks(Client $client): array
    {
        return $this->entities->getRepository(PlanBlock::class)->findBy(
            $client->scope(),
            ['beginsOn' => 'ASC', 'at' => 'ASC'],
        );
    }

    public function weekTimes(Client $client): ?WeekTimes
    {
        return $this->entities->getRepository(WeekTimes::class)->findOneBy(
            $client->scope(),
        );
    }

    /** @return list<ApproachChoice> */
    public function approaches(Client $client): array
    {
        return $this->entities->getRepository(ApproachChoice::class)->findBy(
            $client->scope() + ['withdrawnAt' => null],
            ['at' => 'DESC', 'id' => 'DESC'],
        );
    }

    /** @return list<ShortTermGoal> not withdrawn, nearest day first */
    public function shortTermGoals(Client $client): array
    {
        return $this->entities->getRepository(ShortTermGoal::class)->findBy(
            $client->scope() + ['withdrawnAt' => null],
            ['byDay' => 'ASC', 'id' => 'ASC'],
        );
    }

    /** @return list<string> `rung|side` */
    public function approvedRungs(Client $client): array
    {
        return array_values(
            array_unique(
                array_map(
                    static fn (ApprovedRung $a): string => (new RungOnSide($a->rungId, $a->side))->text(),
                    $this->entities->getRepository(ApprovedRung::class)->findBy(
                        $client->scope(),
                    ),
                ),
            ),
        );
    }

    /** @return array<string, Dose> by item key */
    public function doses(Client $client): array
    {
        return array_map(
            static fn (array $history): Dose => $history[\count($history) - 1]['dose'],
            $this->doseHistories($client),
        );
    }

    /**
     * Every dose of record of an item that is still known, oldest first.
     *
     * @return list<array{at: \DateTimeImmutable, dose: Dose, of: PrescribedDose}>
     */
    public function doseHistory(Client $client, string $itemKey): array
    {
        return $this->dosesBy($client->scope() + ['itemKey' => $itemKey])[$itemKey] ?? [];
    }

    /**
     * The same of every item, in one query.
     *
     * @return array<string, DoseHistory> by item key
     */
    public function doseHistories(Client $client): array
    {
        return $this->dosesBy($client->scope());
    }

    /**
     * @param array<string, string> $criteria
     *
     * @return array<string, DoseHistory>
     */
    private function dosesBy(array $criteria): array
    {
        $histories = [];
        foreach (
            $this->entities->getRepository(PrescribedDose::class)->findBy(
                $criteria,
                ['at' => 'ASC', 'id' => 'ASC'],
            ) as $kept
        ) {
            $rungId = ItemKey::fromText($kept->itemKey)->rungId ?? '';
            if ($this->catalogue->get()->hasRung($rungId)) {
                $dosing = $this->catalogue->get()->rung($rungId)->dosing;
                $histories[$kept->itemKey][] = [
                    'at' => $kept->at,
                    'dose' => $dosing->today(DoseFormat::read(Node::root($kept->dose), $dosing->start)),
                    'of' => $kept,
                ];
            }
        }

        return $histories;
    }

    public function prescribe(
        Client $client,
        string $itemKey,
        Dose $dose,
        DoseSource $source,
        Prescribing $by,
    ): void {
        $this->keep(
            self::prescribed($client, $itemKey, $dose, $source, by: $by),
        );
    }

    /**
     * What comes into a routine for the first time begins with the dose it comes with.
     *
     * @param list<Item> $items
     */
    public function prescribeNew(Client $client, array $items, Prescribing $by): void
    {
        $known = $this->doses($client);
        $new = [];
        foreach ($items as $item) {
            if (!$item->isPause && !isset($known[$item->key()])) {
                $new[$item->key()] ??= self::prescribed(
                    $client,
                    $item->key(),
                    $item->dose,
                    DoseSource::Start,
                    by: $by,
                );
            }
        }
        $this->keep(...array_values($new));
    }

    private static function prescribed(
        Client $client,
        string $itemKey,
        Dose $dose,
        DoseSource $source,
        Prescribing $by,
    ): PrescribedDose {
        return new PrescribedDose(
            $client->clinicId,
            $client->id,
            $itemKey,
            DoseFormat::write($dose),
            byStaffId: $by->staffId,
            at: $by->at,
            source: $source,
            proposalKey: $by->proposalKey,
        );
    }

    /** @return list<Suspension> not reopened yet, newest first */
    public function suspensions(Client $client): array
    {
        return $this->entities->getRepository(Suspension::class)->findBy(
            $client->scope() + ['reopenedAt' => null],
            ['at' => 'DESC'],
        );
    }

    public function wasReopened(Client $client, string $suspensionId): bool
    {
        $found = Uuid::isValid($suspensionId)
            ? $this->entities->getRepository(Suspension::class)->findOneBy(
                $client->scope() + ['id' => $suspensionId],
            )
            : null;

        return null !== $found?->reopenedAt;
    }

    /**
     * Lets an item, or everything, rest. What rests already is left as it is, and so is what a therapist reopened
     * after this was told: they knew of it.
     */
    public function suspend(
        Client $client,
        string $itemKey,
        Phrase $why,
        \DateTimeImmutable $told,
        \DateTimeImmutable $at,
    ): void {
        $earlier = $this->entities->getRepository(Suspension::class)->findBy(
            $client->scope() + ['itemKey' => $itemKey],
        );
        foreach ($earlier as $suspension) {
            if (null === $suspension->reopenedAt || $suspension->reopenedAt >= $told) {
                return;
            }
        }
        $this->keep(new Suspension(
            $client->clinicId,
            $client->id,
            $itemKey,
            PhraseFormat::write($why),
            at: $at,
        ));
    }

    public function routine(Client $client, RoutineKind $kind = RoutineKind::Home): ?SavedRoutine
    {
        return $this->entities->getRepository(SavedRoutine::class)->findOneBy(
            $client->scope() + ['kind' => $kind],
            ['madeAt' => 'DESC', 'id' => 'DESC'],
        );
    }

    /** @return list<RoutineKind> of which there is a routine with something in it */
    public function kinds(Client $client): array
    {
        return array_map(
            static fn (SavedRoutine $r): RoutineKind => $r->kind,
            array_values(array_filter(
                $this->routines($client),
                static fn (SavedRoutine $r): bool => [] !== $r->items,
            )),
        );
    }

    /** @return list<SavedRoutine> the current one of each kind, at home first */
    public function routines(Client $client): array
    {
        /** @var list<SavedRoutine> $newest */
        $newest = $this->entities->createQuery(
            'SELECT r FROM '.SavedRoutine::class.' r WHERE r.clinicId = :clinic AND r.clientId = :client'
                .' AND NOT EXISTS (SELECT 1 FROM '.SavedRoutine::class.' n WHERE n.clientId = r.clientId'
                .' AND n.kind = r.kind AND (n.madeAt > r.madeAt OR (n.madeAt = r.madeAt AND n.id > r.id)))',
        )
            ->setParameter('clinic', $client->clinicId)
            ->setParameter('client', $client->id)
            ->getResult();
        $order = RoutineKind::cases();
        usort(
            $newest,
            static fn (SavedRoutine $a, SavedRoutine $b): int => array_search(
                $a->kind,
                $order,
                true,
            )
                <=> array_search($b->kind, $order, true),
        );

        return $newest;
    }

    /** Waits until nobody else is changing this routine. */
    public function lock(SavedRoutine $routine): void
    {
        $this->entities->lock($routine, LockMode::PESSIMISTIC_WRITE);
        $this->entities->refresh($routine);
    }

    /** @return array<string, string> names by id, of clients in care for whom a routine was made */
    public function namesWithRoutine(string $clinicId): array
    {
        /** @var list<array{id: string, given: string, family: string}> $rows */
        $rows = $this->entities->createQuery(
            'SELECT c.id, c.givenName AS given, c.familyName AS family FROM '.Client::class.' c'
                .' WHERE c.clinicId = :clinic AND c.archivedAt IS NULL AND EXISTS (SELECT 1 FROM '
                .SavedRoutine::class.' r WHERE r.clientId = c.id) ORDER BY c.familyName, c.givenName',
        )->setParameter('clinic', $clinicId)->getResult();
        $names = [];
        foreach ($rows as $row) {
            $names[$row['id']] = $row['given'].' '.$row['family'];
        }

        return $names;
    }

    public function keep(object ...$records): void
    {
        foreach ($records as $record) {
            $this->entities->persist($record);
        }
        $this->entities->flush();
    }

    /** @param callable(): void $work */
    public function together(callable $work): void
    {
        $this->entities->wrapInTransaction(static function () use ($work): void {
            $work();
        });
    }
}
