<?php

declare(strict_types=1);

namespace HandGarden\Reporting;

use HandGarden\Assessment\Change;
use HandGarden\Assessment\MeasuredChanges;
use HandGarden\Client\Client;
use HandGarden\Core\Measure\Change\Judgement;
use HandGarden\Core\Report\UnfitWords;
use HandGarden\Web\Wording;

/** Whether what somebody adds to a report may stand in it. */
final readonly class FitWords
{
    public function __construct(
        private MeasuredChanges $changes,
        private Wording $wording,
    ) {
    }

    /** @return string why not; empty: it may */
    public function refuses(Client $client, Report $draft, string $text): string
    {
        $words = [];
        foreach (UnfitWords::cases() as $case) {
            $words[$case->value] = $this->wording->word('report_unfit.'.$case->value);
        }
        $isGain = [] !== array_filter(
            $this->changes->between($client, $draft->from, $draft->until),
            static fn (Change $c): bool => Judgement::Gain === $c->judgement,
        );
        $found = UnfitWords::in($text, $words, $isGain);

        return null === $found ? '' : $this->wording->word('report_unfit_why.'.$found->value);
    }
}
