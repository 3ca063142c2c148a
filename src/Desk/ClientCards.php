<?php

declare(strict_types=1);

namespace HandGarden\Desk;

use HandGarden\Account\ClinicRepository;
use HandGarden\Assessment\MeasureView;
use HandGarden\Assessment\ReadingRepository;
use HandGarden\Client\Cautions;
use HandGarden\Client\Client;
use HandGarden\Client\Helper;
use HandGarden\Client\Helpers;
use HandGarden\Client\KeptOfClient;
use HandGarden\Content\CatalogueStore;
use HandGarden\Content\Pictures\HandPictures;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Strand;
use HandGarden\Core\Drawing\MeasuredPose;
use HandGarden\Core\Drawing\View;
use HandGarden\Core\Measure\Mode;
use HandGarden\Core\Placement\LadderPlacement;
use HandGarden\Planning\LadderView;
use HandGarden\Planning\NodeView;
use HandGarden\Planning\PlacementViews;
use HandGarden\Planning\Plan;
use HandGarden\Planning\WantedTask;
use HandGarden\Progress\OpenProposals;
use HandGarden\Sitting\SittingRepository;
use Twig\Environment;
use Twig\Markup;

/** Makes the overview of a client, and keeps it while nothing it rests on has changed. */
final readonly class ClientCards
{
    public function __construct(
        private KeptOfClient $kept,
        private ReadingRepository $readings,
        private CatalogueStore $catalogue,
        private HandPictures $pictures,
        private Plan $plan,
        private OpenProposals $open,
        private SittingRepository $sittings,
        private Cautions $cautions,
        private Environment $twig,
        private PlacementViews $views,
        private Helpers $helpers,
        private ClinicRepository $clinics,
        private WantedTask $wanted,
    ) {
    }

    public function for(Client $client): ClientCard
    {
        return $this->kept->get(
            'overview',
            $client,
            fn (): ClientCard => $this->make($client),
        );
    }

    private function make(Client $client): ClientCard
    {
        $catalogue = $this->catalogue->get();
        $waiting = [];
        foreach ($this->open->for($client) as $proposal) {
            $waiting[$proposal->kind->value] = ($waiting[$proposal->kind->value] ?? 0) + 1;
        }

        $ladders = array_map(
            fn (LadderPlacement $p): LadderView => $this->views->ladder($p),
            $this->plan->placements($client)->ladders,
        );
        $trained = array_map(
            static fn (LadderPlacement $p): string => $p->ladder->key,
            $this->plan->placements($client)->trained(),
        );
        $rows = LadderView::inOneRow(
            array_values(
                array_filter(
                    $ladders,
                    static fn (LadderView $l): bool => \in_array(
                        $l->key,
                        $trained,
                        true,
                    ),
                ),
            ),
        );

        return new ClientCard(
            $this->cautions->for($client),
            $this->wanted->of($client),
            array_map(
                fn (Side $side): array => $this->hand(
                    $client,
                    $side,
                ),
                [Side::Left, Side::Right],
            ),
            array_map(
                static fn (array $row): array => [
                    'ladder' => $row['ladder']->brief(),
                    'hands' => $row['hands'],
                    'shapes' => array_map(
                        static fn (NodeView $n): string => $n->shape,
                        $row['ladder']->nodes,
                    ),
                ],
                array_values(
                    array_filter(
                        $rows,
                        static fn (array $row): bool => $row['ladder']->isClimbedOn(),
                    ),
                ),
            ),
            map: new Markup($this->twig->render(
                'Planning/_map.html.twig',
                ['map' => self::map($ladders), 'client' => $client],
            ), 'UTF-8'),
            ahead: array_count_values(
                array_map(
                    static fn (array $row): string => $row['ladder']->state,
                    array_values(
                        array_filter(
                            $rows,
                            static fn (array $row): bool => !$row['ladder']->isClimbedOn(),
                        ),
                    ),
                ),
            ),
            waiting: $waiting,
            sittings: $this->sittings->recent($client, 8),
            visits: $this->readings->visits($client, 5),
            latest: $this->latest($client),
            names: $this->clinics->namesOfStaff(),
            helpers: array_map(static fn (Helper $h): string => $h->name, $this->helpers->of($client)),
        );
    }

    /**
     * @param list<LadderView> $ladders
     *
     * @return list<
     *     array{
     *         strand: string,
     *         label: string,
     *         stems: list<
     *             array{
     *                 key: string,
     *                 name: string,
     *                 side: string,
     *                 state: string,
     *                 words: string,
     *                 shapes: list<string>,
     *             }
     *         >,
     *     }
     * >
     */
    private static function map(array $ladders): array
    {
        $beds = [];
        foreach (Strand::cases() as $strand) {
            $stems = [];
            foreach ($ladders as $ladder) {
                if ($ladder->strand === $strand->value && $ladder->fits() && [] !== $ladder->nodes) {
                    $stems[] = [
                        'key' => $ladder->key,
                        'name' => $ladder->name,
                        'side' => $ladder->side,
                        'state' => $ladder->state,
                        'words' => null === $ladder->standing
                            ? lcfirst($ladder->stateText)
                            : 'stands on '.$ladder->standing,
                        'shapes' => array_map(
                            static fn (NodeView $n): string => $n->shape,
                            $ladder->nodes,
                        ),
                    ];
                }
            }
            if ([] !== $stems) {
                $beds[] = [
                    'strand' => $strand->value,
                    'label' => $strand->label(),
                    'stems' => $stems,
                ];
            }
        }

        return $beds;
    }

    /** @return array{side: string, affected: bool, active: ?string, passive: ?string} */
    private function hand(Client $client, Side $side): array
    {
        $readings = $this->readings->for($client);
        $picture = function (Mode $mode) use ($readings, $side): ?string {
            $pose = MeasuredPose::from($readings, $side, $mode);

            return null === $pose
                ? null
                : $this->pictures->ofPose(
                    $pose,
                    View::Radial,
                    $side,
                );
        };

        return [
            'side' => $side->value,
            'affected' => \in_array($side, $client->affected(), true),
            'active' => $picture(Mode::Active),
            'passive' => $picture(Mode::Passive),
        ];
    }

    /**
     * @return list<
     *     array{
     *         id: string,
     *         label: string,
     *         side: string,
     *         mode: string,
     *         text: string,
     *         unit: string,
     *         on: \DateTimeImmutable,
     *     }
     * > newest of each measure, in the order they are taken
     */
    private function latest(Client $client): array
    {
        $byCode = [];
        foreach ($this->readings->newest($client) as $kept) {
            $byCode[$kept->reading->code][] = $kept;
        }
        $rows = [];
        foreach ($this->catalogue->get()->vocabulary->kinds->all() as $kind) {
            foreach ($byCode[$kind->code] ?? [] as $kept) {
                $reading = $kept->reading;
                $rows[] = [
                    'id' => $kept->id,
                    'label' => MeasureView::name($kind, $reading->argument),
                    'side' => $reading->side->value ?? '',
                    'mode' => $reading->mode->value ?? '',
                    'text' => MeasureView::text($kind, $reading),
                    'unit' => $kind->unit->sign(),
                    'on' => $reading->on,
                ];
            }
        }

        return $rows;
    }
}
