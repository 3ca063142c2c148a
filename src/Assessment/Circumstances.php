<?php

declare(strict_types=1);

namespace HandGarden\Assessment;

use HandGarden\Core\Measure\MedicationState;
use HandGarden\Core\Measure\Position;
use HandGarden\Core\Measure\Taken;

/** How the measuring goes on: the part of the form above the fields. */
final readonly class Circumstances
{
    private function __construct(
        public Position $position,
        public MedicationState $medication,
        public ?float $hoursSinceDose,
        public bool $setUpChecked,
        public string $problem,
    ) {
    }

    /** @param array<mixed> $form */
    public static function typed(array $form): self
    {
        $text = static fn (string $key): string => \is_string($form[$key] ?? null) ? trim($form[$key]) : '';
        $hours = str_replace(',', '.', $text('hours'));
        $isHours = '' === $hours
            || (is_numeric($hours) && (float) $hours >= 0.0 && (float) $hours <= 48.0);

        return new self(
            Position::tryFrom($text('position')) ?? Position::Usual,
            MedicationState::tryFrom($text('medication')) ?? MedicationState::NotAsked,
            '' === $hours || !$isHours ? null : (float) $hours,
            '1' === $text('set_up'),
            problem: $isHours ? '' : \sprintf('hours since the dose: %s is outside 0..48', $hours),
        );
    }

    public function taken(string $staffId): Taken
    {
        return new Taken($staffId, $this->position, $this->medication);
    }

    public function writeTo(Visit $visit): void
    {
        $visit->setUpChecked = $visit->setUpChecked || $this->setUpChecked;
        $visit->hoursSinceDose = $this->hoursSinceDose ?? $visit->hoursSinceDose;
    }
}
