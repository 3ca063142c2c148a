<?php

declare(strict_types=1);

namespace HandGarden\Assessment;

use HandGarden\Account\Audit;
use HandGarden\Account\ClinicRepository;
use HandGarden\Account\ClinicSettings;
use HandGarden\Account\Who;
use HandGarden\Client\Cautions;
use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Measure\Finding\Findings;
use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Measure\Readings;
use HandGarden\Library\FactWords;
use HandGarden\Web\Clock;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** One visit on paper: what was measured, how, by whom; signed with its date it takes nothing more. */
#[IsGranted('ROLE_STAFF')]
final class ShowVisit extends AbstractController
{
    public function __construct(
        private readonly ReadingRepository $readings,
        private readonly CatalogueStore $catalogue,
        private readonly Cautions $cautions,
        private readonly ClinicRepository $clinics,
        private readonly Audit $audit,
        private readonly Who $who,
        private readonly Clock $clock,
        private readonly ClinicSettings $settings,
        private readonly FactWords $facts,
    ) {
    }

    #[Route('/clients/{client}/visits/{visit}', name: 'assessment_visit', methods: ['GET'])]
    public function show(Client $client, string $visit): Response
    {
        $found = $this->readings->findVisit($client, $visit)
            ?? throw $this->createNotFoundException('No such visit.');
        $taken = $this->readings->ofVisit($found);
        $signed = new SignedVisit($found, $taken, $this->readings->replacing($taken));
        $counting = $signed->counting();
        $readings = new Readings(
            array_map(static fn (RecordedReading $r): Reading => $r->toReading(), $counting),
        );

        return $this->render('Assessment/visit.html.twig', [
            'client' => $client,
            'banner' => $this->cautions->for($client),
            'visit' => $found,
            ...$this->rows($counting),
            'changed' => $signed->changedBefore(),
            'addenda' => $signed->addenda($this->catalogue->get()->vocabulary->kinds),
            'findings' => array_merge(
                ...array_map(
                    fn (Side $side): array => (new Findings(
                        $this->settings->of($client->clinicId)->thresholds()->findings,
                    ))->found($readings, $side),
                    $client->affected(),
                ),
            ),
            'names' => $this->clinics->namesOfStaff(),
            'setUp' => $this->catalogue->get()->screening->setUpCheck,
        ]);
    }

    #[Route('/clients/{client}/visits/{visit}/sign', name: 'assessment_sign', methods: ['POST'])]
    #[IsGranted('ROLE_THERAPIST')]
    public function sign(Client $client, string $visit): Response
    {
        $found = $this->readings->findVisit($client, $visit)
            ?? throw $this->createNotFoundException('No such visit.');
        if (null === $found->signedAt) {
            $found->signedAt = $this->clock->now();
            $found->signedById = $this->who->staff()->id;
            $this->readings->save();
            $this->audit->wrote('signed visit', $client->id, $found->id);
        }
        $this->addFlash(
            'done',
            'Signed. This visit takes nothing more; what is measured from now on is a new one.',
        );

        return $this->redirectToRoute(
            'assessment_visit',
            ['client' => $client->id, 'visit' => $found->id],
            Response::HTTP_SEE_OTHER,
        );
    }

    /**
     * One row for a measure, both hands beside each other. Joints stand apart, straight to bent; what was
     * answered no is one
     * sentence.
     *
     * @param list<RecordedReading> $taken
     *
     * @return array{
     *     joints: array<string, array<string, array{string, string}>>,
     *     rows: list<array{label: string, right: string, left: string, how: string}>,
     *     absent: array<string, list<string>>,
     * }
     */
    private function rows(array $taken): array
    {
        $kinds = $this->catalogue->get()->vocabulary->kinds;
        $rows = $joints = $absent = [];
        foreach ($taken as $record) {
            $reading = $record->toReading();
            $kind = $kinds->find($record->code);
            $side = 'left' === ($record->side->value ?? 'right') ? 'left' : 'right';
            $spread = $reading->taken?->spread();
            $text = MeasureView::text($kind, $reading).(
                null === $kind || null === $reading->value ? '' : $kind->unit->sign()
            ).($record->byEye ? ' by eye' : '').(
                null === $spread
                    ? ''
                    : \sprintf(' (%s; spread %s)', implode(', ', $record->trials), round($spread, 1))
            );
            if (null !== $kind?->joint && null !== $kind->digit && null !== $record->mode) {
                $name = ucfirst($kind->digit->value).' '.$kind->joint->label();
                $joints[$name][$side.' '.$record->mode->value] ??= ['', ''];
                $joints[$name][$side.' '.$record->mode->value][$kind->isFlexionEnd ? 1 : 0] = $text;
                continue;
            }
            $label = $this->label($record);
            if (false === $reading->value) {
                $absent[null === $record->side ? '' : $side][] = $label;
                continue;
            }
            $rows[$label] ??= ['label' => $label, 'right' => '', 'left' => '', 'how' => ''];
            $rows[$label][$side] = $text;
            $rows[$label]['how'] = implode(
                ', ',
                array_filter(
                    [
                        'hand' === $record->source->value ? '' : $record->source->label(),
                        'usual' === $record->position->value ? '' : $record->position->label(),
                        \in_array($record->medication->value, ['on', 'off'], true)
                            ? $record->medication->label()
                            : '',
                    ],
                    static fn (string $s): bool => '' !== $s,
                ),
            );
        }

        return ['joints' => $joints, 'rows' => array_values($rows), 'absent' => $absent];
    }

    private function label(RecordedReading $record): string
    {
        $kind = $this->catalogue->get()->vocabulary->kinds->find($record->code);
        $name = null === $kind
            ? $this->facts->name($record->code, $record->argument)
            : MeasureView::name($kind, $record->argument);

        return $name.(null === $record->mode ? '' : ', '.$record->mode->value);
    }
}
