<?php

declare(strict_types=1);

namespace HandGarden\Web;

use Twig\Extension\AbstractExtension;
use Twig\TwigFunction;

/** What every form carries beside its token: an id of its own, see OnceOnly, and a mark of what it shows, see Seen. */
final class FormExtension extends AbstractExtension
{
    public function getFunctions(): array
    {
        return [
            new TwigFunction('request_id', static fn (): string => bin2hex(random_bytes(12))),
            new TwigFunction('seen', Seen::mark(...)),
        ];
    }
}
