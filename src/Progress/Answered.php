<?php

declare(strict_types=1);

namespace HandGarden\Progress;

use HandGarden\Core\Progress\ProposalKind;
use HandGarden\Core\Progress\QuietCards;
use HandGarden\Core\Progress\StepTaken;

/** What therapists have answered for one client, as the rules ask for it. */
final readonly class Answered
{
    /** @param list<Decision> $decisions */
    public function __construct(
        private array $decisions,
    ) {
    }

    /** @return list<string> keys of proposals */
    public function keys(): array
    {
        return array_map(static fn (Decision $d): string => $d->proposalKey, $this->decisions);
    }

    public function cards(\DateTimeImmutable $since): QuietCards
    {
        return new QuietCards(array_map(
            static fn (Decision $d): string => $d->proposalKey,
            $this->since($since),
        ));
    }

    /** @return list<StepTaken> accepted since then */
    public function steps(\DateTimeImmutable $since): array
    {
        $steps = [];
        foreach ($this->since($since) as $decision) {
            [, $rungId, $hands] = explode('|', $decision->proposalKey) + ['', '', ''];
            $isMore = true === ProposalKind::tryFrom($decision->kind)?->isMore();
            if ($isMore && '' !== $rungId && DecisionAnswer::Declined !== $decision->answer) {
                $steps[] = new StepTaken($rungId.'|'.$hands, $decision->at);
            }
        }

        return $steps;
    }

    /** @return list<Decision> */
    private function since(\DateTimeImmutable $time): array
    {
        return array_values(array_filter(
            $this->decisions,
            static fn (Decision $d): bool => $d->at >= $time,
        ));
    }
}
