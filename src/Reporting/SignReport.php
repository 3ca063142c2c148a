<?php

declare(strict_types=1);

namespace HandGarden\Reporting;

use HandGarden\Account\Staff;
use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Report\FactKind;
use HandGarden\Core\Report\ReportKind;
use HandGarden\Sitting\Alert;
use HandGarden\Sitting\Alerts;
use HandGarden\Web\Clock;
use HandGarden\Web\Wording;

/** Signs a draft that a therapist has read and that says what is kept now. */
final readonly class SignReport
{
    public function __construct(
        private Reports $reports,
        private WriteReport $write,
        private PictureSheets $sheets,
        private CatalogueStore $catalogue,
        private Alerts $alerts,
        private Wording $wording,
        private Clock $clock,
    ) {
    }

    /**
     * @param bool $isTalked what stands in a letter was talked about with the client
     *
     * @return string what is in the way; empty: it is signed
     */
    public function sign(Client $client, Report $draft, Staff $by, bool $isTalked): string
    {
        if ([] !== $this->write->changedSince($client, $draft)) {
            return 'What it rests on has changed since it was drafted. Write it anew, and read it.';
        }
        $lines = ReportFormat::read($draft);
        $unread = \count(array_filter($lines, static fn (Line $l): bool => !$l->isReadBy($by->id)));
        if ($unread > 0) {
            return \sprintf('Read every line and tick it: %d are not.', $unread);
        }
        if (ReportKind::Review !== $draft->kind && $this->hasOpen($client, $lines)) {
            return 'Something that the client told has not been answered yet. Answer it first: what goes to the client'
                .' tells nothing that was not talked about.';
        }
        if ($draft->kind->isForTheClient() && !$isTalked) {
            return 'Tick that you have talked with the client about what stands in it.';
        }
        $draft->sign(
            $by,
            $by->name.', '.$this->wording->word('role.'.$by->role->value),
            $this->clock->now(),
            ReportKind::Discharge === $draft->kind ? $this->sheets->of($client, $draft->asOf) : '',
            content: $this->catalogue->mark(),
        );
        $this->reports->keep($draft);

        return '';
    }

    /** @param list<Line> $lines */
    private function hasOpen(Client $client, array $lines): bool
    {
        $open = array_map(static fn (Alert $a): string => $a->id, $this->alerts->open($client));
        foreach ($lines as $line) {
            foreach ($line->facts as $fact) {
                if (FactKind::Alert === $fact->kind && \in_array($fact->id, $open, true)) {
                    return true;
                }
            }
        }

        return false;
    }
}
