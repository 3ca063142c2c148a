<?php

declare(strict_types=1);

namespace HandGarden\Core\Week;

use HandGarden\Core\Words\Phrase;

/** What a block has shown, as far as it decides how to go on. */
final readonly class BlockEvidence
{
    private const SELDOM = 0.6;
    private const EASY = 8;

    /**
     * @param float $share     of what was planned that was done, 0 to 1
     * @param int   $gains     measures with a real gain
     * @param int   $losses    measures with a real loss
     * @param int   $stepsUp   that were taken in the block
     * @param bool  $isHeld    something rests after a symptom, or is not answered
     * @param bool  $painRises the median of the last five days lies two or more over that of the first five
     * @param ?int  $ease      how well the task goes, 0 to 10; null: not asked yet
     */
    public function __construct(
        public float $share,
        public int $gains,
        public int $losses,
        public int $stepsUp,
        public bool $isHeld,
        public bool $painRises,
        public ?int $ease,
    ) {
    }

    /**
     * What speaks against more comes before what speaks for it.
     *
     * @return array{BlockVerdict, Phrase} what is proposed, and why
     */
    public function proposes(): array
    {
        return match (true) {
            $this->isHeld => [
                BlockVerdict::Change,
                new Phrase('block_because.held'),
            ],
            $this->losses > 0 => [
                BlockVerdict::Change,
                new Phrase('block_because.loss', ['losses' => $this->losses]),
            ],
            $this->painRises => [
                BlockVerdict::Change,
                new Phrase('block_because.pain'),
            ],
            $this->share < self::SELDOM => [
                BlockVerdict::Smaller,
                new Phrase(
                    'block_because.seldom',
                    ['percent' => (int) round(100 * $this->share)],
                ),
            ],
            ($this->ease ?? 0) >= self::EASY => [
                BlockVerdict::Finish,
                new Phrase('block_because.easy', ['ease' => $this->ease]),
            ],
            0 === $this->stepsUp && 0 === $this->gains => [
                BlockVerdict::Change,
                new Phrase('block_because.plateau'),
            ],
            default => [
                BlockVerdict::GoOn,
                new Phrase(
                    'block_because.moving',
                    ['steps' => $this->stepsUp, 'gains' => $this->gains],
                ),
            ],
        };
    }
}
