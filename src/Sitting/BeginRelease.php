<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use HandGarden\Account\Audit;
use HandGarden\Account\ClinicSettings;
use HandGarden\Client\Cautions;
use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Progress\Symptoms;
use HandGarden\Core\Release\ReleaseLimits;
use HandGarden\Core\Release\ReleaseTable;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Words\Phrase;
use HandGarden\Library\PlacementWords;
use HandGarden\Planning\ReleaseHand;
use HandGarden\Planning\ReleaseToday;
use HandGarden\Web\Typed;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Begins a hands-on release: for therapists with the mark, in the clinic, where nothing speaks against it. */
#[Route('/clients/{client}/release', name: 'sitting_release', methods: ['GET', 'POST'])]
#[IsGranted('ROLE_RELEASE')]
final class BeginRelease extends AbstractController
{
    private const NOTE_LETTERS = 2000;

    public function __construct(
        private readonly ClinicSettings $settings,
        private readonly ReleaseToday $today,
        private readonly BeginSitting $begin,
        private readonly CatalogueStore $catalogue,
        private readonly ReleaseSheet $release,
        private readonly PlacementWords $words,
        private readonly Cautions $cautions,
        private readonly Audit $audit,
    ) {
    }

    public function __invoke(Request $request, Client $client): Response
    {
        $hands = $this->today->hands($client);
        $open = array_values(array_filter($hands, static fn (ReleaseHand $h): bool => $h->isOpen()));
        $problems = [];
        if ($request->isMethod('POST') && [] !== $open) {
            $hand = $this->chosen($open, $request);
            $pain = BeginSitting::pain($request);
            $note = trim((string) $request->request->get('note', ''));
            $problems = $this->problems($client, $hand, $pain, $note);
            if ([] === $problems && null !== $hand && null !== $pain) {
                $sitting = $this->begin($client, $hand, $pain, $note);
                $this->audit->wrote(
                    'began hands-on release',
                    $client->id,
                    $sitting->id,
                );

                return $this->redirectToRoute(
                    'sitting_play',
                    ['sitting' => $sitting->id],
                    Response::HTTP_SEE_OTHER,
                );
            }
        }

        return $this->render('Sitting/release.html.twig', [
            'client' => $client,
            'banner' => $this->cautions->for($client),
            'hands' => $hands,
            'open' => $open,
            'because' => $this->because($open),
            'problems' => $problems,
            'typed' => Typed::texts($request),
            'rules' => $this->catalogue->get()->handbook()->release->rules,
            'setUp' => $this->catalogue->get()->screening->setUpCheck,
            'minutes' => (new ReleaseLimits())->minutes,
        ], new Response(status: [] === $problems ? 200 : 422));
    }

    /**
     * @param list<ReleaseHand> $open
     *
     * @return array<string, string> what of it is to be looked at, by hand
     */
    private function because(array $open): array
    {
        $words = [];
        foreach ($open as $hand) {
            $words[$hand->side->value] = null === $hand->placed
                ? ''
                : $this->words->placed($hand->placed, $hand->side);
        }

        return $words;
    }

    /** @param non-empty-list<ReleaseHand> $open */
    private function chosen(array $open, Request $request): ?ReleaseHand
    {
        $side = (string) $request->request->get('side', 1 === \count($open) ? $open[0]->side->value : '');
        foreach ($open as $hand) {
            if ($hand->side->value === $side) {
                return $hand;
            }
        }

        return null;
    }

    /** @return array<string, string> by field */
    private function problems(Client $client, ?ReleaseHand $hand, ?int $pain, string $note): array
    {
        $symptoms = new Symptoms($this->settings->of($client->clinicId)->progress());

        return array_filter([
            'side' => null === $hand ? 'Say which hand.' : '',
            'pain_before' => match (true) {
                null === $pain => BeginSitting::ASK_PAIN,
                $symptoms->forbidsActiveWork($pain) => 'With this much pain there is no release today.',
                default => '',
            },
            'note' => match (true) {
                [] !== ($hand->lookAt ?? []) && '' === $note => 'Say what you have seen, and why it is right today.',
                mb_strlen($note) > self::NOTE_LETTERS => 'Make it shorter: 2000 letters at most.',
                default => '',
            },
        ]);
    }

    private function begin(Client $client, ReleaseHand $hand, int $pain, string $note): Sitting
    {
        $sitting = $this->begin->now($client, $pain);
        $sitting->note = $note;
        $grasp = $this->today->grasp($client, $hand->side);
        $table = new ReleaseTable(
            $this->catalogue->get()->handbook()->release,
            $hand->mayRaise,
            null !== $grasp,
        );
        $items = $this->items($table, $hand, $grasp);
        $rungs = array_map(static fn (Item $i): string => $i->rung->id, $items);
        $this->begin->keep(
            $sitting,
            $client,
            $items,
            $hand->side,
            said: ['release' => $hand->side->value],
            more: fn (array $ids): array => [
                'release' => $this->release->of(
                    $table,
                    new ReleaseLimits(),
                    $hand->side,
                    $ids,
                    rungs: $rungs,
                ),
            ],
        );

        return $sitting;
    }

    /** @return list<Item> the phases, opening by oneself, grasp practice where the plan has it, and positioning */
    private function items(ReleaseTable $table, ReleaseHand $hand, ?Item $grasp): array
    {
        $protocol = $this->catalogue->get()->handbook()->release;
        $rungs = [];
        foreach ([...$table->passive, $table->active] as $step) {
            $rungs[$step->rungId] = $step->rungId;
        }
        $items = array_map(
            fn (string $id): Item => $this->item($id, $hand),
            array_values($rungs),
        );

        return [...$items, ...(null === $grasp ? [] : [$grasp]), $this->item($protocol->rest, $hand)];
    }

    private function item(string $rungId, ReleaseHand $hand): Item
    {
        $rung = $this->catalogue->get()->rung($rungId);

        return new Item(
            $rung,
            Hands::fromSide($hand->side),
            $rung->dosing->start,
            Phrase::own($rung->instructions->why),
        );
    }
}
