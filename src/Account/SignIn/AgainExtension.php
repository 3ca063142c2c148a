<?php

declare(strict_types=1);

namespace HandGarden\Account\SignIn;

use Twig\Extension\AbstractExtension;
use Twig\TwigFunction;

/** Tells a form of a dangerous act whether it has to ask for the password. */
final class AgainExtension extends AbstractExtension
{
    public function __construct(
        private readonly SessionClock $session,
    ) {
    }

    public function getFunctions(): array
    {
        return [new TwigFunction('asks_again', fn (): bool => !$this->session->isProved())];
    }
}
