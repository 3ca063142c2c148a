<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use Doctrine\DBAL\Connection;
use HandGarden\Client\Client;
use HandGarden\Web\Row;

/** The days of a long time, each in a few figures. */
final readonly class LoggedTrend
{
    /** Whether one of the items that are grouped told of a symptom. */
    public const SYMPTOM = "bool_or(
            COALESCE(told->>'new_tingling', told->>'systemic', told->>'hurt_later') IS NOT NULL
                OR (told->>'pain_after')::int >= 7
        ) AS has_symptom";
    private const DAYS = 'SELECT day, '.self::SYMPTOM.",
            sum(CASE told->>'outcome' WHEN 'done' THEN 1.0 WHEN 'part' THEN 0.5 ELSE 0 END) AS done,
            count(*) AS items,
            max((told->>'pain_before')::int) AS pain_before,
            max((told->>'pain_after')::int) AS pain_after,
            max((told->>'fatigue')::int) AS fatigue,
            mode() WITHIN GROUP (ORDER BY told->>'reason') AS reason
        FROM sitting_item
        WHERE client_id = ? AND clinic_id = ? AND day >= ? AND told IS NOT NULL
        GROUP BY day ORDER BY day";

    public function __construct(
        private Connection $connection,
    ) {
    }

    /** @return list<DayFigures> oldest first; days without a word are not there */
    public function days(Client $client, \DateTimeImmutable $since): array
    {
        return array_map(
            static fn (array $values): DayFigures => DayFigures::of(
                new Row($values),
            ),
            $this->connection->fetchAllAssociative(
                self::DAYS,
                [
                    $client->id,
                    $client->clinicId,
                    $since->format('Y-m-d'),
                ],
            ),
        );
    }
}
