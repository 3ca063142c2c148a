<?php

declare(strict_types=1);

namespace HandGarden\Home;

use HandGarden\Account\Clinic;
use HandGarden\Account\ClinicHours;
use HandGarden\Account\ClinicRepository;
use HandGarden\Account\ClinicSettings;
use HandGarden\Account\WhomToCall;
use HandGarden\Client\Client;
use HandGarden\Client\Helper;
use HandGarden\Client\Helpers;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Condition;
use HandGarden\Core\Diary\Factor;
use HandGarden\Core\Helping\Burden;
use HandGarden\Core\Home\AlertWord;
use HandGarden\Core\Placement\Decided;
use HandGarden\Core\Progress\Away;
use HandGarden\Core\Progress\TurnedAway;
use HandGarden\Core\Sitting\Waited;
use HandGarden\Home\Shared\SharedTablet;
use HandGarden\Planning\PlanRepository;
use HandGarden\Planning\Suspension;
use HandGarden\Planning\UsesIt;
use HandGarden\Sitting\Alert;
use HandGarden\Sitting\Alerts;
use HandGarden\Sitting\AlertTimes;
use HandGarden\Sitting\ReadsSigns;
use HandGarden\Sitting\SittingRepository;
use HandGarden\Web\Clock;
use HandGarden\Web\Wording;

/** What stands around the plan on the day of a client: exactly what a person at home may see. */
final readonly class HomeDay
{
    private const ALERTS = 5;
    /** How long an answer stands on today; then only the clinic has it. */
    private const ANSWERED = '-7 days';
    private const RECENT = 20;
    private const DIARY_DAYS = 14;

    public function __construct(
        private ClinicRepository $clinics,
        private ClinicHours $hours,
        private ClinicSettings $settings,
        private WhomToCall $whom,
        private PlanRepository $plans,
        private HomePlans $changes,
        private Messages $messages,
        private Diaries $diaries,
        private DiaryTrials $trials,
        private WhatIsSeen $seen,
        private HomeWears $wears,
        private UsesIt $uses,
        private Helpers $helpers,
        private HelperWords $helperWords,
        private EndedBlock $ended,
        private LettersAtHome $letters,
        private Alerts $alerts,
        private SittingRepository $sittings,
        private Wording $wording,
        private Clock $clock,
    ) {
    }

    /** @return array<string, mixed> */
    public function for(HomeUser $user, Client $client): array
    {
        $clinic = $this->clinics->own();
        $names = $this->clinics->namesOfStaff();
        $seen = $this->seen->by($user, $client);
        $today = $this->clock->today($client->zone);

        return [
            'person' => $user->device->person()->value,
            'client' => $client->id,
            'first' => $client->givenName,
            'me' => $user->device->helperId,
            'block' => $seen->block ? $this->ended->asked($client, $today) : null,
            'shared' => null === $user->device->tabletId ? null : SharedTablet::MINUTES,
            'asksHelper' => $this->asksHelper($user, $client, $today),
            'helpers' => array_map(
                static fn (Helper $h): array => ['id' => $h->id, 'name' => $h->name],
                array_values($this->helpers->there($client)),
            ),
            'today' => $today->format('Y-m-d'),
            'zone' => $client->zone,
            'now' => $this->clock->now()->format(\DATE_RFC3339),
            'clinic' => $this->clinic($clinic),
            'back' => $this->back($client, $today),
            'held' => $this->heldBy($client),
            'doctor' => TurnedAway::isForADoctor($this->sittings->log($client), $today),
            'wears' => $this->wears->of($client, $today),
            'use' => $this->used($client, $today),
            'asks' => [
                'medicine' => \in_array(Condition::Parkinsons, $client->conditions(), true),
                'hands' => array_map(static fn (Side $s): string => $s->value, $client->affected()),
                'usable' => $this->usableSide($client)->value,
                'signs' => ReadsSigns::of($client),
            ],
            'sittings' => $this->sittings->startedLately($client, self::RECENT),
            'changes' => $seen->changes ? $this->changesOf($client) : [],
            'letter' => $seen->letter ? $this->letters->newest($client) : null,
            'alerts' => $seen->alerts ? $this->alertsOf($client, $names, $clinic) : [],
            'messages' => $this->messagesOf($user, $client, $names, $seen->messages),
            'diary' => $seen->diary ? $this->diary($client, $today) : null,
        ];
    }

    /** How they get on themselves; asked on their own device alone. */
    private function asksHelper(HomeUser $user, Client $client, \DateTimeImmutable $today): bool
    {
        $id = $user->device->helperId;
        $last = null === $id ? null : $this->helperWords->last($client, $id);

        return null !== $id && null === $user->device->tabletId && Burden::isAskedOn(
            null === $last ? null : Clock::dayOf($last->at, $client->zone),
            $today,
        );
    }

    /** @return ?array{id: string, words: string, isDone: bool} what the hand does in the day; null: nothing */
    private function used(Client $client, \DateTimeImmutable $today): ?array
    {
        $use = $this->uses->current($client);

        return null === $use
            ? null
            : ['id' => $use->id, 'words' => $use->words, 'isDone' => $use->wasDoneOn($today)];
    }

    /** @return array<string, string> */
    private function clinic(Clinic $clinic): array
    {
        return [
            'name' => $clinic->name,
            'phone' => $clinic->phone,
            'night' => $clinic->outOfHoursPhone,
            'emergency' => $clinic->emergencyNumber,
            'whom' => $this->whom->of($clinic),
        ];
    }

    /** @return list<array{what: string, key: string}> what rests until a therapist has looked */
    private function heldBy(Client $client): array
    {
        return array_map(fn (Suspension $s): array => [
            'key' => $s->itemKey,
            'what' => Decided::EVERYTHING === $s->itemKey ? '' : $this->wording->say($s->why()),
        ], $this->plans->suspensions($client));
    }

    /**
     * What is said to somebody who comes back; the rules that ease the plan are those of the plan.
     *
     * @return ?array{days: int, isLong: bool} null: they were not away
     */
    private function back(Client $client, \DateTimeImmutable $today): ?array
    {
        $away = new Away(
            $this->settings->of($client->clinicId)->progress(),
            $this->sittings->log($client),
            $client->daysPerWeek,
            $today,
        );

        return $away->isAway() ? ['days' => $away->daysNow(), 'isLong' => $away->isLong()] : null;
    }

    /** The hand that presses. */
    private function usableSide(Client $client): Side
    {
        $worse = $client->affected()[0] ?? Side::Left;

        return Side::Left === $worse ? Side::Right : Side::Left;
    }

    /** @return list<array<string, mixed>> newest first */
    private function changesOf(Client $client): array
    {
        return array_map(fn (PlanChange $c): array => [
            'id' => $c->id,
            'kind' => $c->kind->value,
            'item' => $c->item,
            'before' => $c->before,
            'now' => $c->now,
            'why' => null === $c->why() ? '' : $this->wording->say($c->why()),
            'on' => $c->at->format('Y-m-d'),
            'isSeen' => null !== $c->seenAt,
        ], $this->changes->changes($client));
    }

    /**
     * @param array<string, string> $names
     *
     * @return list<array{id: string, sign: string, state: string, words: string, at: string}>
     */
    private function alertsOf(Client $client, array $names, Clinic $clinic): array
    {
        return array_map(function (Alert $alert) use ($client, $names, $clinic): array {
            $times = AlertTimes::of($alert, $this->hours->of($client->clinicId));
            $state = AlertWord::of(
                null !== $alert->seenAt,
                !$alert->isOpen(),
                \in_array($times->waited($this->clock->now()), [Waited::Over, Waited::FarOver], true),
            );
            $by = $names[$alert->answeredById ?? $alert->seenById ?? ''] ?? $clinic->name;

            return [
                'id' => $alert->id,
                'sign' => $this->wording->say($alert->why()),
                'state' => $state->value,
                'words' => $this->wording->word('alert_home.'.$state->value, [
                    'therapist' => $by,
                    'words' => $alert->words,
                    'phone' => $clinic->phone,
                    'emergency' => $clinic->emergencyNumber,
                ]),
                'at' => $alert->begunAt->format(\DATE_RFC3339),
            ];
        }, array_values(array_filter(
            $this->alerts->all($client, self::ALERTS),
            fn (Alert $a): bool => $a->isOpen() || $a->answeredAt > $this->clock->now()->modify(
                self::ANSWERED,
            ),
        )));
    }

    /**
     * @param array<string, string> $names
     *
     * @return list<array<string, mixed>> newest first; a helper's own, and the client's where they agreed
     */
    private function messagesOf(HomeUser $user, Client $client, array $names, bool $seesAll): array
    {
        $shown = array_filter(
            $this->messages->of($client),
            static fn (Message $m): bool => $m->deviceId === $user->device->id
                || ($seesAll && 'client' === $m->person->value),
        );

        return array_map(static fn (Message $m): array => [
            'id' => $m->id,
            'about' => $m->about->value,
            'text' => $m->text,
            'at' => $m->at->format(\DATE_RFC3339),
            'answer' => $m->answer,
            'by' => $names[$m->answeredById ?? ''] ?? '',
            'on' => $m->answeredAt?->format(\DATE_RFC3339),
            'isRead' => null !== $m->readAt,
        ], array_values($shown));
    }

    /** @return array<string, mixed>|null null: nobody asked for one, or it has come to its end */
    private function diary(Client $client, \DateTimeImmutable $today): ?array
    {
        $diary = $this->diaries->of($client);
        if (null === $diary) {
            return null;
        }
        $trial = array_values(array_filter(
            $this->diaries->trials($client),
            static fn (DiaryTrial $t): bool => $t->runsOn($today),
        ))[0] ?? null;

        $entries = $this->diaries->entries($client);

        return [
            'runs' => $diary->runsOn($today),
            'first' => $diary->firstAt,
            'second' => $diary->secondAt,
            'factors' => array_map(static fn (Factor $f): array => [
                'code' => $f->value,
                'yesNo' => $f->isYesNo(),
                'morning' => $f->isOfTheMorning(),
                'most' => $f->most(),
                'step' => $f->step(),
            ], $diary->factors()),
            'done' => array_map(
                static fn (DiaryEntry $e): string => $e->moment->value,
                $this->diaries->entriesOn($client, $today),
            ),
            'lately' => $this->lately($entries, $today),
            'trial' => null === $trial ? null : $this->trial($trial, $entries),
        ];
    }

    /**
     * @param list<DiaryEntry> $entries
     *
     * @return array{words: string, until: string, bell: ?int} bell: minutes after which it rings in fine work
     */
    private function trial(DiaryTrial $trial, array $entries): array
    {
        $bell = $this->trials->bellMinutes($trial, $entries);

        return [
            'words' => $this->wording->word(
                'diary_advice.'.$trial->factor->value,
                null === $bell ? [] : ['minutes' => $bell],
            ),
            'until' => $trial->lastDay()->format('Y-m-d'),
            'bell' => $bell,
        ];
    }

    /**
     * @param list<DiaryEntry> $entries
     *
     * @return list<array{day: string, worst: ?int}> of the last days, oldest first; null: nothing was written
     */
    private function lately(array $entries, \DateTimeImmutable $today): array
    {
        $worst = [];
        foreach ($entries as $entry) {
            $day = $entry->day->format('Y-m-d');
            $worst[$day] = max($worst[$day] ?? 0, $entry->severity);
        }
        $lately = [];
        for ($ago = self::DIARY_DAYS - 1; $ago >= 0; --$ago) {
            $day = $today->modify('-'.$ago.' days')->format('Y-m-d');
            $lately[] = ['day' => $day, 'worst' => $worst[$day] ?? null];
        }

        return $lately;
    }
}
