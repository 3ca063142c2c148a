<?php

declare(strict_types=1);

namespace HandGarden\Progress;

use HandGarden\Account\ClinicSettings;
use HandGarden\Client\Cautions;
use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Progress\Prescribed;
use HandGarden\Core\WhatIf\Assumed;
use HandGarden\Core\WhatIf\WhatIf;
use HandGarden\Library\PlacementWords;
use HandGarden\Planning\Plan;
use HandGarden\Sitting\SittingRepository;
use HandGarden\Web\Clock;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/**
 * From which day the rules could propose what, were it done on so many of the days. For therapists; never in a
 * handout.
 */
#[Route('/clients/{client}/what-if', name: 'progress_what_if', methods: ['GET'])]
#[IsGranted('ROLE_THERAPIST')]
final class ShowWhatIf extends AbstractController
{
    private const SHARES = ['100 %' => 1.0, '80 %' => 0.8, '60 %' => 0.6];

    public function __construct(
        private readonly PlacementWords $words,
        private readonly ClinicSettings $settings,
    ) {
    }

    public function __invoke(
        Client $client,
        Plan $plan,
        SittingRepository $sittings,
        CatalogueStore $catalogue,
        Cautions $cautions,
        Clock $clock,
    ): Response {
        $today = $clock->today($client->zone);
        $items = Prescribed::in($plan->items($client));
        $whatIf = new WhatIf(
            $catalogue->get(),
            $this->settings->of($client->clinicId)->progress(),
        );
        $stems = [];
        foreach ([] === $items ? [] : self::SHARES as $label => $share) {
            foreach (
                $whatIf->run(
                    $items,
                    $sittings->log($client),
                    $plan->facts($client),
                    new Assumed($share, $client->daysPerWeek, crc32($client->id)),
                    today: $today,
                ) as $path
            ) {
                $stems[$path->key()][$label] = $path;
            }
        }

        return $this->render('Progress/what-if.html.twig', [
            'client' => $client,
            'banner' => $cautions->for($client),
            'stems' => array_map(
                fn (array $paths): StemView => StemView::from(
                    $paths,
                    $plan->placements($client),
                    $this->words,
                ),
                array_values($stems),
            ),
            'until' => $today->modify('+'.WhatIf::DAYS.' days'),
        ]);
    }
}
