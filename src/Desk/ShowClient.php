<?php

declare(strict_types=1);

namespace HandGarden\Desk;

use HandGarden\Account\ClinicRepository;
use HandGarden\Assessment\MeasureView;
use HandGarden\Assessment\ReadingRepository;
use HandGarden\Assessment\RecordedReading;
use HandGarden\Client\Cautions;
use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Content\Pictures\HandPictures;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Drawing\MeasuredPose;
use HandGarden\Core\Drawing\View;
use HandGarden\Core\Measure\Mode;
use HandGarden\Core\Placement\Words;
use HandGarden\Planning\PlacementViews;
use HandGarden\Planning\Plan;
use HandGarden\Progress\OpenProposals;
use HandGarden\Sitting\SittingRepository;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** The client at a glance: both hands as measured, where they stand, what waits, what was done. */
#[Route('/clients/{client}', name: 'desk_client', methods: ['GET'])]
#[IsGranted('ROLE_STAFF')]
final class ShowClient extends AbstractController
{
    public function __construct(
        private readonly ReadingRepository $readings,
        private readonly CatalogueStore $catalogue,
        private readonly HandPictures $pictures,
        private readonly Plan $plan,
        private readonly OpenProposals $open,
        private readonly SittingRepository $sittings,
        private readonly Cautions $cautions,
        private readonly ClinicRepository $clinics,
    ) {
    }

    public function __invoke(Client $client): Response
    {
        $views = new PlacementViews(new Words($this->catalogue->get()), []);

        return $this->render('Desk/client.html.twig', [
            'client' => $client,
            'banner' => $this->cautions->of($client),
            'hands' => array_map(fn (Side $side): array => $this->hand($client, $side), [Side::Left, Side::Right]),
            'ladders' => array_map($views->ladder(...), $this->plan->placements($client)->trained()),
            'goal' => $this->catalogue->get()->goal($client->goalKey),
            'proposals' => $this->open->of($client),
            'sittings' => $this->sittings->of($client, 8),
            'visits' => $this->readings->visits($client, 5),
            'latest' => $this->latest($client),
            'names' => $this->clinics->namesOfStaff(),
        ]);
    }

    /** @return array{side: string, affected: bool, active: ?string, passive: ?string, rest: ?string} */
    private function hand(Client $client, Side $side): array
    {
        $readings = $this->readings->of($client);
        $picture = function (Mode $mode) use ($readings, $side): ?string {
            $pose = MeasuredPose::of($readings, $side, $mode);

            return null === $pose ? null : $this->pictures->ofPose($pose, View::Radial, $side);
        };

        return ['side' => $side->value, 'affected' => \in_array($side, $client->affected(), true), 'active' => $picture(Mode::Active), 'passive' => $picture(Mode::Passive), 'rest' => null];
    }

    /** @return list<array{id: string, label: string, side: string, mode: string, text: string, unit: string, on: \DateTimeImmutable}> newest of each measure */
    private function latest(Client $client): array
    {
        $newest = [];
        foreach ($this->readings->recorded($client) as $reading) {
            $newest[$reading->key()] = $reading;
        }
        $rows = [];
        foreach ($this->catalogue->get()->vocabulary->kinds->all() as $kind) {
            foreach (array_filter($newest, static fn (RecordedReading $r): bool => $r->code === $kind->code) as $reading) {
                $rows[] = ['id' => $reading->id, 'label' => $kind->label.(null === $reading->argument ? '' : ', wrist at '.$reading->argument.'°'), 'side' => $reading->side->value ?? '', 'mode' => $reading->mode->value ?? '', 'text' => MeasureView::text($kind, $reading->toReading()), 'unit' => $kind->unit->sign(), 'on' => $reading->onDay];
            }
        }

        return $rows;
    }
}
