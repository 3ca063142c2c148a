<?php

declare(strict_types=1);

namespace HandGarden\Client;

use Twig\Extension\AbstractExtension;
use Twig\TwigFunction;

final class ClientPagesExtension extends AbstractExtension
{
    public function getFunctions(): array
    {
        return [
            new TwigFunction('client_areas', ClientPages::areas(...)),
            new TwigFunction('client_area_of', ClientPages::areaOf(...)),
        ];
    }
}
