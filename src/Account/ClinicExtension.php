<?php

declare(strict_types=1);

namespace HandGarden\Account;

use Twig\Extension\AbstractExtension;
use Twig\TwigFunction;

final class ClinicExtension extends AbstractExtension
{
    public function __construct(
        private readonly WhomToCall $whom,
    ) {
    }

    public function getFunctions(): array
    {
        return [new TwigFunction('whom_to_call', $this->whom->of(...))];
    }
}
