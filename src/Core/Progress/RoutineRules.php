<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

use HandGarden\Core\Progress\Rule\AfterABreak;
use HandGarden\Core\Progress\Rule\RoutineRule;
use HandGarden\Core\Progress\Rule\ShorterWhenTired;
use HandGarden\Core\Progress\Rule\SystemicSymptom;

/** What the whole log asks for: the first rule that applies, in this order. */
final readonly class RoutineRules
{
    /** @var list<RoutineRule> */
    private array $inOrder;

    public function __construct(ProgressSettings $settings, int $daysPerWeek)
    {
        $this->inOrder = [
            new SystemicSymptom($settings),
            new AfterABreak($settings, $daysPerWeek),
            new ShorterWhenTired($settings),
        ];
    }

    /**
     * @param list<Prescribed> $items
     *
     * @return list<Proposal>
     */
    public function propose(array $items, SittingLog $log, \DateTimeImmutable $today): array
    {
        if (null === $log->lastDay()) {
            return [];
        }
        foreach ($this->inOrder as $rule) {
            $proposals = $rule->propose($items, $log, $today);
            if (null !== $proposals) {
                return $proposals;
            }
        }

        return [];
    }
}
