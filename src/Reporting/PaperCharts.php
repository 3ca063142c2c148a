<?php

declare(strict_types=1);

namespace HandGarden\Reporting;

use HandGarden\Assessment\Chart\Chart;
use Twig\Environment;

/** Charts as pictures that stand in a page of paper: with their colours in them, for there is no style sheet. */
final readonly class PaperCharts
{
    public function __construct(
        private Environment $twig,
    ) {
    }

    public function inline(Chart $chart): string
    {
        return 'data:image/svg+xml;base64,'.base64_encode(
            $this->twig->render('Reporting/_paper-chart.svg.twig', ['chart' => $chart]),
        );
    }
}
