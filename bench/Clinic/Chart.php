<?php

declare(strict_types=1);

namespace HandGarden\Bench\Clinic;

use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Placement\Decided;
use HandGarden\Core\Placement\Override;
use HandGarden\Core\Progress\LogLine;
use HandGarden\Core\Progress\Proposal;
use HandGarden\Core\Progress\StepTaken;
use HandGarden\Core\Routine\Item;

/** What the clinic has on record of one client. */
final class Chart
{
    /** @var array<string, Dose> by item key */
    public array $doses = [];

    /** @var list<string> `rung|side` */
    public array $met = [];

    /** @var list<Override> */
    public array $overrides = [];

    /** @var array<string, int> since which day, by what rests */
    public array $suspended = [];

    /** @var array<string, int> on which day, by key of a proposal */
    public array $answered = [];

    /** @var list<StepTaken> */
    public array $steps = [];

    /** @var array<string, Proposal> that hold, by key */
    public array $restraints = [];

    /** @var list<string> `rung|side` */
    public array $shown = [];

    /** @var list<Item> of the routine in force */
    public array $routine = [];

    /** @var list<LogLine> that have arrived */
    public array $log = [];

    /** @var array<string, true> item keys that were given once */
    public array $given = [];

    /** @var list<Line> on their way */
    public array $underway = [];

    public string $empty = '';

    public function __construct(
        public \DateTimeImmutable $lookedAt,
        public int $minutes,
    ) {
    }

    public function decided(?Mutant $mutant): Decided
    {
        return new Decided(
            $this->met,
            $this->overrides,
            Mutant::S12 === $mutant ? [] : array_map(
                strval(...),
                array_keys($this->suspended),
            ),
            shown: Mutant::S28 === $mutant ? null : $this->shown,
        );
    }
}
