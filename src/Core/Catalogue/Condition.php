<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/** What a client lives with, as far as it decides which rungs fit. */
enum Condition: string
{
    case Stroke = 'stroke';
    case BrainInjury = 'brain-injury';
    case Parkinsons = 'parkinsons';
    case Tremor = 'tremor';
    case Spasticity = 'spasticity';
    case Dystonia = 'dystonia';
    case AdvancedDementia = 'advanced-dementia-with-caregiver';

    public function label(): string
    {
        return match ($this) {
            self::Stroke => 'Stroke',
            self::BrainInjury => 'Brain injury',
            self::Parkinsons => "Parkinson's",
            self::Tremor => 'Tremor',
            self::Spasticity => 'Spasticity',
            self::Dystonia => 'Dystonia',
            self::AdvancedDementia => 'Advanced dementia, with a caregiver',
        };
    }

    /** The name by which conditions ask for it: `has(advanced_dementia)`. */
    public function factArgument(): string
    {
        return self::AdvancedDementia === $this
            ? 'advanced_dementia'
            : str_replace('-', '_', $this->value);
    }
}
