<?php

declare(strict_types=1);

namespace HandGarden\Core\WhatIf;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Placement\ClientFacts;
use HandGarden\Core\Placement\LadderPlacement;
use HandGarden\Core\Placement\Placements;
use HandGarden\Core\Placement\Placer;
use HandGarden\Core\Placement\RungOnSide;
use HandGarden\Core\Progress\Help;
use HandGarden\Core\Progress\LogLine;
use HandGarden\Core\Progress\Outcome;
use HandGarden\Core\Progress\Prescribed;
use HandGarden\Core\Progress\ProgressSettings;
use HandGarden\Core\Progress\Proposal;
use HandGarden\Core\Progress\ProposalKind;
use HandGarden\Core\Progress\Proposer;
use HandGarden\Core\Progress\SittingLog;
use HandGarden\Core\Progress\Situation;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Runs the progress rules themselves over the next weeks, as if items were met on as many of the scheduled days as
 * assumed and every proposal were accepted. It says from which day the rules could propose what, at the earliest; it is
 * no prognosis, because nothing in it knows how a hand recovers.
 */
final readonly class WhatIf
{
    public const DAYS = 42;

    public function __construct(
        private Catalogue $catalogue,
        private ProgressSettings $settings = new ProgressSettings(),
    ) {
    }

    /**
     * @param list<Prescribed> $items       of the routine today
     *
     * @return list<StemPath> of climbed ladders, in the order of the items
     */
    public function run(
        array $items,
        SittingLog $log,
        ClientFacts $facts,
        Assumed $assumed,
        \DateTimeImmutable $today,
    ): array {
        $random = new Randomizer(new Xoshiro256StarStar(hash(
            'sha256',
            'what-if '.$assumed->seed,
            true,
        )));
        $proposer = new Proposer($this->catalogue, $this->settings);
        $courses = array_map(
            static fn (Prescribed $p): Course => new Course($p, $today),
            $items,
        );
        $lines = $log->lines;
        $met = $facts->decided->met;
        for ($day = 1; $day <= self::DAYS; ++$day) {
            $on = $today->modify('+'.$day.' days');
            if (!self::isScheduled($day, $assumed->daysPerWeek)) {
                continue;
            }
            foreach ($courses as $i => $course) {
                if ($random->getInt(0, 9_999) < (int) round(10_000 * $assumed->adherence)) {
                    ++$course->metDays;
                    $lines[] = new LogLine(
                        'what-if '.$day.' '.$i,
                        'what-if '.$day,
                        $course->now->rung->id,
                        $course->now->hands,
                        dose: $course->now->dose,
                        day: $on,
                        outcome: Outcome::Done,
                        repetitions: $course->now->dose->repetitions,
                        painBefore: 0,
                        painAfter: 0,
                        help: Help::None,
                        errors: 0,
                    );
                }
            }
            $proposals = $proposer->propose(
                array_map(static fn (Course $c): Prescribed => $c->now, $courses),
                new SittingLog($lines, $log->begun),
                new Situation($facts->people->conditions, $assumed->daysPerWeek, $on),
            );
            foreach ($proposals as $proposal) {
                $met = $this->follow(
                    $proposal,
                    $courses,
                    $facts,
                    $met,
                    today: $today,
                    on: $on,
                );
            }
        }

        return $this->paths($courses);
    }

    /** Training days spread over the week, as evenly as they go. */
    private static function isScheduled(int $day, int $daysPerWeek): bool
    {
        return intdiv($day * $daysPerWeek, 7) > intdiv(($day - 1) * $daysPerWeek, 7);
    }

    /**
     * @param list<Course> $courses
     * @param list<string> $met
     *
     * @return list<string> rungs whose evidence is met, `rung|side`
     */
    private function follow(
        Proposal $proposal,
        array $courses,
        ClientFacts $facts,
        array $met,
        \DateTimeImmutable $today,
        \DateTimeImmutable $on,
    ): array {
        foreach ($courses as $course) {
            if ($course->now->key() !== $proposal->itemKey()) {
                continue;
            }
            if (ProposalKind::NextRung === $proposal->kind && null === $course->waitsFor) {
                foreach (RungOnSide::forHands(
                    $course->now->rung->id,
                    $course->now->hands,
                ) as $reached) {
                    $met[] = $reached->text();
                }
                $met = array_values(array_unique($met));
                $this->climb(
                    $course,
                    (new Placer($this->catalogue))->place($facts->withMet($met), $today),
                    $on,
                );
            } elseif (null !== $proposal->to && \in_array(
                $proposal->kind,
                [ProposalKind::Advance, ProposalKind::StepDownAfterBreak],
                true,
            )) {
                $course->dosed($proposal->to, $on);
            }
        }

        return $met;
    }

    private function climb(
        Course $course,
        Placements $placements,
        \DateTimeImmutable $on,
    ): void {
        $ladder = $this->catalogue->ladderOf($course->now->rung->id);
        $placed = $this->lowest($placements, $course, $ladder->key);
        $standing = $placed?->standingRung();
        $above = null !== $standing
            && ($ladder->positionOf($standing->id) ?? 0) > ($ladder->positionOf(
                $course->now->rung->id,
            ) ?? 0);
        if (null !== $standing && $above) {
            $course->climbed($standing, $on);
        } elseif (null !== $placed?->next) {
            $course->waitsFor = $placed->next; // its own conditions are measured, never assumed
            $course->waitsSince = $on;
        }
    }

    /** Of two hands that share an item, the one that stands lower. */
    private function lowest(
        Placements $placements,
        Course $course,
        string $ladderKey,
    ): ?LadderPlacement {
        $lowest = null;
        $position = \PHP_INT_MAX;
        foreach (Side::cases() as $side) {
            $placed = $course->now->hands->covers($side)
                ? $placements->find($ladderKey, $side)
                : null;
            $at = null === $placed || null === $placed->standingRung()
                ? 0
                : ($placed->ladder->positionOf($placed->standingRung()->id) ?? 0);
            if (null !== $placed && $at < $position) {
                [$lowest, $position] = [$placed, $at];
            }
        }

        return $lowest;
    }

    /**
     * @param list<Course> $courses
     *
     * @return list<StemPath>
     */
    private function paths(array $courses): array
    {
        $paths = [];
        foreach ($courses as $course) {
            $ladder = $this->catalogue->ladderOf($course->start->rung->id);
            if ($ladder->kind->isClimbed()) {
                $paths[] = new StemPath(
                    $ladder,
                    $course->start->hands,
                    $course->start->rung,
                    $course->reached,
                    doses: $course->doses,
                    waitsFor: $course->waitsFor,
                    waitsSince: $course->waitsSince,
                    metDays: $course->metDays,
                );
            }
        }

        return $paths;
    }
}
