<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Catalogue\EffortClass;
use HandGarden\Core\Catalogue\MuscleLoad;
use HandGarden\Core\Catalogue\Purpose;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Catalogue\SittingRole;
use HandGarden\Core\Words\Phrase;

/** One rung with its dose in a sitting. */
final readonly class Item
{
    private const HEAVY_FROM = 3;
    public const SET_UP_IN_CHAIN = 5;
    public const PAUSE_SECONDS = 30;

    /**
     * @param ?string $block   key of the chain it belongs to; items of one block count as one home item
     * @param ?Phrase $variant how it differs from the plain rung, such as a supported wrist
     * @param ?Kept   $kept    what a therapist decided about it; null: the builder's own choice
     * @param int     $worth   what it brings to the objective by itself, in points
     * @param list<int> $growth what each further step of its amount brings, in points
     */
    public function __construct(
        public Rung $rung,
        public Hands $hands,
        public Dose $dose,
        public Phrase $reason,
        public ?string $block = null,
        public ?Phrase $variant = null,
        public ?Kept $kept = null,
        public bool $isPause = false,
        public int $worth = 0,
        public array $growth = [],
    ) {
    }

    /** What log and prescriptions know the item by. */
    public function key(): string
    {
        return (new ItemKey($this->rung->id, $this->hands))->text();
    }

    public function seconds(): int
    {
        return $this->isPause ? self::PAUSE_SECONDS : $this->dose->totalSeconds(
            $this->hands->sides(),
            Rung::SET_UP_SECONDS,
        );
    }

    /** Without the rests between its sets, which stand between the rounds of the chain. */
    public function secondsInChain(): int
    {
        return $this->dose->totalSeconds(
            $this->hands->sides(),
            self::SET_UP_IN_CHAIN,
        ) - $this->restSeconds();
    }

    /** All its rests between sets and sides. */
    public function restSeconds(): int
    {
        return $this->dose->restSecondsInAll($this->hands->sides());
    }

    /** Sets as they are played, of one hand and then of the other. */
    public function turns(): int
    {
        return $this->isPause ? 1 : $this->hands->sides() * $this->dose->setsPlayed();
    }

    public function effort(): float
    {
        return $this->seconds() / 60.0 * $this->rung->load->intensity;
    }

    public function withDose(Dose $dose): self
    {
        return $this->with(['dose' => $dose]);
    }

    public function withKept(?Kept $kept): self
    {
        return $this->with(['kept' => $kept]);
    }

    public function worth(int $points): self
    {
        return $this->with(['worth' => $points]);
    }

    public function varied(?Phrase $variant): self
    {
        return $this->with(['variant' => $variant]);
    }

    /** @param list<int> $points that each further step of its amount brings */
    public function growing(array $points): self
    {
        $most = \count($this->rung->dosing->amounts->amounts()) - 1;

        return $this->with(['growth' => \array_slice($points, 0, $most)]);
    }

    /** So many steps of its amount more than the least, as far as it grows. */
    public function grown(int $steps): self
    {
        $steps = min($steps, \count($this->growth));
        $amounts = $this->rung->dosing->amounts->amounts();

        return 0 === $steps ? $this : $this->with([
            'dose' => $this->rung->dosing->with($this->dose, $amounts[$steps] ?? $amounts[0]),
            'worth' => $this->worth + array_sum(\array_slice($this->growth, 0, $steps)),
        ]);
    }

    /** @param array<string, mixed> $changed by property */
    private function with(array $changed): self
    {
        /** @var array{rung: Rung, hands: Hands, dose: Dose, reason: Phrase} $all */
        $all = array_merge(get_object_vars($this), $changed);

        return new self(...$all);
    }

    public function isHeavy(): bool
    {
        return !$this->isPause && $this->rung->load->intensity >= self::HEAVY_FROM;
    }

    public function isWarmUp(): bool
    {
        return !$this->isPause && SittingRole::WarmUp === $this->rung->sitting->role;
    }

    /** It begins or ends the sitting. */
    public function isFrame(): bool
    {
        return $this->isWarmUp() || $this->isCoolDown();
    }

    public function isCoolDown(): bool
    {
        return SittingRole::CoolDown === $this->rung->sitting->role;
    }

    public function grips(): bool
    {
        foreach ($this->isPause ? [] : $this->rung->load->muscles as $load) {
            if ($load->grips()) {
                return true;
            }
        }

        return false;
    }

    /** What a client counts it as; null: what begins, prepares, lets go, pauses, ends or is a task is not counted. */
    public function homeKey(): ?string
    {
        $isCounted = !$this->isPause
            && SittingRole::Main === $this->rung->sitting->role
            && EffortClass::Task !== $this->rung->load->class
            && Purpose::LettingGo !== $this->rung->demands->purpose;

        return match (true) {
            !$isCounted => null,
            null !== $this->block => explode('|', $this->block)[0],
            default => $this->rung->id,
        };
    }

    public function covers(Side $side): bool
    {
        return $this->hands->covers($side);
    }

    /** @return list<string> muscle groups that work, without those that only answer a reflex */
    public function loadedGroups(): array
    {
        return array_values(
            array_map(
                static fn (MuscleLoad $l): string => $l->group,
                array_filter($this->rung->load->muscles, static fn (MuscleLoad $l): bool => $l->share > 0.0),
            ),
        );
    }
}
