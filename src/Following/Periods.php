<?php

declare(strict_types=1);

namespace HandGarden\Following;

use HandGarden\Client\Client;
use HandGarden\Core\Words\Phrase;
use HandGarden\Planning\PlanRepository;
use HandGarden\Sitting\DayFigures;

/** What is shaded on the charts of a client. */
final readonly class Periods
{
    private const AWAY_DAYS = 7;
    /** For which an injection is thought to work. */
    private const INJECTION_DAYS = 84;

    public function __construct(
        private PlanRepository $plans,
    ) {
    }

    /**
     * @param list<DayFigures> $days oldest first
     *
     * @return list<Period>
     */
    public function of(
        Client $client,
        array $days,
        \DateTimeImmutable $from,
        \DateTimeImmutable $until,
    ): array {
        $periods = [];
        foreach ($this->plans->blocks($client) as $kept) {
            $periods[] = new Period(
                $kept->beginsOn,
                $kept->block()->ends(),
                'block',
                new Phrase('trend.block'),
            );
        }
        if (null !== $client->injectedOn) {
            $periods[] = new Period(
                $client->injectedOn,
                $client->injectedOn->modify('+'.self::INJECTION_DAYS.' days'),
                'injection',
                new Phrase('trend.injection'),
            );
        }
        array_push($periods, ...self::away($days, $until));

        return array_values(array_filter(
            $periods,
            static fn (Period $p): bool => $p->until >= $from && $p->from <= $until,
        ));
    }

    /**
     * @param list<DayFigures> $days
     *
     * @return list<Period>
     */
    private static function away(array $days, \DateTimeImmutable $until): array
    {
        $practised = array_values(
            array_filter($days, static fn (DayFigures $d): bool => $d->isPractice()),
        );
        $away = [];
        foreach ($practised as $n => $day) {
            $next = $practised[$n + 1]->day ?? $until;
            if ((int) $day->day->diff($next)->format('%a') > self::AWAY_DAYS) {
                $away[] = new Period(
                    $day->day->modify('+1 day'),
                    $next->modify('-1 day'),
                    'away',
                    new Phrase('trend.away'),
                );
            }
        }

        return $away;
    }
}
