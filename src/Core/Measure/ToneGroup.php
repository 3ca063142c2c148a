<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure;

/** A muscle group whose tone is graded. */
enum ToneGroup: string
{
    case Finger = 'finger';
    case Thumb = 'thumb';
    case Wrist = 'wrist';
    case Pronator = 'pronator';
    case Elbow = 'elbow';

    public function label(): string
    {
        return match ($this) {
            self::Finger => 'finger flexors',
            self::Thumb => 'thumb flexors and adductors',
            self::Wrist => 'wrist flexors',
            self::Pronator => 'pronators',
            self::Elbow => 'elbow flexors',
        };
    }

    public function gradeCode(): string
    {
        return 'tone_'.$this->value;
    }

    /** Part of the question `hard_end` that speaks of the same place; null: none does. */
    public function hardEndPart(): ?string
    {
        return match ($this) {
            self::Finger => 'fingers',
            self::Thumb => 'thumb',
            self::Wrist => 'wrist',
            self::Pronator => 'forearm',
            self::Elbow => null,
        };
    }

    /** @return list<string> */
    public static function keys(): array
    {
        return array_map(static fn (self $g): string => $g->value, self::cases());
    }
}
