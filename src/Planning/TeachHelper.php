<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use HandGarden\Account\Audit;
use HandGarden\Account\Who;
use HandGarden\Client\Cautions;
use HandGarden\Client\Client;
use HandGarden\Client\Helper;
use HandGarden\Client\Helpers;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Helping\DoneBack;
use HandGarden\Core\Placement\RungOnSide;
use HandGarden\Web\Clock;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\InputBag;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** A technique is shown, done back on the client's own hand, looked at point by point, and signed by both. */
#[Route(
    '/clients/{client}/helpers/{helper}/{technique}/{side}',
    name: 'planning_teach',
    requirements: ['side' => 'left|right'],
    methods: ['GET', 'POST'],
)]
#[IsGranted('ROLE_THERAPIST')]
final class TeachHelper extends AbstractController
{
    public function __construct(
        private readonly Helpers $helpers,
        private readonly Marks $marks,
        private readonly HandsOn $handsOn,
        private readonly CatalogueStore $catalogue,
        private readonly Cautions $cautions,
        private readonly Audit $audit,
        private readonly Who $who,
        private readonly Clock $clock,
    ) {
    }

    public function __invoke(
        Request $request,
        Client $client,
        string $helper,
        string $technique,
        Side $side,
    ): Response {
        $person = $this->helpers->find($client, $helper);
        $work = $this->handsOn->find($client, $technique, $side);
        if (null === $person || null !== $person->leftAt || null === $work) {
            throw $this->createNotFoundException('Nothing of this is taught to them.');
        }
        if (!$request->isMethod('POST')) {
            return $this->shown($client, $person, $work, new InputBag(), problem: null);
        }
        $typed = $request->request;
        $done = new DoneBack(
            $this->catalogue->get()->handbook()->techniques,
            $work->technique,
            self::points($typed),
        );
        $for = self::chosen($typed, $work);
        $problem = $this->problem($typed, $done, $for);
        if (null !== $problem) {
            return $this->shown($client, $person, $work, $typed, problem: $problem);
        }
        $this->keep($client, $person, $work, $done, for: $for, typed: $typed);

        return $this->redirectToRoute(
            'planning_helpers',
            ['client' => $client->id],
            Response::HTTP_SEE_OTHER,
        );
    }

    /** @param list<RungOnSide> $for */
    private function keep(
        Client $client,
        Helper $person,
        TaughtWork $work,
        DoneBack $done,
        array $for,
        InputBag $typed,
    ): void {
        $shown = [];
        foreach ($for as $one) {
            $shown[$one->text()] = $work->dose($one->text());
        }
        $teaching = new Teaching(
            $person->clinicId,
            $person->clientId,
            $person->id,
            $work->technique->key,
            side: $work->side,
            points: $done->points,
            shown: $shown,
            practise: $done->isSigned() ? '' : self::practise($done, (string) $typed->get('practise', '')),
            byStaffId: $this->who->staff()->id,
            at: $this->clock->now(),
        );
        if ($done->isSigned()) {
            $person->briefedOn ??= $this->clock->today(
                $client->zone,
            ); // the stop signs were one of the points
            $this->marks->sign($teaching, $this->clock->today($client->zone), ...$for);
            $this->addFlash(
                'done',
                \sprintf('%s is signed for it, for %d days.', $person->name, SignOff::DAYS),
            );
        } else {
            $this->marks->keep($teaching);
            $this->addFlash('done', 'Kept, not signed. It is practised again at the next visit.');
        }
        $this->audit->wrote(
            $done->isSigned() ? 'signed off a helper' : 'taught a helper',
            $client->id,
            $teaching->id,
        );
    }

    /** What the therapist typed, or else the points that were a no. */
    private static function practise(DoneBack $done, string $typed): string
    {
        $own = trim($typed);

        return mb_substr(
            '' === $own ? implode('. ', $done->toPractise()).'.' : $own,
            0,
            Teaching::PRACTISE_LETTERS,
        );
    }

    /** @param list<RungOnSide> $for */
    private function problem(InputBag $typed, DoneBack $done, array $for): ?string
    {
        return match (true) {
            [] !== $done->unseen() => 'Answer every point with yes or no. What you did not see is a no.',
            [] === $for => 'Choose what was shown: one exercise or more.',
            $done->isSigned() && !($typed->has('by_helper') && $typed->has(
                'by_therapist',
            )) => 'Both of you confirm it.',
            default => null,
        };
    }

    private function shown(
        Client $client,
        Helper $person,
        TaughtWork $work,
        InputBag $typed,
        ?string $problem,
    ): Response {
        $techniques = $this->catalogue->get()->handbook()->techniques;

        return $this->render('Planning/teach.html.twig', [
            'client' => $client,
            'banner' => $this->cautions->for($client),
            'helper' => $person,
            'work' => $work,
            'rungs' => array_map(
                fn (string $id): Rung => $this->catalogue->get()->rung($id),
                $work->rungIds(),
            ),
            'points' => $techniques->points($work->technique),
            'anywhere' => $techniques->anywhere,
            'seen' => self::points($typed),
            'chosen' => null === $problem
                ? array_keys($work->names)
                : array_map(static fn (RungOnSide $r): string => $r->text(), self::chosen($typed, $work)),
            'practise' => (string) $typed->get('practise', ''),
            'problem' => $problem,
            'days' => SignOff::DAYS,
        ], new Response(
            status: null === $problem ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY,
        ));
    }

    /** @return array<string, bool> */
    private static function points(InputBag $typed): array
    {
        $points = [];
        foreach ($typed->has('points') ? $typed->all('points') : [] as $key => $answer) {
            if (\in_array($answer, ['yes', 'no'], true)) {
                $points[(string) $key] = 'yes' === $answer;
            }
        }

        return $points;
    }

    /** @return list<RungOnSide> */
    private static function chosen(InputBag $typed, TaughtWork $work): array
    {
        $chosen = [];
        foreach ($typed->has('for') ? $typed->all('for') : [] as $key) {
            $one = \is_string($key) && isset($work->names[$key]) ? RungOnSide::fromText($key) : null;
            if (null !== $one) {
                $chosen[] = $one;
            }
        }

        return $chosen;
    }
}
