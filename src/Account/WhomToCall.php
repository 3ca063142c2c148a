<?php

declare(strict_types=1);

namespace HandGarden\Account;

use HandGarden\Web\Clock;
use HandGarden\Web\Wording;

/** Whom to call when it is no emergency, out of what the clinic has set: who answers now comes first. */
final readonly class WhomToCall
{
    public function __construct(
        private Clock $clock,
        private Wording $wording,
    ) {
    }

    public function of(Clinic $clinic): string
    {
        $now = $this->clock->now();
        $hours = $clinic->openingHours();
        $isOpen = $hours->isOpen($now);
        $clinicLine = $this->line(
            $isOpen ? 'call.clinic-now' : 'call.clinic',
            $clinic->phone,
            $hours->words(),
        );
        $otherLine = $this->line($isOpen ? 'call.other' : 'call.other-now', $clinic->outOfHoursPhone);
        $closed = array_map(
            static fn (\DateTimeImmutable $day): string => $day->format('j M'),
            $hours->closedSoon($now),
        );

        return implode(' ', array_filter([
            ...$isOpen ? [$clinicLine, $otherLine] : [$otherLine, $clinicLine],
            [] === $closed ? '' : $this->wording->word('call.closed', ['days' => implode(', ', $closed)]),
            $clinic->whomToCall,
        ], static fn (string $line): bool => '' !== $line));
    }

    /** The same on paper, that lies about for weeks: nothing of now. */
    public function onPaper(Clinic $clinic): string
    {
        $hours = $clinic->openingHours()->words();

        return implode(' ', array_filter(
            [
                $this->line('call.clinic', $clinic->phone, $hours),
                $this->line('call.other', $clinic->outOfHoursPhone),
                $clinic->whomToCall,
            ],
            static fn (string $line): bool => '' !== $line,
        ));
    }

    private function line(string $code, string $phone, string $hours = ''): string
    {
        if ('' === $phone) {
            return '';
        }

        return $this->wording->word($code, [
            'phone' => $phone,
            'hours' => '' === $hours ? '' : ', '.$hours,
        ]);
    }
}
