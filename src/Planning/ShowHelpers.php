<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use HandGarden\Account\Audit;
use HandGarden\Client\Cautions;
use HandGarden\Client\Client;
use HandGarden\Client\Helper;
use HandGarden\Client\HelperKind;
use HandGarden\Client\Helpers;
use HandGarden\Core\Helping\SignEnd;
use HandGarden\Core\Placement\RungOnSide;
use HandGarden\Web\Clock;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Who helps, what each of them may do by hand and until when, and what still waits to be shown to them. */
#[Route('/clients/{client}/helpers', name: 'planning_helpers')]
final class ShowHelpers extends AbstractController
{
    public function __construct(
        private readonly Helpers $helpers,
        private readonly Marks $marks,
        private readonly HandsOn $handsOn,
        private readonly Cautions $cautions,
        private readonly Audit $audit,
        private readonly Clock $clock,
        private readonly HelperLeaves $leaving,
    ) {
    }

    #[Route('', name: '', methods: ['GET'])]
    #[IsGranted('ROLE_STAFF')]
    public function page(Client $client): Response
    {
        return $this->shown($client);
    }

    #[Route('/add', name: '_add', methods: ['POST'])]
    #[IsGranted('ROLE_THERAPIST')]
    public function add(Request $request, Client $client): Response
    {
        $name = trim((string) $request->request->get('name', ''));
        $kind = HelperKind::tryFrom((string) $request->request->get('kind', ''));
        $problem = match (true) {
            '' === $name => 'Say who it is.',
            mb_strlen($name) > Helper::NAME_LETTERS => \sprintf('At most %d letters.', Helper::NAME_LETTERS),
            \in_array(
                $name,
                array_map(static fn (Helper $h): string => $h->name, $this->helpers->of($client)),
                true,
            ) => 'Somebody of this name is here already. Add what tells them apart.',
            default => null,
        };
        if (null !== $problem || null === $kind) {
            return $this->shown(
                $client,
                ['name' => $name, 'kind' => $kind?->value],
                $problem ?? 'Choose what they are.',
            );
        }
        $helper = new Helper($client->clinicId, $client->id, $name, $kind, at: $this->clock->now());
        $this->helpers->keep($helper);
        $this->audit->wrote('added a helper', $client->id, $helper->id);
        $this->addFlash('done', 'Added. Tell the stop signs, then teach and sign what the plan asks for.');

        return $this->back($client);
    }

    #[Route('/{helper}', name: '_change', methods: ['POST'])]
    #[IsGranted('ROLE_THERAPIST')]
    public function change(Request $request, Client $client, string $helper): Response
    {
        $person = $this->find($client, $helper);
        $did = match ((string) $request->request->get('do', '')) {
            'told' => $this->told($person, $client),
            'comes' => $this->comes($person, true),
            'stays-away' => $this->comes($person, false),
            'leaves' => $this->leaves($person),
            'hurt' => $this->ends($person, SignEnd::SomebodyHurt),
            'trouble' => $this->ends($person, SignEnd::NewTrouble),
            'end' => $this->endsOne($person, (string) $request->request->get('rung', '')),
            default => null,
        };
        if (null !== $did) {
            $this->helpers->keep($person);
            $this->audit->wrote('changed a helper', $client->id, $person->id);
        }
        $this->addFlash(
            null === $did ? 'problem' : 'done',
            $did ?? 'Choose what is to be noted; nothing was.',
        );

        return $this->back($client);
    }

    private function told(Helper $helper, Client $client): string
    {
        $helper->briefedOn = $this->clock->today($client->zone);

        return 'The stop signs were told today.';
    }

    private function comes(Helper $helper, bool $comes): string
    {
        $helper->comes = $comes;

        return $comes ? 'Counts as being there during sittings.' : 'Does not count as being there any more.';
    }

    private function leaves(Helper $helper): string
    {
        return \sprintf(
            '%s has left. %d signed exercises end today; tell the client who is needed.',
            $helper->name,
            $this->leaving->leave($helper),
        );
    }

    private function ends(Helper $helper, SignEnd $why): string
    {
        return \sprintf(
            '%d signed exercises end now. They wait until they are shown again.',
            $this->marks->end($helper, $why),
        );
    }

    private function endsOne(Helper $helper, string $rung): ?string
    {
        $only = RungOnSide::fromText($rung);

        return null === $only || 0 === $this->marks->end($helper, SignEnd::NewTrouble, $only)
            ? null
            : 'It ends now, and waits until it is shown again.';
    }

    /** @param array<string, ?string> $typed what was sent, when it was not enough */
    private function shown(Client $client, array $typed = [], ?string $problem = null): Response
    {
        $today = $this->clock->today($client->zone);

        return $this->render('Planning/helpers.html.twig', [
            'client' => $client,
            'banner' => $this->cautions->for($client),
            'sheets' => HelperSheet::of(
                $this->helpers->of($client),
                $this->handsOn->of($client),
                $this->marks->signed($client, $today),
                $this->marks->taught($client),
            ),
            'kinds' => HelperKind::cases(),
            'days' => SignOff::DAYS,
            'soon' => $today->modify('+'.SignOff::SOON_DAYS.' days'),
            'typed' => $typed,
            'problem' => $problem,
        ], new Response(
            status: null === $problem ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY,
        ));
    }

    private function find(Client $client, string $helper): Helper
    {
        $found = $this->helpers->find($client, $helper);

        return null !== $found && null === $found->leftAt
            ? $found
            : throw $this->createNotFoundException('No such helper.');
    }

    private function back(Client $client): Response
    {
        return $this->redirectToRoute(
            'planning_helpers',
            ['client' => $client->id],
            Response::HTTP_SEE_OTHER,
        );
    }
}
