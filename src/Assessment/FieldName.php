<?php

declare(strict_types=1);

namespace HandGarden\Assessment;

use HandGarden\Core\Anatomy\Digit;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Vocabulary;
use HandGarden\Core\Measure\Finding\HandState;
use HandGarden\Core\Measure\Independence;
use HandGarden\Core\Measure\Mode;
use HandGarden\Core\Placement\Needed;

/** One field of the measuring form: part of the form, and what is measured. */
final readonly class FieldName
{
    private function __construct(
        public string $part,
        public string $code,
        public ?Side $side,
        public ?Mode $mode,
        public ?string $argument,
    ) {
    }

    public static function measure(
        string $code,
        ?Side $side,
        ?Mode $mode = null,
        ?string $argument = null,
    ): self {
        return new self('m', $code, $side, $mode, argument: $argument);
    }

    public static function observation(string $code, ?Side $side, ?string $part = null): self
    {
        return new self('o', $code, $side, null, argument: $part);
    }

    public static function tryout(string $rungId, Side $side): self
    {
        return new self('t', 'tryout', $side, null, argument: $rungId);
    }

    /**
     * The fields that answer a fact. Some follow from several: an index of independence from five marks, a
     * release angle
     * from openings at two and more wrist angles.
     *
     * @return list<self>
     */
    public static function answering(Needed $fact, Vocabulary $vocabulary): array
    {
        $side = $vocabulary->isSided($fact->code) ? $fact->side : null;
        $number = $vocabulary->kinds->numbers[$fact->code] ?? null;
        $openings = static fn (Mode $mode, ?string $angle): array => [
            self::measure('opening', $fact->side, $mode, $angle),
        ];

        return match (true) {
            'tryout' === $fact->code => null === $fact->argument
                ? []
                : [self::tryout($fact->argument, $fact->side)],
            'opening_active_pct' === $fact->code => $openings(Mode::Active, $fact->argument),
            'opening_passive_pct' === $fact->code => $openings(Mode::Passive, $fact->argument),
            'release_angle_deg' === $fact->code => array_merge(
                ...array_map(
                    static fn (int $angle): array => $openings(Mode::Active, (string) $angle),
                    HandState::WRIST_ANGLES,
                ),
            ),
            'individuation_idx' === $fact->code
                && null !== ($asked = Digit::tryFrom((string) $fact->argument)) => array_map(
                    static fn (Digit $moving): self => self::measure(
                        'along',
                        $fact->side,
                        null,
                        Independence::pair($asked, $moving),
                    ),
                    Digit::cases(),
                ),
            null !== $vocabulary->observation($fact->code) => [
                self::observation($fact->code, $side, $fact->argument),
            ],
            null !== $number => [
                self::measure($number->readingCode, $side, $number->mode, $fact->argument),
            ],
            default => [],
        };
    }

    public function key(): string
    {
        return 't' === $this->part
            ? $this->argument.':'.($this->side->value ?? '')
            : ReadingKey::for($this->code, $this->side, $this->mode, $this->argument);
    }

    public function name(): string
    {
        return $this->part.'['.$this->key().']';
    }
}
