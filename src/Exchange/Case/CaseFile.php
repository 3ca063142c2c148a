<?php

declare(strict_types=1);

namespace HandGarden\Exchange\Case;

use HandGarden\Core\Placement\ClientFacts;
use HandGarden\Core\Placement\Placements;
use HandGarden\Core\Placement\Placer;
use HandGarden\Core\Progress\Prescribed;
use HandGarden\Core\Progress\SittingLog;
use HandGarden\Core\Progress\Situation;
use HandGarden\Core\Progress\StepsAhead;
use HandGarden\Core\Progress\UsualPain;
use HandGarden\Core\Routine\Brief;
use HandGarden\Core\Routine\Goals;
use HandGarden\Core\Routine\Limits;

/** One client as a file: see docs/formats.md. */
final readonly class CaseFile
{
    /**
     * @param list<Prescribed> $routine
     * @param list<string>     $focusFirst `ladder|side` that a therapist puts first
     */
    public function __construct(
        public \DateTimeImmutable $today,
        public ClientFacts $facts,
        public Goals $goals,
        public Limits $limits,
        public int $daysPerWeek,
        public array $routine,
        public SittingLog $log,
        public UsualPain $usualPain = new UsualPain(),
        public array $focusFirst = [],
    ) {
    }

    /** What its log is read with. */
    public function situation(Placer $placer): Situation
    {
        return new Situation(
            $this->facts->people->conditions,
            $this->daysPerWeek,
            $this->today,
            $this->usualPain,
            ahead: new StepsAhead(
                $placer,
                fn (): ClientFacts => $this->facts,
                $this->today,
            ),
            atHome: $this->facts->setting->atHome,
        );
    }

    /** What a routine of this client is built from. */
    public function brief(Placements $placements): Brief
    {
        $doses = [];
        foreach ($this->routine as $item) {
            $doses[$item->key()] = $item->dose;
        }

        return new Brief(
            $placements,
            $this->facts,
            $this->goals,
            $this->limits,
            today: $this->today,
            doses: $doses,
            focusFirst: $this->focusFirst,
        );
    }
}
