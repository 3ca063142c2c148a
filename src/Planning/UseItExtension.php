<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use Twig\Extension\AbstractExtension;
use Twig\TwigFunction;

/** The chosen act of the day, for pages and papers. */
final class UseItExtension extends AbstractExtension
{
    public function __construct(
        private readonly UsesIt $uses,
    ) {
    }

    /** @return list<TwigFunction> */
    public function getFunctions(): array
    {
        return [new TwigFunction('use_it', $this->uses->current(...))];
    }
}
