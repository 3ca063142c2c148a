<?php

declare(strict_types=1);

namespace HandGarden\Progress;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Progress\Compensation;
use HandGarden\Core\Progress\LogLine;
use HandGarden\Core\Progress\Proposal;
use HandGarden\Core\Words\Phrase;
use HandGarden\Web\Wording;

final readonly class ProposalView
{
    /** @param list<string> $evidence */
    private function __construct(
        public string $key,
        public string $kind,
        public string $ruleId,
        public Phrase $why,
        public array $evidence,
        public ?Rung $rung,
        public ?string $hands,
        public Side $side,
        public ?Dose $from,
        public ?Dose $dose,
        public ?Rung $toRung,
    ) {
    }

    /** @param array<string, LogLine> $lines by id */
    public static function from(
        Proposal $proposal,
        Catalogue $catalogue,
        array $lines,
        Side $worse,
        Wording $words,
    ): self {
        $evidence = [];
        foreach ($proposal->evidence as $id) {
            if (isset($lines[$id])) {
                $evidence[] = self::line($lines[$id], $words);
            }
        }

        return new self(
            $proposal->key(),
            $proposal->kind->value,
            $proposal->ruleId,
            why: $proposal->why,
            evidence: $evidence,
            rung: null === $proposal->rungId ? null : $catalogue->rung($proposal->rungId),
            hands: $proposal->hands?->label(),
            side: $proposal->hands?->shown($worse) ?? $worse,
            from: $proposal->from,
            dose: $proposal->to,
            toRung: null === $proposal->toRungId ? null : $catalogue->rung($proposal->toRungId),
        );
    }

    private static function line(LogLine $line, Wording $words): string
    {
        $parts = [$line->day->format('D j M'), $line->outcome->value];
        $parts[] = null === $line->holdSeconds ? '' : 'held '.$line->holdSeconds.' s';
        $parts[] = null === $line->repetitions ? '' : $line->repetitions.' repetitions';
        $parts[] = null === $line->painAfter
            ? ''
            : \sprintf('pain %s → %d', $line->painBefore ?? '?', $line->painAfter);
        $parts[] = null === $line->tone ? '' : 'tone '.$line->tone->value;
        $parts[] = [] === $line->compensations
            ? ''
            : implode(
                ', ',
                array_map(
                    static fn (Compensation $c): string => $words->word('compensation.'.$c->value),
                    $line->compensations,
                ),
            );
        $parts[] = null === $line->fatigue ? '' : 'fatigue '.$line->fatigue;

        return implode(' · ', array_filter($parts, static fn (string $p): bool => '' !== $p));
    }
}
