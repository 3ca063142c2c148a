<?php

declare(strict_types=1);

namespace HandGarden\Library;

use HandGarden\Core\Condition\Condition;
use Twig\Extension\AbstractExtension;
use Twig\TwigFunction;

/** Lets pages say a condition in plain words. */
final class ConditionExtension extends AbstractExtension
{
    public function __construct(
        private readonly ConditionWords $words,
    ) {
    }

    public function getFunctions(): array
    {
        return [
            new TwigFunction(
                'condition_words',
                fn (Condition $condition): string => $this->words->say($condition),
            ),
        ];
    }
}
