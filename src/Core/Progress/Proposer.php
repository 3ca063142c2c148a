<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\Condition;

/** Reads the whole log and proposes what to change, most pressing first. */
final readonly class Proposer
{
    public function __construct(
        private Catalogue $catalogue,
        private ProgressSettings $settings = new ProgressSettings(),
    ) {
    }

    /**
     * @param list<Prescribed> $items      of the current routine
     * @param list<Condition>  $conditions of the client
     *
     * @return list<Proposal>
     */
    public function propose(
        array $items,
        SittingLog $log,
        array $conditions,
        int $daysPerWeek,
        \DateTimeImmutable $today,
    ): array {
        $whole = $this->ofTheWhole($items, $log, $today);
        $proposals = $whole;
        $scheduled = $daysPerWeek * $this->settings->windowDays / 7.0;
        foreach ($items as $item) {
            $ladder = $this->catalogue->ladderOf($item->rung->id);
            $proposal = (
                new ItemRules(
                    $ladder,
                    $ladder->fittingRungs($conditions),
                    $this->settings,
                    $scheduled,
                )
            )->propose($item, $log->of($item->key()), $today);
            if (null !== $proposal && !($proposal->kind->isMore() && [] !== $whole)) {
                $proposals[] = $proposal; // nothing grows while the whole is in question
            }
        }
        usort(
            $proposals,
            static fn (Proposal $a, Proposal $b): int => [
                $a->kind->precedence(),
                $a->key(),
            ] <=> [$b->kind->precedence(), $b->key()],
        );

        return $proposals;
    }

    /**
     * @param list<Prescribed> $items
     *
     * @return list<Proposal>
     */
    private function ofTheWhole(array $items, SittingLog $log, \DateTimeImmutable $today): array
    {
        $last = $log->lastDay();
        if (null === $last) {
            return [];
        }
        $window = SittingLog::since(
            $log->lines,
            $today->modify('-'.$this->settings->windowDays.' days'),
        );
        $systemic = array_values(array_filter($window, static fn (LogLine $l): bool => $l->systemic));
        if ([] !== $systemic) {
            return [
                new Proposal(
                    ProposalKind::SuspendRoutine,
                    'symptom.systemic',
                    'Dizzy, breathless, chest pain, faint or signs of a stroke: the whole routine rests until a '
                        .'therapist has looked.',
                    self::ids($systemic),
                ),
            ];
        }
        $away = (int) $last->diff($today)->format('%r%a');
        if ($away >= $this->settings->longBreakDays) {
            return [
                new Proposal(
                    ProposalKind::PlaceAgain,
                    'break.long',
                    \sprintf(
                        'No sitting for %d days: measure and place again before going on.',
                        $away,
                    ),
                    self::ids(\array_slice($log->lines, -1)),
                ),
            ];
        }
        if ($away >= $this->settings->breakDays) {
            return $this->afterBreak($items, $log, $away);
        }
        $tired = $this->tiredSittings($window);

        return \count($tired) >= $this->settings->fatigueSittings
            ? [
                new Proposal(
                    ProposalKind::Shorten,
                    'ease.fatigue',
                    \sprintf(
                        'Fatigue of %d or more in the last %d sittings: a quarter less time.',
                        $this->settings->fatigueHigh,
                        $this->settings->fatigueSittings,
                    ),
                    self::ids($tired),
                ),
            ]
            : [];
    }

    /**
     * @param list<Prescribed> $items
     *
     * @return list<Proposal>
     */
    private function afterBreak(array $items, SittingLog $log, int $away): array
    {
        $proposals = [];
        foreach ($items as $item) {
            $lower = (new DoseSteps($item->rung))->down($item->dose);
            if (null !== $lower && $item->rung->class->needsPreparation()) {
                $proposals[] = new Proposal(
                    ProposalKind::StepDownAfterBreak,
                    'break.week',
                    \sprintf('No sitting for %d days: begin one dose step lower.', $away),
                    self::ids(\array_slice($log->lines, -1)),
                    rungId: $item->rung->id,
                    hands: $item->hands,
                    from: $item->dose,
                    to: $lower,
                );
            }
        }

        return $proposals;
    }

    /**
     * The last sittings, as far as all of them were very tiring.
     *
     * @param list<LogLine> $window
     *
     * @return list<LogLine> one line a sitting
     */
    private function tiredSittings(array $window): array
    {
        $bySitting = [];
        foreach ($window as $line) {
            if (
                null !== $line->fatigue
                && ($bySitting[$line->sittingId]->fatigue ?? -1) < $line->fatigue
            ) {
                $bySitting[$line->sittingId] = $line;
            }
        }
        $last = \array_slice(array_values($bySitting), -$this->settings->fatigueSittings);

        return array_values(
            array_filter(
                $last,
                fn (LogLine $l): bool => ($l->fatigue ?? 0) >= $this->settings->fatigueHigh,
            ),
        );
    }

    /**
     * @param list<LogLine> $lines
     *
     * @return list<string>
     */
    private static function ids(array $lines): array
    {
        return array_map(static fn (LogLine $l): string => $l->id, $lines);
    }
}
