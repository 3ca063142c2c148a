<?php

declare(strict_types=1);

namespace HandGarden\Home\Shared;

use HandGarden\Account\Audit;
use HandGarden\Account\SignIn\Throttle;
use HandGarden\Account\SignIn\TooManyTries;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use HandGarden\Home\HomeCookie;
use HandGarden\Home\HomeDevices;
use HandGarden\Web\Clock;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** What a tablet of a care home asks for: who is signed in, the list of residents, one plan at a time. */
#[Route('/home/house/', name: 'home_house_', methods: ['POST'], stateless: true)]
#[IsGranted('ROLE_TABLET')]
final class TabletPages extends AbstractController
{
    public function __construct(
        private readonly CareHomes $homes,
        private readonly Residents $residents,
        private readonly HomeDevices $devices,
        private readonly HomeCookie $cookie,
        private readonly Throttle $throttle,
        private readonly Audit $audit,
        private readonly Clock $clock,
    ) {
    }

    #[Route('now', name: 'now')]
    public function now(#[CurrentUser] TabletUser $user): JsonResponse
    {
        return $this->shown($user->tablet);
    }

    #[Route('sign-in', name: 'sign_in')]
    public function signIn(Request $request, #[CurrentUser] TabletUser $user): JsonResponse
    {
        try {
            $told = Node::fromJson($request->getContent())->only('initials', 'digits');
            $initials = $told->get('initials')->text(8);
            $digits = $told->get('digits')->text(8);
        } catch (InvalidData) {
            return $this->shown($user->tablet, 'wrong');
        }
        $address = (string) $request->getClientIp();
        $account = 'tablet '.$user->tablet->id.' '.mb_strtoupper($initials);
        try {
            $this->throttle->take($account, null, $address);
        } catch (TooManyTries) {
            return $this->shown($user->tablet, 'too-many');
        }
        $home = $this->home($user->tablet);
        $worker = $this->homes->workerByInitials($home, trim($initials));
        if (null === $worker || !$worker->isKnownBy($digits)) {
            $this->audit->wrote('refused: digits on a shared tablet', null, $user->tablet->id);

            return $this->shown($user->tablet, 'wrong');
        }
        $this->throttle->giveBack($account, null, $address);
        $this->shut($user->tablet);
        $user->tablet->signIn($worker->id, $this->clock->now());
        $this->homes->keep();
        $this->audit->wrote('signed in on a shared tablet', null, $worker->id);

        return $this->shown($user->tablet);
    }

    /** The plan of one resident is opened to whoever is signed in. */
    #[Route('open', name: 'open')]
    public function open(Request $request, #[CurrentUser] TabletUser $user): JsonResponse
    {
        $tablet = $user->tablet;
        $home = $this->home($tablet);
        $worker = $this->worker($tablet, $home);
        $clientId = Node::fromJson($request->getContent())->only('client')->get('client')->string();
        $client = null === $worker ? null : $this->residents->openTo($home, $clientId);
        if (null === $worker || null === $client) {
            return $this->shown($tablet, null === $worker ? '' : 'not-open');
        }
        $this->shut($tablet);
        $device = $this->residents->device($tablet, $client, $this->residents->helper($client, $worker));
        $this->cookie->give($request, $device->secret);
        $tablet->openDeviceId = $device->id;
        $this->homes->keep();
        $this->audit->read('home', $client->id);

        return new JsonResponse(['state' => 'open']);
    }

    /** Back to the list; nothing of the resident stays. */
    #[Route('close', name: 'close')]
    public function close(Request $request, #[CurrentUser] TabletUser $user): JsonResponse
    {
        $tablet = $user->tablet;
        $leaves = Node::fromJson($request->getContent())->only('leaves')->get('leaves')->bool();
        if (null !== $tablet->worker($this->clock->now())) {
            $tablet->stays($this->clock->now());
        }
        $this->shut($tablet);
        if ($leaves) {
            $tablet->signOut();
        }
        $this->cookie->takeBack($request);
        $this->homes->keep();

        return $this->shown($tablet);
    }

    private function shut(SharedTablet $tablet): void
    {
        if (null !== $tablet->openDeviceId) {
            $this->devices->byId($tablet->openDeviceId)?->secret->forget();
            $tablet->openDeviceId = null;
        }
    }

    private function worker(SharedTablet $tablet, CareHome $home): ?CareWorker
    {
        $id = $tablet->worker($this->clock->now());

        return null === $id ? null : $this->homes->worker($home, $id);
    }

    private function home(SharedTablet $tablet): CareHome
    {
        return $this->homes->find(
            $tablet->clinicId,
            $tablet->careHomeId,
        ) ?? throw $this->createNotFoundException();
    }

    private function shown(SharedTablet $tablet, string $problem = ''): JsonResponse
    {
        $home = $this->home($tablet);
        $worker = $this->worker($tablet, $home);

        return new JsonResponse([
            'home' => $home->name,
            'worker' => $worker?->name,
            'residents' => null === $worker ? [] : $this->residents->of($home),
            'minutes' => SharedTablet::MINUTES,
            'problem' => $problem,
        ]);
    }
}
