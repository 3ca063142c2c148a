<?php

declare(strict_types=1);

namespace HandGarden\Core\GroupWork;

use HandGarden\Core\Catalogue\Dose;

/**
 * The dose that the wall leads: the slowest movement, the longest hold and rest, the most of everything. Nobody does
 * more than stands on their own card: who has less lets go, or rests, before the wall does.
 */
final class LeadDose
{
    /** @param non-empty-list<Dose> $doses of one exercise, of the places that do it as shown */
    public static function of(array $doses): Dose
    {
        usort($doses, static fn (Dose $a, Dose $b): int => $b->moveSecondsNow() <=> $a->moveSecondsNow());
        $lead = $doses[0];
        foreach ($doses as $dose) {
            $lead = $lead
                ->withSets(max($lead->sets, $dose->sets))
                ->withPasses(max($lead->passes, $dose->passes))
                ->withRepetitions(max($lead->repetitions, $dose->repetitions))
                ->withHold(max($lead->holdSeconds, $dose->holdSeconds))
                ->withRest(max($lead->restSeconds, $dose->restSeconds));
        }

        return $lead;
    }
}
