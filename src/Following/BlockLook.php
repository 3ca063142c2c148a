<?php

declare(strict_types=1);

namespace HandGarden\Following;

use HandGarden\Assessment\Change;
use HandGarden\Assessment\Chart\Chart;
use HandGarden\Core\Progress\Adherence;
use HandGarden\Core\Week\BlockEvidence;
use HandGarden\Core\Week\SampleState;
use HandGarden\Planning\PlanBlock;
use HandGarden\Progress\Decision;

/** A block with everything that shows what it has brought. */
final readonly class BlockLook
{
    /**
     * @param int             $daysDone    of practice
     * @param int             $daysPlanned until today
     * @param list<Change>    $changes     measured before it and now
     * @param ?Chart          $sample      before and after over each other; null: not both there
     * @param list<Decision>  $steps       up, accepted in it
     * @param list<Adherence> $adherence   of each exercise
     */
    public function __construct(
        public PlanBlock $kept,
        public int $day,
        public int $daysDone,
        public int $daysPlanned,
        public array $changes,
        public SampleState $before,
        public SampleState $after,
        public ?Chart $sample,
        public array $steps,
        public array $adherence,
        public Chart $pain,
        public BlockEvidence $evidence,
    ) {
    }
}
