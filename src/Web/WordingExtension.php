<?php

declare(strict_types=1);

namespace HandGarden\Web;

use HandGarden\Core\Catalogue\Challenge;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Catalogue\DoseWords;
use HandGarden\Core\Catalogue\PlainDose;
use Twig\Extension\AbstractExtension;
use Twig\TwigFilter;
use Twig\TwigFunction;

final class WordingExtension extends AbstractExtension
{
    public function __construct(
        private readonly Wording $wording,
    ) {
    }

    public function getFunctions(): array
    {
        return [new TwigFunction(
            'level_words',
            fn (string $code, int|float|string $level): string => $this->wording
                ->say(DoseWords::level(Challenge::from($code), $level)),
        )];
    }

    public function getFilters(): array
    {
        return [
            new TwigFilter('say', $this->wording->say(...)),
            new TwigFilter('dose', fn (Dose $dose): string => $this->wording->say(DoseWords::of($dose))),
            new TwigFilter(
                'plain_dose',
                fn (Dose $dose): string => $this->wording->say(PlainDose::of($dose)),
            ),
            new TwigFilter('sentence', $this->wording->sentence(...)),
        ];
    }
}
