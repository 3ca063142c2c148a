<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

/** Cards that were answered not long ago: each stays quiet until pain or tiredness is worse by two than it was then. */
final readonly class QuietCards
{
    private const WORSE_BY = 2;

    /** @param list<string> $answered keys of the proposals, which end in the newest line of what they rested on */
    public function __construct(
        private array $answered = [],
    ) {
    }

    public function silence(Proposal $card, SittingLog $log): bool
    {
        foreach ($this->answered as $key) {
            if (Proposal::cardOf($key) !== $card->cardKey()) {
                continue;
            }
            $then = self::worst($log, [Proposal::newestOf($key)]);
            $now = self::worst($log, $card->evidence);
            if ([] === array_filter(
                [0, 1],
                static fn (int $i): bool => $now[$i] >= $then[$i] + self::WORSE_BY,
            )) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param list<string> $ids of lines
     *
     * @return array{int, int} pain and tiredness, 0 to 10
     */
    private static function worst(SittingLog $log, array $ids): array
    {
        $pain = $tiredness = 0;
        foreach ($log->lines as $line) {
            if (\in_array($line->id, $ids, true)) {
                $pain = max($pain, $line->painBefore ?? 0, $line->painAfterCounted() ?? 0);
                $tiredness = max($tiredness, $line->fatigue ?? 0);
            }
        }

        return [$pain, $tiredness];
    }
}
