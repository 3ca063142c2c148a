<?php

declare(strict_types=1);

namespace HandGarden\Assessment;

use HandGarden\Core\Measure\MeasureKind;
use HandGarden\Core\Measure\MeasureKinds;

/** The readings of a visit as they count for it: by now, or, once it is signed, as they were when it was. */
final readonly class SignedVisit
{
    /**
     * @param list<RecordedReading>          $taken    in the visit
     * @param array<string, RecordedReading> $replaced what replaces some of them, and that again, by the id of what
     *     is replaced
     */
    public function __construct(
        private Visit $visit,
        private array $taken,
        private array $replaced,
    ) {
    }

    /** @return list<RecordedReading> */
    public function counting(): array
    {
        return array_values(array_filter(
            $this->taken,
            fn (RecordedReading $r): bool => null === $this->changedAt($r) || $this->isAfterSigning($r),
        ));
    }

    /** How many were corrected or taken back before it was signed. */
    public function changedBefore(): int
    {
        return \count($this->taken) - \count($this->counting());
    }

    /** @return list<Addendum> oldest first */
    public function addenda(MeasureKinds $kinds): array
    {
        $addenda = [];
        foreach ($this->taken as $reading) {
            $at = $this->changedAt($reading);
            if (null === $at || !$this->isAfterSigning($reading)) {
                continue;
            }
            $kind = $kinds->find($reading->code);
            $by = $this->newest($reading);
            $addenda[] = new Addendum(
                null === $kind ? $reading->code : MeasureView::name($kind, $reading->argument),
                $reading->side->value ?? '',
                self::said($kind, $reading),
                null === $by ? '' : self::said($kind, $by),
                reason: $by->reason ?? '',
                byStaffId: $by->byStaffId ?? $reading->byStaffId,
                at: $at,
            );
        }
        usort($addenda, static fn (Addendum $a, Addendum $b): int => $a->at <=> $b->at);

        return $addenda;
    }

    private static function said(?MeasureKind $kind, RecordedReading $reading): string
    {
        return MeasureView::text($kind, $reading->toReading()).($kind?->unit->sign() ?? '');
    }

    /** What stands in its place now, after one correction or several; null: nothing does. */
    private function newest(RecordedReading $reading): ?RecordedReading
    {
        $newest = null;
        while (isset($this->replaced[($newest ?? $reading)->id])) {
            $newest = $this->replaced[($newest ?? $reading)->id];
        }

        return $newest;
    }

    private function changedAt(RecordedReading $reading): ?\DateTimeImmutable
    {
        return $reading->withdrawnAt ?? ($this->replaced[$reading->id] ?? null)?->at;
    }

    /** What replaces a reading in the visit itself came before: a signed visit takes nothing more. */
    private function isAfterSigning(RecordedReading $reading): bool
    {
        return null !== $this->visit->signedAt
            && $this->changedAt($reading) >= $this->visit->signedAt
            && $this->visit->id !== ($this->replaced[$reading->id] ?? null)?->visitId;
    }
}
