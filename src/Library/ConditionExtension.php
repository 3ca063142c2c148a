<?php

declare(strict_types=1);

namespace HandGarden\Library;

use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Condition\Condition;
use HandGarden\Core\Placement\ConditionWords;
use Twig\Extension\AbstractExtension;
use Twig\TwigFunction;

/** Lets pages say a condition in plain words. */
final class ConditionExtension extends AbstractExtension
{
    public function __construct(
        private readonly CatalogueStore $store,
    ) {
    }

    public function getFunctions(): array
    {
        return [
            new TwigFunction(
                'condition_words',
                fn (Condition $condition): string => (
                    new ConditionWords($this->store->get())
                )->say($condition),
            ),
        ];
    }
}
