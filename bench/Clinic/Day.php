<?php

declare(strict_types=1);

namespace HandGarden\Bench\Clinic;

use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Progress\Proposal;
use HandGarden\Core\Progress\SkipReason;
use HandGarden\Core\Routine\Item;

/** One day of a made-up client, as the clinic left its traces. */
final class Day
{
    /** @var list<list<Given>> by sitting */
    public array $sittings = [];

    /** @var list<Line> told on this day, whenever they arrive */
    public array $lines = [];

    /** @var list<string> item keys whose steps up were proposed, each with the line ids it rests on */
    public array $growth = [];

    /** @var array<string, list<string>> by item key */
    public array $evidence = [];

    /** @var array<string, string> next exercises that were proposed, by item key */
    public array $next = [];

    /** @var list<string> item keys whose steps up were accepted */
    public array $accepted = [];

    /** @var list<string> rules of the cards that came up */
    public array $cards = [];

    /** Reason why there was no routine; null: there was one, or none was due. */
    public ?string $empty = null;

    /** @var list<string> `rung|side` that were done beside a therapist by then */
    public array $shown = [];

    /** Cards that were answered. */
    public int $answered = 0;

    /** Exercises that gave way to their next. */
    public int $changes = 0;

    /** @var list<Proposal> that were accepted */
    public array $decided = [];

    /** @var array<string, Dose> of record in the evening, by item key */
    public array $doses = [];

    /** @var list<string> what rests in the evening */
    public array $suspended = [];

    /** @var list<Item> the routine in force in the evening */
    public array $routine = [];

    /** Agreed for a sitting. */
    public int $minutes = 0;

    /** @var list<list<Given>> sittings of which somebody said that they were left out */
    public array $left = [];

    public ?SkipReason $reason = null;

    public bool $isVisit = false;

    public bool $isOverload = false;

    public bool $isUnderload = false;

    public function __construct(
        public readonly int $number,
        public readonly bool $isPlanned,
    ) {
    }
}
