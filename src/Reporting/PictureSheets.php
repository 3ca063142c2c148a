<?php

declare(strict_types=1);

namespace HandGarden\Reporting;

use HandGarden\Client\Client;
use HandGarden\Client\Helpers;
use HandGarden\Content\CatalogueStore;
use HandGarden\Planning\Briefs;
use HandGarden\Planning\Plan;
use HandGarden\Planning\RoutineKind;
use HandGarden\Planning\RoutineView;
use Twig\Environment;

/** The exercises of a plan to keep, with their pictures, as pages of paper. */
final readonly class PictureSheets
{
    public function __construct(
        private StayingItems $items,
        private Plan $plan,
        private Briefs $briefs,
        private Helpers $helpers,
        private CatalogueStore $catalogue,
        private Environment $twig,
    ) {
    }

    /** @return string HTML that carries its pictures; empty: there is no exercise */
    public function of(Client $client, \DateTimeImmutable $day): string
    {
        $items = $this->items->all($client, $day);
        $limits = $this->briefs->limits($client, RoutineKind::Home);

        return [] === $items ? '' : $this->twig->render('Planning/_paper-items.html.twig', [
            'view' => new RoutineView(
                $items,
                [],
                $limits->seconds(),
                $limits->effortBudget(),
                worse: $this->plan->worseSide($client),
                limits: $limits,
            ),
            'techniques' => $this->catalogue->get()->handbook()->techniques,
            'isHelped' => [] !== $this->helpers->there($client),
        ]);
    }
}
