<?php

declare(strict_types=1);

namespace HandGarden\Home;

use HandGarden\Client\Client;
use HandGarden\Core\Diary\AskedOnce;
use HandGarden\Core\Diary\Factor;
use HandGarden\Core\Diary\Split;
use HandGarden\Core\Diary\Trial;

/** What is tried, one thing at a time, and what it came to. */
final readonly class DiaryTrials
{
    private const LEAST_BREAK = 5;
    private const MOST_BREAK = 20;
    private const USUAL_BREAK = 15;

    public function __construct(
        private Diaries $diaries,
    ) {
    }

    /** After two weeks of diary, with nothing that a doctor has to look at first, and no other trial on. */
    public function mayBegin(Client $client, Diary $diary, \DateTimeImmutable $today): bool
    {
        foreach (AskedOnce::cases() as $question) {
            if ($question->forbidsATrial() && 'yes' === ($diary->asked[$question->value] ?? null)) {
                return false;
            }
        }
        foreach ($this->diaries->trials($client) as $trial) {
            if ($trial->runsOn($today)) {
                return false;
            }
        }

        return $diary->beganOn->modify('+'.Trial::DAYS.' days') <= $today;
    }

    /** @param list<DiaryEntry> $entries */
    public function judge(Client $client, DiaryTrial $trial, array $entries, int $trials): Trial
    {
        $injected = $client->injectionDay();

        return Trial::judge(
            Diaries::compared($entries),
            new \DateTimeImmutable($trial->beganOn->format('Y-m-d'), new \DateTimeZone('UTC')),
            [...null === $injected ? [] : [$injected], ...null === $trial->endedAt ? [] : [$trial->beganOn]],
            $trials,
            seed: crc32($trial->id),
        );
    }

    /**
     * After how many minutes of fine work to stop: half of what is usual for the client.
     *
     * @param list<DiaryEntry> $entries
     */
    public function breakMinutes(array $entries): int
    {
        $median = Split::of(Factor::FineWorkMinutes, Diaries::compared($entries))->threshold;

        return null === $median
            ? self::USUAL_BREAK
            : max(self::LEAST_BREAK, min(self::MOST_BREAK, (int) round($median / 2.0)));
    }

    /**
     * After how many minutes it rings in a trial: as it was when the trial began, so that it does not move under it.
     *
     * @param list<DiaryEntry> $entries
     *
     * @return ?int null: nothing rings in it
     */
    public function bellMinutes(DiaryTrial $trial, array $entries): ?int
    {
        return Factor::FineWorkMinutes === $trial->factor
            ? $this->breakMinutes(array_values(array_filter(
                $entries,
                static fn (DiaryEntry $e): bool => $e->day < $trial->beganOn,
            )))
            : null;
    }
}
