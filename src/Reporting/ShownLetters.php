<?php

declare(strict_types=1);

namespace HandGarden\Reporting;

use HandGarden\Client\Client;
use HandGarden\Core\Report\ReportKind;
use HandGarden\Home\LettersAtHome;
use HandGarden\Web\Clock;
use HandGarden\Web\Wording;

/** Letters that were signed and put where the client reads them. */
final readonly class ShownLetters implements LettersAtHome
{
    public function __construct(
        private Reports $reports,
        private Wording $wording,
    ) {
    }

    public function newest(Client $client): ?array
    {
        $letter = $this->reports->lastAtHome($client, ReportKind::Letter);

        return null === $letter?->signedAt ? null : [
            'on' => Clock::dayOf($letter->signedAt, $client->zone)->format('Y-m-d'),
            'by' => $letter->signedAs,
            'parts' => $this->parts($letter),
        ];
    }

    /** @return list<array{title: string, lines: list<string>}> */
    private function parts(Report $letter): array
    {
        $parts = [];
        foreach (ReportFormat::read($letter) as $line) {
            $parts[$line->heading->value]['title'] ??= $this->wording->word(
                'report_heading.'.$line->heading->value,
            );
            $parts[$line->heading->value]['lines'][] = $line->text;
        }

        return array_values($parts);
    }
}
