<?php

declare(strict_types=1);

namespace HandGarden\Progress;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Progress\Proposal;
use HandGarden\Core\Progress\SittingLog;
use HandGarden\Core\Progress\Strip;
use HandGarden\Core\Words\Phrase;

final readonly class ProposalView
{
    /**
     * @param ?Strip               $strip    the last practice days of its item
     * @param array<string, true>  $restsOn  days that it rests on, as 2026-11-30
     */
    private function __construct(
        public string $key,
        public string $kind,
        public string $ruleId,
        public Phrase $why,
        public DecisionGroup $group,
        public ?Strip $strip,
        public array $restsOn,
        public ?Rung $rung,
        public ?string $hands,
        public Side $side,
        public ?Dose $from,
        public ?Dose $dose,
        public ?Rung $toRung,
    ) {
    }

    public static function from(Proposal $proposal, Catalogue $catalogue, SittingLog $log, Side $worse): self
    {
        $restsOn = [];
        foreach ($log->lines as $line) {
            if (\in_array($line->id, $proposal->evidence, true)) {
                $restsOn[$line->day->format('Y-m-d')] = true;
            }
        }
        $itemKey = $proposal->itemKey();
        $strip = null === $itemKey ? null : Strip::of(
            $itemKey,
            $log,
        );

        return new self(
            $proposal->key(),
            $proposal->kind->value,
            $proposal->ruleId,
            why: $proposal->why,
            group: DecisionGroup::of($proposal),
            strip: true === $strip?->isEmpty() ? null : $strip,
            restsOn: $restsOn,
            rung: null === $proposal->rungId ? null : $catalogue->rung($proposal->rungId),
            hands: $proposal->hands?->label(),
            side: $proposal->hands?->shown($worse) ?? $worse,
            from: $proposal->from,
            dose: $proposal->to,
            toRung: null === $proposal->toRungId ? null : $catalogue->rung($proposal->toRungId),
        );
    }
}
