<?php

declare(strict_types=1);

namespace HandGarden\Library;

use HandGarden\Account\Audit;
use HandGarden\Account\Who;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\ApproachTag;
use HandGarden\Core\Catalogue\Condition;
use HandGarden\Core\Catalogue\DoneOn;
use HandGarden\Core\Catalogue\DoseKind;
use HandGarden\Core\Catalogue\EffortClass;
use HandGarden\Core\Catalogue\LadderKind;
use HandGarden\Core\Catalogue\Performer;
use HandGarden\Core\Catalogue\Posture;
use HandGarden\Core\Catalogue\Segment;
use HandGarden\Core\Catalogue\SittingRole;
use HandGarden\Core\Catalogue\Strand;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Drawing\Pose;
use HandGarden\Core\Drawing\View;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Symfony\Component\Uid\Uuid;

/** Makes an exercise of the clinic's own, from nothing or as a variant; a change is a new version. */
#[IsGranted('ROLE_THERAPIST')]
final class EditOwnExercise extends AbstractController
{
    public function __construct(
        private readonly CatalogueStore $store,
        private readonly WrittenRungs $written,
        private readonly OwnExercises $exercises,
        private readonly OwnExerciseMaker $maker,
        private readonly Who $who,
        private readonly Audit $audit,
    ) {
    }

    #[Route('/exercises/own/new', name: 'library_own_new', methods: ['GET', 'POST'])]
    public function create(Request $request): Response
    {
        $form = $this->beginning($request->query->getString('from'));
        if ($request->isMethod('GET')) {
            return $this->page($form, null, []);
        }
        $typed = OwnExerciseForm::read($request, $form->written);

        return $this->keep($typed, substr(Uuid::v4()->toRfc4122(), 0, 8), 1, null);
    }

    #[Route(
        '/exercises/own/{key}',
        name: 'library_own_edit',
        requirements: ['key' => '[a-z0-9-]+'],
        methods: ['GET', 'POST'],
    )]
    public function edit(string $key, Request $request): Response
    {
        $kept = $this->exercises->newest($this->who->clinicId(), $key)
            ?? throw $this->createNotFoundException('No such exercise.');
        if ($request->isMethod('GET')) {
            /** @var array<string, array<string, mixed>> $pose */
            $pose = $kept->pose;

            return $this->page(new OwnExerciseForm($kept->written, $pose), $kept, []);
        }
        $typed = OwnExerciseForm::read($request, $kept->written);
        if ((string) $kept->version !== $request->request->getString('version')) {
            return $this->page(
                $typed,
                $kept,
                [
                    'version' => \sprintf(
                        'Somebody else made version %d meanwhile. What you typed stands below; keeping it makes '
                            .'version %d.',
                        $kept->version,
                        $kept->version + 1,
                    ),
                ],
            );
        }

        return $this->keep($typed, $key, $kept->version + 1, $kept);
    }

    #[Route(
        '/exercises/own/{key}/archive',
        name: 'library_own_archive',
        requirements: ['key' => '[a-z0-9-]+'],
        methods: ['POST'],
    )]
    public function archive(string $key, Request $request): Response
    {
        $kept = $this->exercises->newest($this->who->clinicId(), $key)
            ?? throw $this->createNotFoundException('No such exercise.');
        $kept->archived = 'back' !== $request->request->get('to', $kept->archived ? 'back' : 'archive');
        $this->exercises->save();
        $this->audit->wrote(
            $kept->archived ? 'archived own exercise' : 'brought back own exercise',
            null,
            $kept->rungId(),
        );
        $this->addFlash(
            'done',
            $kept->archived
                ? $kept->name.' is archived. Routines that have it keep it.'
                : $kept->name.' is back.',
        );

        return $this->redirectToRoute(
            $kept->archived ? 'library_exercises' : 'library_own_edit',
            $kept->archived ? [] : ['key' => $key],
            Response::HTTP_SEE_OTHER,
        );
    }

    private function beginning(string $from): OwnExerciseForm
    {
        if ('' === $from) {
            return OwnExerciseForm::blank();
        }
        $catalogue = $this->store->get();
        if (
            !$catalogue->hasRung($from) || LadderKind::Protocol === $catalogue->ladderOf($from)->kind
        ) {
            throw $this->createNotFoundException('No such exercise.');
        }
        $parts = OwnExercise::keyAndVersion($from);
        $own = null === $parts ? null : $this->exercises->version($this->who->clinicId(), ...$parts);
        if (null !== $own) {
            /** @var array<string, array<string, mixed>> $pose */
            $pose = $own->pose;

            return new OwnExerciseForm(['name' => $own->name.', copy'] + $own->written, $pose);
        }

        return new OwnExerciseForm(
            [
                'name' => $catalogue->rung($from)->name.', our way',
                'strand' => $catalogue->ladderOf($from)->strand->value,
                'links' => ['easier' => [$from]],
            ] + $this->written->for($from),
        );
    }

    private function keep(
        OwnExerciseForm $form,
        string $key,
        int $version,
        ?OwnExercise $before,
    ): Response {
        try {
            $kept = $this->maker->make($key, $version, $form);
        } catch (InvalidData $e) {
            return $this->page(
                $form,
                $before,
                [explode('.', explode('[', $e->path)[0])[0] => $e->path.': '.$e->problem],
            );
        }
        $this->exercises->keep($kept);
        $this->audit->wrote('kept own exercise', null, $kept->rungId());
        $this->addFlash(
            'done',
            1 === $version
                ? 'Kept. It can be added to any routine by hand.'
                : \sprintf(
                    'Kept as version %d. Routines go on with the version they were built with.',
                    $version,
                ),
        );

        return $this->redirectToRoute(
            'library_exercise',
            ['rung' => $kept->rungId()],
            Response::HTTP_SEE_OTHER,
        );
    }

    /**
     * @param array<mixed>  $picture as it is written: `start` and `end`, or stills
     * @param 'start'|'end' $which
     */
    private static function poseOf(array $picture, string $which): string
    {
        $stills = \is_array($picture['stills'] ?? null) ? array_values($picture['stills']) : [];
        $telling = array_filter(
            $stills,
            static fn (mixed $s): bool => \is_array($s) && true === ($s['telling'] ?? false),
        );
        $last = [] === $telling ? \array_slice($stills, -1) : $telling;
        $still = 'start' === $which ? $stills[0] ?? null : array_values($last)[0] ?? null;
        $name = $picture[$which] ?? (\is_array($still) ? $still['pose'] ?? null : null);

        return \is_string($name) ? $name : 'relaxed';
    }

    /** @param array<string, string> $problems by field */
    private function page(OwnExerciseForm $form, ?OwnExercise $kept, array $problems): Response
    {
        $catalogue = $this->store->get();
        $library = $this->store->drawings();
        $picture = \is_array($form->written['picture'] ?? null) ? $form->written['picture'] : [];
        $view = View::tryFrom(\is_string($picture['view'] ?? null) ? $picture['view'] : '')
            ?? View::Three;
        $poses = $form->pose;
        foreach ($view->isOfFigure() ? [] : ['start', 'end'] as $which) {
            $name = self::poseOf($picture, $which);
            $poses[$which] ??= $library->pose(
                \in_array($name, $library->poseNames(), true) ? $name : 'relaxed',
            )->pose->toArray();
        }
        $response = $this->render('Library/own.html.twig', [
            'w' => $form->written,
            'poses' => $poses,
            'ownPose' => [] !== $form->pose,
            'kept' => $kept,
            'problems' => $problems,
            'handbook' => $catalogue->handbook(),
            'gates' => array_keys($catalogue->vocabulary->gates),
            'muscles' => $this->store->search()->muscles(),
            'joints' => Pose::joints(),
            'views' => array_values(
                array_filter(View::cases(), static fn (View $v): bool => !$v->isOfFigure()),
            ),
            'isFigure' => $view->isOfFigure(),
            'enums' => [
                'strand' => Strand::cases(),
                'posture' => Posture::cases(),
                'side' => DoneOn::cases(),
                'counted' => DoseKind::cases(),
                'class' => EffortClass::cases(),
                'segment' => Segment::cases(),
                'role' => SittingRole::cases(),
                'performers' => array_values(
                    array_filter(
                        Performer::cases(),
                        static fn (Performer $p): bool => Performer::TrainedTherapist !== $p,
                    ),
                ), 'fits' => Condition::cases(), 'tags' => ApproachTag::cases(),
            ],
            'side' => Side::Right,
        ]);

        return [] === $problems
            ? $response
            : $response->setStatusCode(Response::HTTP_UNPROCESSABLE_ENTITY);
    }
}
