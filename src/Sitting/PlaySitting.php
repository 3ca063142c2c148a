<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use HandGarden\Account\Audit;
use HandGarden\Account\Clinic;
use HandGarden\Account\ClinicRepository;
use HandGarden\Account\ClinicSettings;
use HandGarden\Account\Who;
use HandGarden\Account\WhomToCall;
use HandGarden\Client\Cautions;
use HandGarden\Client\Client;
use HandGarden\Client\ClientRepository;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Actor\Actor;
use HandGarden\Core\Catalogue\Levels;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Progress\Compensation;
use HandGarden\Core\Progress\Felt;
use HandGarden\Core\Progress\Help;
use HandGarden\Core\Progress\Symptoms;
use HandGarden\Core\Progress\ToneAfter;
use HandGarden\Core\Routine\Item;
use HandGarden\Planning\Plan;
use HandGarden\Web\Clock;
use HandGarden\Web\FormTokens;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Csrf\CsrfTokenManagerInterface;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Symfony\Component\Uid\Uuid;

/** The player, and what it sends. */
#[IsGranted('ROLE_STAFF')]
final class PlaySitting extends AbstractController
{
    private const NUMBERS = [
        'repetitions',
        'hold',
        'pain_before',
        'pain_after',
        'fatigue',
        'errors',
        'drops',
    ];

    public function __construct(
        private readonly WhomToCall $whom,
        private readonly ClinicSettings $settings,
        private readonly SittingRepository $sittings,
        private readonly ClientRepository $clients,
        private readonly CatalogueStore $catalogue,
        private readonly LogIntake $intake,
        private readonly FinishSitting $finish,
        private readonly Who $who,
        private readonly Audit $audit,
        private readonly Clock $clock,
    ) {
    }

    #[Route('/sittings/{sitting}', name: 'sitting_play', methods: ['GET'])]
    public function play(Sitting $sitting, CsrfTokenManagerInterface $tokens): Response
    {
        $lines = $this->generateUrl(
            'sitting_lines',
            ['sitting' => $sitting->id],
        );

        return null === $this->sittings->score($sitting) // it was begun before there were scores
            ? $this->redirect($lines)
            : $this->render('Sitting/play.html.twig', [
                'token' => $tokens->getToken(FormTokens::ID)->getValue(),
                'lines' => $lines,
            ]);
    }

    /**
     * What is played, as it was written down when the sitting began, what was told of it so far, and the secret under
     * which its events come.
     */
    #[Route('/sittings/{sitting}/open', name: 'sitting_open', methods: ['POST'])]
    public function open(
        Sitting $sitting,
        ClinicRepository $clinics,
        EventStore $events,
    ): JsonResponse {
        $score = $this->sittings->score($sitting)
            ?? throw $this->createNotFoundException('This sitting was begun before there were scores.');
        $told = [];
        foreach ($this->sittings->items($sitting) as $item) {
            $told[$item->id] = $item->told['outcome'] ?? null;
        }

        [$secret, $kept] = SittingSecret::of(
            $sitting,
            $this->who->actor(),
            $this->clock->now(),
        );
        $this->sittings->keep($kept);
        $this->audit->read('sitting', $sitting->clientId);

        return JsonResponse::fromJsonString(\sprintf(
            '{"score":%s,"hash":"%s","secret":"%s","page":%s,"told":%s,"wrongs":%s,"defaults":%s,"acts":%s,'
                .'"isFinished":%s}',
            $score->json(),
            $score->hash,
            $secret,
            json_encode(
                $this->page($sitting, $clinics->own()),
                \JSON_THROW_ON_ERROR,
            ),
            json_encode((object) $told, \JSON_THROW_ON_ERROR),
            json_encode($events->wrongs($sitting), \JSON_THROW_ON_ERROR),
            json_encode((object) $sitting->saidBefore(), \JSON_THROW_ON_ERROR),
            json_encode($events->acts($sitting), \JSON_THROW_ON_ERROR),
            null === $sitting->finishedAt ? 'false' : 'true',
        ));
    }

    /** @return array<string, string> whose sitting it is, and what stands around it */
    private function page(Sitting $sitting, Clinic $clinic): array
    {
        $client = ['client' => $sitting->clientId];

        return [
            'client' => $sitting->clientId,
            'name' => $this->client($sitting)->name(),
            'home' => $this->generateUrl('desk_client', $client),
            'after' => $this->generateUrl('progress_decisions', $client),
            'lines' => $this->generateUrl(
                'sitting_lines',
                ['sitting' => $sitting->id],
            ),
            'emergency' => $clinic->emergencyNumber,
            'whom' => $this->whom->of($clinic),
        ];
    }

    /** The same sitting as a list of forms: without scripts, and for what was kept on paper. */
    #[Route('/sittings/{sitting}/lines', name: 'sitting_lines', methods: ['GET'])]
    public function lines(
        Sitting $sitting,
        Cautions $cautions,
        Plan $plan,
        ClinicRepository $clinics,
    ): Response {
        $client = $this->client($sitting);
        $noActiveWork = (
            new Symptoms(
                $this->settings->of($client->clinicId)->progress(),
            )
        )->forbidsActiveWork($sitting->painBefore);

        return $this->render('Sitting/lines.html.twig', [
            'client' => $client,
            'banner' => $cautions->for($client),
            'isPlayable' => null !== $this->sittings->score($sitting),
            'sitting' => $sitting,
            'items' => array_map(
                fn (SittingItem $i): array => $this->row($i, $noActiveWork) + [
                    'isLater' => $sitting->day < $this->clock->today($client->zone),
                ],
                $this->sittings->items($sitting),
            ),
            'noActiveWork' => $noActiveWork,
            'worse' => $plan->worseSide($client),
            'stopRules' => $this->catalogue->get()->screening->stopRules,
            'pulling' => $this->catalogue->get()->screening->pullingIsFine,
            'clinic' => $clinics->own(),
            'helps' => Help::cases(),
            'tones' => ToneAfter::cases(),
            'felt' => Felt::cases(),
            'compensations' => Compensation::cases(),
        ]);
    }

    /**
     * @return array{kept: SittingItem, item: ?Item, line: string, asks: ?AskedOfItem, rests: bool} null: the catalogue
     *     no longer has it; line: the name under which a page without scripts tells of it
     */
    private function row(SittingItem $kept, bool $noActiveWork): array
    {
        $item = $this->sittings->planned($kept);

        return [
            'kept' => $kept,
            'item' => $item,
            'line' => Uuid::v4()->toRfc4122(),
            'asks' => null === $item ? null : AskedOfItem::of(
                $item->rung,
                $item->dose,
            ),
            'rests' => $noActiveWork && null !== $item && !$item->rung->load->class->isRestful(),
        ];
    }

    #[Route('/sittings/{sitting}/log', name: 'sitting_log', methods: ['POST'])]
    public function log(Request $request, Sitting $sitting): Response
    {
        $json = 'json' === $request->getContentTypeFormat();
        try {
            $line = $json
                ? Node::fromJson($request->getContent())
                : Node::root(self::fromForm($request));
            $event = $this->intake->take(
                $sitting,
                $this->client($sitting),
                $line,
                Actor::staff($this->who->staff()->id),
            );
        } catch (InvalidData $e) {
            return $this->refuse(
                $json,
                $e->getMessage(),
                Response::HTTP_UNPROCESSABLE_ENTITY,
                $sitting,
            );
        } catch (DifferentBody $e) {
            return $this->refuse(
                $json,
                $e->getMessage(),
                Response::HTTP_CONFLICT,
                $sitting,
            );
        }

        return $json
            ? new JsonResponse(
                [
                    'id' => $event->id,
                    'item' => $event->itemId,
                    'day' => $event->day->format('Y-m-d'),
                ],
            )
            : $this->redirect(
                $this->generateUrl(
                    'sitting_lines',
                    ['sitting' => $sitting->id],
                ).'#item-'.$event->itemId,
                Response::HTTP_SEE_OTHER,
            );
    }

    #[Route('/sittings/{sitting}/finish', name: 'sitting_finish', methods: ['POST'])]
    public function finish(Request $request, Sitting $sitting): Response
    {
        $note = mb_substr(
            trim((string) $request->request->get('note', '')),
            0,
            2000,
        );
        $this->finish->now($sitting, $this->client($sitting), $note);
        $this->addFlash('done', 'The sitting is kept.');

        return $this->redirectToRoute(
            'progress_decisions',
            ['client' => $sitting->clientId],
            Response::HTTP_SEE_OTHER,
        );
    }

    private function client(Sitting $sitting): Client
    {
        return $this->clients->find($sitting->clinicId, $sitting->clientId)
            ?? throw $this->createNotFoundException();
    }

    private function refuse(bool $json, string $message, int $status, Sitting $sitting): Response
    {
        if ($json) {
            return new JsonResponse(['problem' => $message], $status);
        }
        $this->addFlash('problem', $message.' The line was not stored.');

        return $this->redirectToRoute(
            'sitting_lines',
            ['sitting' => $sitting->id],
            Response::HTTP_SEE_OTHER,
        );
    }

    /**
     * The form of one item without scripts.
     *
     * @return array<string, mixed>
     */
    private static function fromForm(Request $request): array
    {
        $form = $request->request;
        $line = [
            'id' => (string) $form->get('id', ''),
            'item' => (string) $form->get('item', ''),
            'outcome' => (string) $form->get('outcome', ''),
        ];
        foreach (self::NUMBERS as $number) {
            $value = $form->get($number);
            if (is_numeric($value)) {
                $line[$number] = (int) $value;
            }
        }
        $load = $form->get('load');
        if (is_numeric($load)) {
            $line['load'] = (float) $load;
        }
        $levels = Levels::typed($form->all()['levels'] ?? []);
        if ([] !== $levels) {
            $line['levels'] = $levels;
        }
        foreach (['tone', 'help', 'felt', 'note', LogIntake::WHY] as $word) {
            $value = (string) $form->get($word, '');
            if ('' !== $value) {
                $line[$word] = $value;
            }
        }
        $tricks = $form->all()['compensations'] ?? [];
        if (\is_array($tricks) && [] !== $tricks) {
            $line['compensations'] = array_values($tricks);
        }
        foreach (['new_tingling', 'systemic'] as $flag) {
            if ($form->has($flag)) {
                $line[$flag] = true;
            }
        }

        return $line;
    }
}
