<?php

declare(strict_types=1);

namespace HandGarden\Client;

use HandGarden\Account\ClinicSettings;
use Symfony\Component\Security\Core\Authorization\AuthorizationCheckerInterface;
use Twig\Extension\AbstractExtension;
use Twig\TwigFunction;

final class ClientPagesExtension extends AbstractExtension
{
    public function __construct(
        private readonly AuthorizationCheckerInterface $authorization,
        private readonly ClinicSettings $settings,
    ) {
    }

    public function getFunctions(): array
    {
        return [
            new TwigFunction('client_areas', $this->openAreas(...)),
            new TwigFunction('client_area_of', ClientPages::areaOf(...)),
            new TwigFunction('kept_until', $this->keptUntil(...)),
        ];
    }

    /** Until when the records of a client who was archived are kept; null: they are not archived. */
    public function keptUntil(Client $client): ?\DateTimeImmutable
    {
        $years = $this->settings->of($client->clinicId)->days()->keptYears;

        return $client->archivedAt?->add(new \DateInterval('P'.$years.'Y'));
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
