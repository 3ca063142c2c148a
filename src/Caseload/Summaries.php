<?php

declare(strict_types=1);

namespace HandGarden\Caseload;

use HandGarden\Account\ClinicHours;
use HandGarden\Account\ClinicSettings;
use HandGarden\Assessment\ReadingRepository;
use HandGarden\Client\Cautions;
use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Screening\Answer;
use HandGarden\Core\Screening\Question;
use HandGarden\Following\DueList;
use HandGarden\Following\Looks;
use HandGarden\Home\HelperWords;
use HandGarden\Home\Messages;
use HandGarden\Planning\PlanRepository;
use HandGarden\Progress\OpenProposals;
use HandGarden\Progress\Restraints;
use HandGarden\Progress\StepsByThemselves;
use HandGarden\Sitting\Alert;
use HandGarden\Sitting\Alerts;
use HandGarden\Sitting\AlertTimes;
use HandGarden\Sitting\SittingRepository;
use HandGarden\Web\Clock;

/** Brings together what the rooms say of one client, and keeps what holds them down from now on. */
final readonly class Summaries
{
    public function __construct(
        private ClinicSettings $settings,
        private SittingRepository $sittings,
        private PlanRepository $plans,
        private ReadingRepository $readings,
        private Cautions $cautions,
        private OpenProposals $open,
        private StepsByThemselves $steps,
        private Restraints $restraints,
        private Alerts $alerts,
        private ClinicHours $hours,
        private DueList $due,
        private Looks $looks,
        private Messages $messages,
        private HelperWords $helperWords,
        private CatalogueStore $catalogue,
        private Clock $clock,
    ) {
    }

    public function for(Client $client): Summary
    {
        $this->sittings->reset(); // what was read before the change is older than it
        $today = $this->clock->today($client->zone);
        $practised = $this->sittings->practiceDays($client);
        $weekAgo = $today->modify('-7 days');
        $waiting = [];
        $open = $this->steps->take(
            $client,
            $this->open->for($client),
        );
        $this->restraints->keep($client, $open);
        foreach ($open as $proposal) {
            $group = Group::ofProposal($proposal->kind)->value;
            $waiting[$group] = ($waiting[$group] ?? 0) + 1;
        }

        $settings = $this->settings->of($client->clinicId);
        $measuredOn = $this->readings->lastDay($client);

        return new Summary(
            $today,
            $practised[0] ?? null,
            \count(array_filter(
                $practised,
                static fn (\DateTimeImmutable $d): bool => $d > $weekAgo,
            )),
            $client->daysPerWeek,
            waiting: $waiting,
            suspended: \count($this->plans->suspensions($client)),
            alerts: array_map(
                fn (Alert $a): AlertTimes => AlertTimes::of(
                    $a,
                    $this->hours->of($client->clinicId),
                ),
                $this->alerts->open($client),
            ),
            visitsToday: $this->looks->nextVisit($client, $today)?->format('Y-m-d') === $today->format(
                'Y-m-d',
            ),
            due: $this->due->of($client, $today, $measuredOn),
            looksAgain: [] !== array_filter(
                $this->alerts->toLookAt($client),
                static fn (Alert $a): bool => $a->lookOn <= $today,
            ),
            measuredOn: $measuredOn,
            unasked: $this->unasked($client, $today),
            hasRoutine: [] !== $this->plans->kinds($client),
            countsDays: $settings->thresholds()->ages->numberDays,
            seldomShare: $settings->days()->seldomShare,
            messages: $this->messages->waiting($client),
            helpers: \count($this->helperWords->toTalkWith($client)),
        );
    }

    private function unasked(Client $client, \DateTimeImmutable $today): int
    {
        $screening = $this->cautions->screening($client);
        $open = array_filter(
            $this->catalogue->get()->screening->questions,
            static fn (Question $q): bool => Answer::NotAsked === $screening->answer(
                $q->id,
                $today,
            ),
        );

        return \count($open);
    }
}
