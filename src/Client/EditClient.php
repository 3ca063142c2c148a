<?php

declare(strict_types=1);

namespace HandGarden\Client;

use HandGarden\Account\Audit;
use HandGarden\Account\Who;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Catalogue\Condition;
use HandGarden\Core\Catalogue\MuscleLoad;
use HandGarden\Web\Clock;
use HandGarden\Web\Problems;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Symfony\Component\Validator\Validator\ValidatorInterface;

/** Adds a client, or changes what is known about one. */
#[IsGranted('ROLE_THERAPIST')]
final class EditClient extends AbstractController
{
    public function __construct(
        private readonly ClientRepository $clients,
        private readonly CatalogueStore $catalogue,
        private readonly ValidatorInterface $validator,
        private readonly Audit $audit,
        private readonly Who $who,
        private readonly Clock $clock,
    ) {
    }

    #[Route('/clients/new', name: 'client_new', methods: ['GET', 'POST'], priority: 10)]
    public function add(Request $request): Response
    {
        if ($request->isMethod('GET')) {
            $input = new ClientInput();
            $input->zone = date_default_timezone_get();

            return $this->form($input, null, []);
        }
        $input = ClientInput::typed($request->request);
        $problems = Problems::byField($this->validator->validate($input));
        if ([] !== $problems) {
            return $this->form($input, null, $problems);
        }
        $client = new Client(
            $this->who->clinicId(),
            $this->who->staff()->id,
            $this->clock->now(),
        );
        $input->writeTo($client, $this->catalogue->get());
        $this->clients->add($client);
        $this->audit->wrote('added client', $client->id);

        return $this->redirectToRoute(
            'client_screening',
            ['client' => $client->id],
            Response::HTTP_SEE_OTHER,
        );
    }

    #[Route('/clients/{client}/edit', name: 'client_edit', methods: ['GET', 'POST'])]
    public function edit(Request $request, Client $client): Response
    {
        if ($request->isMethod('GET')) {
            return $this->form(ClientInput::from($client), $client, []);
        }
        $input = ClientInput::typed($request->request);
        $problems = Problems::byField($this->validator->validate($input));
        if ([] === $problems && $input->version !== (string) $client->version) {
            $problems['version'] =
                'Somebody else changed this client while you were typing. What you typed is kept below; what is '
                    .'saved now stands beside it. Save again to replace it.';
            $input->version = (string) $client->version;
        }
        if ([] !== $problems) {
            return $this->form($input, $client, $problems);
        }
        $input->writeTo($client, $this->catalogue->get());
        $this->clients->save();
        $this->audit->wrote('changed client', $client->id);
        $this->addFlash('done', 'Saved.');

        return $this->redirectToRoute(
            'desk_client',
            ['client' => $client->id],
            Response::HTTP_SEE_OTHER,
        );
    }

    #[Route('/clients/{client}/archive', name: 'client_archive', methods: ['POST'])]
    public function archive(Request $request, Client $client): Response
    {
        $isToBeArchived = 'back' !== $request->request->get(
            'to',
            $client->isArchived() ? 'back' : 'archive',
        );
        $client->archivedAt = $isToBeArchived ? $client->archivedAt ?? $this->clock->now() : null;
        $this->clients->save();
        $this->audit->wrote(
            $client->isArchived() ? 'archived client' : 'restored client',
            $client->id,
        );
        $this->addFlash(
            'done',
            $client->isArchived()
                ? $client->name()
                    .' is archived. Nothing is deleted; restore from the archive at any time.'
                : $client->name().' is back.',
        );

        return $this->redirectToRoute(
            'desk_today',
            $client->isArchived() ? [] : ['archived' => 0],
            Response::HTTP_SEE_OTHER,
        );
    }

    /** @param array<string, string> $problems */
    private function form(ClientInput $input, ?Client $client, array $problems): Response
    {
        $catalogue = $this->catalogue->get();

        return $this->render('Client/edit.html.twig', [
            'input' => $input,
            'client' => $client,
            'problems' => $problems,
            'saved' => isset($problems['version']) && null !== $client
                ? ClientInput::from($client)
                : null,
            'conditions' => Condition::cases(),
            'materials' => ClientInput::materialsIn($catalogue),
            'goals' => $catalogue->goals,
            'staminas' => Stamina::cases(),
            'muscles' => MuscleLoad::injectable(),
            'communication' => Intake::COMMUNICATION,
            'commands' => Intake::COMMANDS,
            'epilepsy' => Intake::EPILEPSY,
            'intakeOpen' => null === $client
                || [] !== array_intersect_key($problems, get_object_vars($input->intake)),
            'zones' => \DateTimeZone::listIdentifiers(),
        ], new Response(status: [] === $problems ? 200 : 422));
    }
}
