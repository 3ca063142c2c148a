<?php

declare(strict_types=1);

namespace HandGarden\Web;

use Twig\Extension\AbstractExtension;
use Twig\TwigFilter;

final class WordingExtension extends AbstractExtension
{
    public function __construct(
        private readonly Wording $wording,
    ) {
    }

    public function getFilters(): array
    {
        return [
            new TwigFilter('say', $this->wording->say(...)),
            new TwigFilter('sentence', $this->wording->sentence(...)),
        ];
    }
}
