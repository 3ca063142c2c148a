<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

use HandGarden\Core\Condition\Condition as EntryCondition;

/** One exercise at one difficulty. */
final readonly class Rung
{
    /**
     * @param list<Performer>                                                        $performers
     * @param list<string>                                                           $materials keys of the handbook
     * @param non-empty-list<string>                                                 $steps
     * @param list<Condition>                                                        $fits
     * @param list<Caution>                                                          $cautions  from `avoid when`
     *     and from the gates of its ladder
     * @param list<MuscleLoad>                                                       $loads
     * @param list<string>                                                           $lengthens
     * @param list<ApproachTag>                                                      $tags
     * @param list<string>                                                           $easier    ids named as
     *     easier, beside the neighbour in the ladder
     * @param list<string>                                                           $harder
     * @param list<RungPart>                                                         $parts
     * @param list<ProgressSpec>                                                     $progress
     * @param array{
     *     position: string,
     *     watchFor: string,
     *     ease: string,
     *     harder: string,
     *     stop: string,
     *     why: string,
     *     dose: string,
     * } $words
     */
    public function __construct(
        public string $id,
        public string $name,
        public array $performers,
        public array $materials,
        public array $steps,
        public array $words,
        public DoneOn $doneOn,
        public array $fits,
        public array $cautions,
        public array $loads,
        public array $lengthens,
        public EffortClass $class,
        public int $intensity,
        public Segment $segment,
        public SittingRole $role,
        public Posture $posture,
        public Dose $startDose,
        public DoseRange $range,
        public EntryCondition $entry,
        public ?EntryCondition $endsWhile,
        public array $progress,
        public Picture $picture,
        public bool $wantsFirmWrist,
        public ?SittingNeed $sittingNeed,
        public DoseKind $counted,
        public array $tags,
        public string $moves,
        public array $easier,
        public array $harder,
        public array $parts = [],
    ) {
    }

    /**
     * @param list<Condition> $conditions of the client; with advanced dementia only rungs that list it fit,
     *    whatever else there is
     */
    public function fits(array $conditions): bool
    {
        if (\in_array(Condition::AdvancedDementia, $conditions, true)) {
            return \in_array(Condition::AdvancedDementia, $this->fits, true);
        }
        foreach ($conditions as $condition) {
            if (\in_array($condition, $this->fits, true)) {
                return true;
            }
        }

        return false;
    }

    public function plays(RungPart $part): bool
    {
        return \in_array($part, $this->parts, true);
    }

    /** Time of a first week's item, in seconds. */
    public function startSeconds(): int
    {
        return $this->startDose->totalSeconds($this->doneOn->sides(), 20);
    }

    public function withPicture(string $id, Picture $picture): self
    {
        return new self(
            $id,
            $this->name,
            $this->performers,
            $this->materials,
            steps: $this->steps,
            words: $this->words,
            doneOn: $this->doneOn,
            fits: $this->fits,
            cautions: $this->cautions,
            loads: $this->loads,
            lengthens: $this->lengthens,
            class: $this->class,
            intensity: $this->intensity,
            segment: $this->segment,
            role: $this->role,
            posture: $this->posture,
            startDose: $this->startDose,
            range: $this->range,
            entry: $this->entry,
            endsWhile: $this->endsWhile,
            progress: $this->progress,
            picture: $picture,
            wantsFirmWrist: $this->wantsFirmWrist,
            sittingNeed: $this->sittingNeed,
            counted: $this->counted,
            tags: $this->tags,
            moves: $this->moves,
            easier: $this->easier,
            harder: $this->harder,
            parts: $this->parts,
        );
    }
}
