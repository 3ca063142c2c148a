<?php

declare(strict_types=1);

namespace HandGarden\Core\Placement;

use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Catalogue\RungPart;

/**
 * What to try first on a climb, by halves: of the exercises that are open the middle one. Clean, those above it are
 * left; not clean, those below.
 */
final readonly class FirstTryOut
{
    public function __construct(
        private HandOfClient $hand,
    ) {
    }

    /**
     * @param list<Rung> $fitting easiest first
     * @param Rung       $next    where the climb stops for want of a try-out
     */
    public function of(array $fitting, Rung $next): Rung
    {
        $open = [];
        $from = (int) array_search($next, $fitting, true);
        foreach (\array_slice($fitting, $from) as $rung) {
            if (!$this->isOpen($rung)) {
                break;
            }
            $open[] = $rung;
        }
        $at = intdiv(\count($open), 2);
        while ($at > 0 && $open[$at]->isEarned()) {
            --$at; // tried only as the very next
        }
        if (isset($open[$at]) && $open[$at]->plays(RungPart::NeverTriedFirst)) {
            $at = isset($open[$at + 1]) ? $at + 1 : max(0, $at - 1);
        }

        return $open[$at] ?? $next;
    }

    private function isOpen(Rung $rung): bool
    {
        return [] === Barred::of($rung, $this->hand)->by
            && $rung->fit->entry->judge($this->hand->known, $this->hand->side)->isTrue()
            && !\in_array(
                $this->hand->known->value('tryout', $rung->id, $this->hand->side),
                ['trick', 'no'],
                true,
            );
    }
}
