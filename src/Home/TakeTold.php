<?php

declare(strict_types=1);

namespace HandGarden\Home;

use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use HandGarden\Sitting\Envelope;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Takes what was told at home beside sittings: messages, diary, what was read. Each once, whenever it comes. */
#[Route('/home/told', name: 'home_told', methods: ['POST'], stateless: true)]
#[IsGranted('ROLE_HOME')]
final class TakeTold extends AbstractController
{
    private const MOST = 100;

    public function __construct(
        private readonly OfTheClient $clients,
        private readonly ToldAtHome $told,
        private readonly Envelope $envelope,
    ) {
    }

    public function __invoke(Request $request, #[CurrentUser] HomeUser $user): JsonResponse
    {
        $client = $this->clients->for($user, toChange: true);
        $kept = $refused = [];
        try {
            $batch = Node::fromJson($request->getContent())->only('sent_at', 'told');
            $told = $batch->get('told')->items();
            if (\count($told) > self::MOST) {
                throw $batch->get('told')->fail('is more than '.self::MOST);
            }
        } catch (InvalidData $e) {
            return new JsonResponse(
                ['problem' => $e->getMessage()],
                JsonResponse::HTTP_UNPROCESSABLE_ENTITY,
            );
        }
        foreach ($told as $one) {
            $id = '';
            try {
                $one->only('id', 'kind', 'at', 'age', 'body');
                $id = Envelope::uuid($one->get('id'));
                $time = $this->envelope->time(
                    $one->optional('at'),
                    $batch->optional('sent_at'),
                    $client->zone,
                    age: $one->optional('age'),
                );
                $this->told->take(
                    $user,
                    $client,
                    $one->get('kind')->enum(ToldKind::class),
                    $id,
                    body: $one->get(
                        'body',
                    ),
                    time: $time,
                );
                $kept[] = $id;
            } catch (InvalidData $e) {
                $refused[] = ['id' => $id, 'problem' => $e->getMessage()];
            }
        }

        return new JsonResponse(['kept' => $kept, 'refused' => $refused]);
    }
}
