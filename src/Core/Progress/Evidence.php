<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\ProgressKind;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Placement\RungOnSide;

/** Reads from the log which rungs have met their move-up evidence: the cap of the last rule, met on enough days. */
final readonly class Evidence
{
    public function __construct(
        private Catalogue $catalogue,
        private ProgressSettings $settings,
    ) {
    }

    /** @return list<string> `rung|side` */
    public function met(SittingLog $log): array
    {
        $met = [];
        foreach ($log->itemKeys() as $key) {
            $lines = $log->of($key);
            if ([] === $lines || !$this->catalogue->hasRung($lines[0]->rungId)) {
                continue;
            }
            if ($this->isMet($this->catalogue->rung($lines[0]->rungId), $lines)) {
                foreach (RungOnSide::forHands($lines[0]->rungId, $lines[0]->hands) as $reached) {
                    $met[] = $reached->text();
                }
            }
        }

        return array_values(array_unique($met));
    }

    /** @param non-empty-list<LogLine> $lines of one item, oldest first */
    private function isMet(Rung $rung, array $lines): bool
    {
        $rules = array_values(
            array_filter(
                $rung->progress,
                static fn ($spec): bool => ProgressKind::Review !== $spec->kind,
            ),
        );
        if ([] === $rules) {
            return false;
        }
        $steps = new DoseSteps($rung);
        $symptoms = new Symptoms($this->settings);
        $good = [];
        foreach ($lines as $line) {
            if ($symptoms->any($line)) {
                $good = []; // what came before a symptom proves nothing any more
            } elseif ($line->metTarget() && $steps->isAtCap($line->dose)) {
                $good[] = $line;
            }
        }

        return SittingLog::days($good) >= $rules[array_key_last($rules)]->days;
    }
}
