<?php

declare(strict_types=1);

namespace HandGarden\Following;

use HandGarden\Client\Client;
use HandGarden\Client\ClientRepository;
use HandGarden\Core\Progress\SkipReason;
use HandGarden\Core\Screening\ScreeningQuestions;
use HandGarden\Core\Words\Phrase;
use HandGarden\Planning\PlanRepository;
use HandGarden\Sitting\DayFigures;

/** What is shaded on the charts of a client. */
final readonly class Periods
{
    private const AWAY_DAYS = 7;
    /** For which a change of medicine is asked: it lies somewhere in them. */
    private const MEDICINE_DAYS = 14;
    /** For which an injection is thought to work. */
    public const INJECTION_DAYS = 84;

    public function __construct(
        private PlanRepository $plans,
        private ClientRepository $clients,
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
        foreach ($this->clients->saidYes($client, ScreeningQuestions::MEDICINE_CHANGED) as $asked) {
            $periods[] = new Period(
                $asked->modify('-'.self::MEDICINE_DAYS.' days'),
                $asked,
                'medicine',
                new Phrase('trend.medicine'),
            );
        }
        array_push($periods, ...self::ill($days), ...self::away($days, $until));

        return array_values(array_filter(
            $periods,
            static fn (Period $p): bool => $p->until >= $from && $p->from <= $until,
        ));
    }

    /**
     * Days that were left out for an illness, one after the other.
     *
     * @param list<DayFigures> $days oldest first
     *
     * @return list<Period>
     */
    private static function ill(array $days): array
    {
        $ill = [];
        foreach ($days as $day) {
            if (SkipReason::Ill !== $day->reason || $day->isPractice()) {
                continue;
            }
            $last = $ill[array_key_last($ill) ?? -1] ?? null;
            $goesOn = null !== $last && $last->until->modify('+1 day') >= $day->day;
            if ($goesOn) {
                array_pop($ill);
            }
            $ill[] = new Period(
                $goesOn ? $last->from : $day->day,
                $day->day,
                'ill',
                new Phrase('trend.ill'),
            );
        }

        return $ill;
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
