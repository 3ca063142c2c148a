<?php

declare(strict_types=1);

namespace HandGarden\Account;

use Twig\Extension\AbstractExtension;
use Twig\TwigFunction;

final class ClinicExtension extends AbstractExtension
{
    public function __construct(
        private readonly WhomToCall $whom,
        private readonly ClinicRepository $clinics,
    ) {
    }

    public function getFunctions(): array
    {
        return [
            new TwigFunction('whom_to_call', $this->whom->of(...)),
            new TwigFunction('paper_words', $this->paperWords(...)),
        ];
    }

    /** @return list<string> what stands at the end of a paper: the clinic's own words, and whom to call */
    public function paperWords(): array
    {
        $clinic = $this->clinics->own();

        return array_values(array_filter(
            [$clinic->paperText, $this->whom->onPaper($clinic)],
            static fn (string $line): bool => '' !== $line,
        ));
    }
}
