<?php

declare(strict_types=1);

namespace HandGarden\Home;

use HandGarden\Account\Audit;
use HandGarden\Core\Data\Node;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/**
 * The day of a client, and the plan where the device does not have this version of it, with what it needs to begin
 * sittings. Asked for by sending what the device has: that changes what is handed out.
 */
#[Route('/home/day', name: 'home_day', methods: ['POST'], stateless: true)]
#[IsGranted('ROLE_HOME')]
final class ShowHomeDay extends AbstractController
{
    public function __construct(
        private readonly HomeDay $day,
        private readonly HomePlans $plans,
        private readonly Slots $slots,
        private readonly HomeDevices $devices,
        private readonly OfTheClient $clients,
        private readonly Audit $audit,
    ) {
    }

    public function __invoke(Request $request, #[CurrentUser] HomeUser $user): JsonResponse
    {
        $client = $this->clients->for($user, toChange: true);
        $has = Node::fromJson($request->getContent())->only('plan', 'slots', 'unsent');
        $user->device->unsent = $has->optional('unsent')?->int(0) ?? 0;
        $plan = $this->plans->current($client);
        $planned = self::planned($plan);
        $new = $this->slots->topUp(
            $user->device,
            $client,
            $planned,
            $has->optional('slots')?->strings() ?? [],
        );
        $this->devices->keep();
        $this->audit->read('home', $client->id);

        return JsonResponse::fromJsonString(\sprintf(
            '{"day":%s,"plan":%s,"slots":%s}',
            json_encode($this->day->for($user, $client), \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE),
            ($has->optional('plan')?->string() ?? '') === $plan->hash ? 'null' : \sprintf(
                '{"hash":"%s","madeAt":"%s","sheet":%s}',
                $plan->hash,
                $plan->madeAt->format(\DATE_RFC3339),
                $plan->json(),
            ),
            json_encode($new, \JSON_THROW_ON_ERROR),
        ));
    }

    private static function planned(HomePlan $plan): int
    {
        $sittings = 0;
        foreach (Node::fromJson($plan->json())->get('days')->items() as $day) {
            $sittings += \count($day->get('sittings')->items());
        }

        return $sittings;
    }
}
