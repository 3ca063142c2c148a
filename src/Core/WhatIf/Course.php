<?php

declare(strict_types=1);

namespace HandGarden\Core\WhatIf;

use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Placement\RungPlacement;
use HandGarden\Core\Progress\Prescribed;

/** One item on its way through the weeks: what is prescribed now, and what it came by. */
final class Course
{
    public Prescribed $now;

    /** @var list<Reached> */
    public array $reached = [];

    /** @var list<array{\DateTimeImmutable, Rung, Dose}> */
    public array $doses = [];

    public ?RungPlacement $waitsFor = null;

    public ?\DateTimeImmutable $waitsSince = null;

    public int $metDays = 0;

    public function __construct(
        public readonly Prescribed $start,
        \DateTimeImmutable $today,
    ) {
        $this->now = $start;
        $this->doses[] = [$today, $start->rung, $start->dose];
    }

    public function dosed(Dose $dose, \DateTimeImmutable $on): void
    {
        $this->now = new Prescribed($this->now->rung, $this->now->hands, $dose);
        $this->doses[] = [$on, $this->now->rung, $dose];
    }

    public function climbed(Rung $rung, \DateTimeImmutable $on): void
    {
        $this->now = new Prescribed($rung, $this->now->hands, $rung->dosing->start);
        $this->reached[] = new Reached($rung, $on);
        $this->doses[] = [$on, $rung, $rung->dosing->start];
    }
}
