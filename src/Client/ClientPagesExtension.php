<?php

declare(strict_types=1);

namespace HandGarden\Client;

use Symfony\Component\Security\Core\Authorization\AuthorizationCheckerInterface;
use Twig\Extension\AbstractExtension;
use Twig\TwigFunction;

final class ClientPagesExtension extends AbstractExtension
{
    public function __construct(
        private readonly AuthorizationCheckerInterface $authorization,
    ) {
    }

    public function getFunctions(): array
    {
        return [
            new TwigFunction('client_areas', $this->openAreas(...)),
            new TwigFunction('client_area_of', ClientPages::areaOf(...)),
        ];
    }

    /** @return array<string, list<ClientPage>> the pages that this person may open, by area; none empty */
    public function openAreas(): array
    {
        // each role is asked once, not once a page: the voters cost more than the rest of the frame
        $may = $open = [];
        foreach (ClientPages::areas() as $area => $pages) {
            foreach ($pages as $page) {
                if ($may[$page->role] ??= $this->authorization->isGranted($page->role)) {
                    $open[$area][] = $page;
                }
            }
        }

        return $open;
    }
}
