<?php

declare(strict_types=1);

namespace HandGarden\Wearing;

use Twig\Extension\AbstractExtension;
use Twig\TwigFunction;

/** What is worn beside the sittings, for pages that show a week or a plan on paper. */
final class WearExtension extends AbstractExtension
{
    public function __construct(
        private readonly Wears $wears,
    ) {
    }

    /** @return list<TwigFunction> */
    public function getFunctions(): array
    {
        return [new TwigFunction('worn_by', $this->wears->plans(...))];
    }
}
